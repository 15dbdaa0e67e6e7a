import { randomUUID } from "node:crypto";
import { setTimeout as pause } from "node:timers/promises";
import type { JobFile } from "@wide-porch/core";
import { brokenJobFile } from "../packages/server/src/testing/brokenJobFiles";
import { hostileRequest, type Operation, randomBy } from "../packages/server/src/testing/hostileRequests";
import { validRequests } from "../packages/server/src/testing/validRequests";
// @ts-expect-error: a script without types
import { signedIn } from "./lib/api.mjs";
// @ts-expect-error: a script without types
import { withDemoServer } from "./lib/demoServer.mjs";

/**
 * `npm run fuzz -- 5000 7`: so many hostile requests over every endpoint of the OpenAPI document, by that seed. One in ten is a job file with
 * broken records; what is taken of it is opened, counted and priced.
 */
const [, , requests = "5000", seed = "1"] = process.argv;
const LONGEST_MS = 2000;
/** Everything of a company as a stream: as many jobs as these requests have made. */
const AS_LONG_AS_IT_TAKES = "get /company/file";
const AT_ONCE = 2;
const FILE_EVERY = 10;
/** What a job that was taken in must answer for ever. */
const OPENED = ["", "/counts", "/price", "/total", "/quote-draft", "/changes?since=0"];
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
  const jobFile = valid.get("post /job-files")?.body as JobFile;
  let filesTaken = 0;
  const times: { readonly ms: number; readonly what: string }[] = [];

  async function sent(what: string, asking: Promise<Response>): Promise<Response | undefined> {
    const from = performance.now();
    const answer: unknown = await asking.catch((error: unknown) => error);
    if (!(answer instanceof Response)) {
      failures.push(`${what}: ${answer}`);
      return undefined;
    }
    const bytes = await answer.arrayBuffer();
    times.push({ ms: performance.now() - from, what });
    statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
    if (answer.status >= 500) failures.push(`${what}: ${answer.status}`);
    if (answer.status === 401) ros = await signedIn(api, OWNER);
    return new Response(bytes.byteLength === 0 ? null : bytes, { status: answer.status });
  }

  /** A file with broken records; a job that was made of it is opened, and thrown away. */
  async function oneFile(): Promise<void> {
    const broken = brokenJobFile(random, jobFile);
    const what = `a job file (${broken.odd})`;
    const answer = await sent(what, ros.ask("POST", "/job-files", broken.text));
    if (answer?.status !== 201) return;
    filesTaken += 1;
    const job: { readonly id: string } = await answer.json();
    for (const path of OPENED) {
      const opened = await sent(`${path} of ${what}`, ros.ask("GET", `/jobs/${job.id}${path}`));
      if (opened?.status !== 200) failures.push(`${path} of ${what}: ${opened.status}`);
    }
    await sent(`bin of ${what}`, ros.ask("POST", `/jobs/${job.id}/bin`, { commandId: randomUUID() }));
  }

  async function one(index: number): Promise<void> {
    if (index % FILE_EVERY === 0) return oneFile();
    const operation = operations[index % operations.length];
    if (!operation) return;
    const fits = valid.get(`${operation.method} ${operation.path}`) ?? { params: {} };
    const { method, path, body, headers, odd } = hostileRequest(random, operation, fits);
    await sent(`${operation.method} ${operation.path} (${odd})`, ros.ask(method.toUpperCase(), path, body, headers));
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

  const slow = times.filter(({ ms, what }) => ms > LONGEST_MS && !what.startsWith(AS_LONG_AS_IT_TAKES));
  const sorted = times.map(({ ms }) => ms).toSorted((a, b) => a - b);
  console.log(`${requests} hostile requests over ${operations.length} operations, seed ${seed}`);
  console.log(
    `of ${Math.ceil(Number(requests) / FILE_EVERY)} job files with broken records ${filesTaken} were taken in`,
  );
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
