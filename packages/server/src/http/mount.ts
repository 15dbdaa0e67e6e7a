import { pipeline } from "node:stream/promises";
import type { RequestHandler, Response, Router } from "express";
import { LRUCache } from "lru-cache";
import type { HeavyAnswers } from "../pool/heavyAnswers";
import { SESSION_COOKIE } from "../sessions/signedIn";
import { admitted, type Endpoint } from "./endpoint";
import { unfit } from "./problemDetails";
import { type Received, receivedOf } from "./received";
import { type Outgoing, outgoingOf } from "./reply";
import { textProblems } from "./wellFormed";

const MOST_BYTES = 64 * 1024 * 1024;
const NOTHING: Uint8Array = new Uint8Array();

/** Answers by what they follow from: what nobody touched is not worked out again, and what two ask for at once is worked out once. */
class Answers {
  private readonly known = new LRUCache<string, Outgoing>({
    maxSize: MOST_BYTES,
    sizeCalculation: ({ bytes }) => (bytes?.byteLength ?? 0) + 200,
  });
  private readonly coming = new Map<string, Promise<Outgoing>>();

  async of(key: string, work: () => Promise<Outgoing>): Promise<Outgoing> {
    const before = this.known.get(key);
    if (before) return before;
    const coming = this.coming.get(key) ?? this.begun(key, work);
    return coming;
  }

  private begun(key: string, work: () => Promise<Outgoing>): Promise<Outgoing> {
    const coming = work()
      .then((answer) => {
        this.known.set(key, answer);
        return answer;
      })
      .finally(() => this.coming.delete(key));
    this.coming.set(key, coming);
    return coming;
  }
}

export type Mounted = { readonly heavy: HeavyAnswers; readonly secureCookies: boolean; readonly build: string };

async function send(response: Response, outgoing: Outgoing, secure: boolean): Promise<void> {
  const { status, headers, bytes, stream, cookie } = outgoing;
  if (cookie === null) response.clearCookie(SESSION_COOKIE, { path: "/" });
  else if (cookie !== undefined) {
    const { token, expires } = cookie;
    response.cookie(SESSION_COOKIE, token, { httpOnly: true, sameSite: "strict", secure, expires, path: "/" });
  }
  for (const [name, value] of Object.entries(headers)) response.setHeader(name, value);
  response.status(status);
  if (stream) {
    await pipeline(stream, response);
    return;
  }
  response.end(bytes ?? NOTHING);
}

/** A body that nobody reads stays here; one nested without end could not be handed over. Throws 422. */
function forAnotherThread({ body, bodyOf }: Endpoint, received: Received): Received {
  if (!body && bodyOf === undefined) return { ...received, body: undefined };
  const problems = textProblems(received.body);
  if (problems.length > 0) throw unfit(problems);
  return received;
}

/** Declarations as routes. */
export function mount(router: Router, endpoints: readonly Endpoint[], { heavy, secureCookies, build }: Mounted): void {
  const answers = new Answers();

  async function worked(endpoint: Endpoint, received: Received): Promise<Outgoing> {
    if (!endpoint.heavy) return outgoingOf(endpoint.status, await endpoint.run(received));
    return heavy.answer(endpoint, forAnotherThread(endpoint, received));
  }

  async function answered(endpoint: Endpoint, received: Received): Promise<Outgoing> {
    if (endpoint.access !== "public") admitted(endpoint.access, received.signedIn);
    const { signedIn } = received;
    if (!endpoint.tag || !signedIn) return worked(endpoint, received);
    const tag = `"${build.slice(0, 12)}-${await endpoint.tag(received, signedIn)}"`;
    const headers = { ETag: tag, "Cache-Control": "private, no-cache" };
    if (received.ifNoneMatch === tag) return { status: 304, headers, bytes: undefined };
    const key = `${endpoint.method} ${endpoint.path} ${tag}`;
    const answer = await answers.of(key, () => worked(endpoint, received));
    return { ...answer, headers: { ...answer.headers, ...headers } };
  }

  const handlerOf =
    (endpoint: Endpoint): RequestHandler =>
    async (request, response) =>
      send(response, await answered(endpoint, receivedOf(request)), secureCookies);

  for (const endpoint of endpoints) router[endpoint.method](endpoint.path, handlerOf(endpoint));
}
