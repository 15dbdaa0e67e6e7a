import { setTimeout as pause } from "node:timers/promises";
import { parentPort, Worker, workerData } from "node:worker_threads";

/** In a thread of its own, so that what it measures is the server, and not how much whoever asks has to do. */
async function watch(address) {
  const seen = { times: [], notWell: 0, mostMegabytes: 0 };
  let over = false;
  parentPort.once("message", () => {
    over = true;
  });
  for (let round = 0; !over; round += 1) {
    const from = performance.now();
    const { status } = await fetch(`${address}/api/v1/health`);
    seen.times.push(performance.now() - from);
    if (status !== 200) seen.notWell += 1;
    if (round % 20 === 0) {
      const text = await (await fetch(`${address}/metrics`)).text();
      const megabytes = Number(/^process_resident_memory_bytes (\S+)/m.exec(text)?.[1]) / 1e6;
      seen.mostMegabytes = Math.max(seen.mostMegabytes, megabytes);
    }
    await pause(10);
  }
  parentPort.postMessage(seen);
}

if (parentPort && workerData?.watch) void watch(workerData.watch);

/** Asks for the server's health again and again until it is told to end; then resolves to how long each took, and the most memory. */
export function watchHealth(address) {
  const worker = new Worker(new URL(import.meta.url), { workerData: { watch: address } });
  const seen = new Promise((done, fail) => {
    worker.once("message", done);
    worker.once("error", fail);
  });
  return {
    end: async () => {
      worker.postMessage("end");
      const found = await seen;
      await worker.terminate();
      return found;
    },
  };
}
