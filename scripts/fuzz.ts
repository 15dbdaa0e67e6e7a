import { setTimeout as pause } from "node:timers/promises";
import { hostileRequest, type Operation, randomBy } from "../packages/server/src/testing/hostileRequests";
import { validRequests } from "../packages/server/src/testing/validRequests";
// @ts-expect-error: a script without types
import { signedIn } from "./lib/api.mjs";
// @ts-expect-error: a script without types
import { withDemoServer } from "./lib/demoServer.mjs";

/** `npm run fuzz -- 5000 7`: so many hostile requests over every endpoint of the OpenAPI document, by that seed. */
const [, , requests = "5000", seed = "1"] = process.argv;
const LONGEST_MS = 2000;
const AT_ONCE = 2;
const OWNER = { email: "ros@fernhollow.example", password: "porch-demo-2026" };
/** They end the session that all else is asked by. */
const LEFT_OUT = new Set(["delete /session", "delete /account/sessions/:id"]);

type Person = { readonly ask: (method: string, path: string, body?: unknown, headers?: object) => Promise<Response> };
type OpenApi = { readonly paths: Readonly<Record<string, object>> };

const operationsOf = ({ paths }: OpenApi): Operation[] =>
  Object.entries(paths).flatMap(([path, methods]) =>
    Object.keys(methods).map((method) => ({ method, path: path.replace(/\{(\w+)\}/g, ":$1") })),
  );

async function memoryOf(address: string): Promise<number> {
  const text = await (await fetch(`${address}/metrics`)).text();
  return Number(/^process_resident_memory_bytes (\S+)/m.exec(text)?.[1]) / 1e6;
}

async function fuzz(address: string): Promise<void> {
  const api = `${address}/api/v1`;
  let ros: Person = await signedIn(api, OWNER);
  const ask = async (method: string, path: string, body?: unknown) => (await ros.ask(method, path, body)).json();
  const valid = await validRequests(ask);
  const openApi: OpenApi = await (await fetch(`${api}/openapi.json`)).json();
  const operations = operationsOf(openApi).filter(({ method, path }) => !LEFT_OUT.has(`${method} ${path}`));
  const random = randomBy(Number(seed));
  const statuses = new Map<number, number>();
  const failures: string[] = [];
  const times: { readonly ms: number; readonly what: string }[] = [];

  async function one(index: number): Promise<void> {
    const operation = operations[index % operations.length];
    if (!operation) return;
    const request = hostileRequest(
      random,
      operation,
      valid.get(`${operation.method} ${operation.path}`) ?? { params: {} },
    );
    const what = `${operation.method} ${operation.path} (${request.odd})`;
    const from = performance.now();
    const answer = await ros
      .ask(request.method.toUpperCase(), request.path, request.body, request.headers)
      .catch((error) => error);
    if (!(answer instanceof Response)) {
      failures.push(`${what}: ${answer}`);
      return;
    }
    await answer.arrayBuffer();
    times.push({ ms: performance.now() - from, what });
    statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
    if (answer.status >= 500) failures.push(`${what}: ${answer.status}`);
    if (answer.status === 401) ros = await signedIn(api, OWNER);
  }

  const warm = Math.min(200, Number(requests));
  for (let index = 0; index < warm; index += 1) await one(index);
  const before = await memoryOf(address);
  times.length = 0;
  let next = warm;
  const worker = async () => {
    while (next < Number(requests)) {
      if (next % 1000 === 0) console.log(`${next} sent, ${(await memoryOf(address)).toFixed(0)} MB`);
      await one(next++);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, worker));
  await pause(5000);
  const after = await memoryOf(address);

  const slow = times.filter(({ ms }) => ms > LONGEST_MS);
  const sorted = times.map(({ ms }) => ms).toSorted((a, b) => a - b);
  console.log(`${requests} hostile requests over ${operations.length} operations, seed ${seed}`);
  console.log(
    [...statuses]
      .toSorted(([a], [b]) => a - b)
      .map(([status, count]) => `${status}: ${count}`)
      .join("  "),
  );
  console.log(
    `p95 ${sorted[Math.floor(sorted.length * 0.95)]?.toFixed(0)} ms, longest ${sorted.at(-1)?.toFixed(0)} ms`,
  );
  console.log(`memory of the server ${before.toFixed(0)} MB before, ${after.toFixed(0)} MB after`);
  for (const { ms, what } of slow.slice(0, 20)) console.log(`SLOW ${ms.toFixed(0)} ms: ${what}`);
  for (const failure of failures.slice(0, 20)) console.log(`FAILED ${failure}`);
  if (failures.length > 0 || slow.length > 0) process.exitCode = 1;
}

withDemoServer(fuzz).catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
