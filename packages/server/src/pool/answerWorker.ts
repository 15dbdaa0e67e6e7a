import { pino } from "pino";
import Piscina from "piscina";
import type { DataSource } from "typeorm";
import type { Config } from "../config";
import { createDataSource } from "../database/dataSource";
import { whyFailed } from "../database/failures";
import { allEndpoints } from "../endpoints";
import { type Endpoint, keyOf } from "../http/endpoint";
import { toProblem } from "../http/problemDetails";
import { outgoingOf } from "../http/reply";
import { startServices } from "../services";
import { type Answered, READY, type Task } from "./heavyAnswers";

/** Connections of one thread: what it answers waits for the database one thing after another. */
const CONNECTIONS = 2;

const config: Config = Piscina.workerData;
const dataSource = createDataSource(config, CONNECTIONS);
const endpoints = new Map(
  allEndpoints(
    dataSource,
    config,
    startServices(config, pino({ level: config.logLevel }), () => config.address ?? ""),
  )
    .filter(({ lane }) => lane !== undefined)
    .map((endpoint) => [keyOf(endpoint), endpoint]),
);

let connecting: Promise<DataSource> | undefined;
/** Tried anew by the next request where the database did not answer. */
async function connected(): Promise<void> {
  connecting ??= dataSource.initialize();
  try {
    await connecting;
  } catch (error) {
    connecting = undefined;
    throw error;
  }
}

function endpointOf(key: string): Endpoint {
  const endpoint = endpoints.get(key);
  if (!endpoint) throw new Error(`answerWorker: “${key}” is answered by no thread`);
  return endpoint;
}

/** Answers one request. What goes wrong is said as a problem: errors do not pass between threads whole. */
async function answered({ key, received }: Task): Promise<Answered> {
  try {
    await connected();
    const endpoint = endpointOf(key);
    return { outgoing: outgoingOf(endpoint.status, await endpoint.run(received)) };
  } catch (error) {
    const { details } = toProblem(error);
    if (details.status < 500) return { problem: details };
    return { problem: details, why: whyFailed(error) };
  }
}

/** The bytes of an answer are handed over, not copied: a large house's are tens of megabytes. */
function movable(answer: Answered): Answered {
  const bytes = "outgoing" in answer ? answer.outgoing.bytes : undefined;
  if (!bytes || bytes.buffer.byteLength !== bytes.byteLength) return answer;
  const given: unknown = { [Piscina.transferableSymbol]: [bytes.buffer], [Piscina.valueSymbol]: answer };
  // Its type names symbols that the package keeps to itself; what is moved arrives as the value.
  return Piscina.move(given as ArrayBuffer) as unknown as Answered;
}

export default async (task: Task | typeof READY): Promise<Answered | undefined> =>
  task === READY ? undefined : movable(await answered(task));
