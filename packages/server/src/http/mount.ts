import { pipeline } from "node:stream/promises";
import type { RequestHandler, Response, Router } from "express";
import { LRUCache } from "lru-cache";
import type { DataSource } from "typeorm";
import { noteEvent } from "../events/note";
import type { HeavyAnswers } from "../pool/heavyAnswers";
import { cookieNames, DEVICE_DAYS } from "../sessions/cookies";
import { DAY_MS } from "../sessions/store";
import { admitted, type Endpoint } from "./endpoint";
import { unfit } from "./problemDetails";
import { type Received, receivedOf } from "./received";
import { type Outgoing, outgoingOf } from "./reply";
import { sendCounted } from "./sending";
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

export type Mounted = {
  readonly dataSource: DataSource;
  readonly heavy: HeavyAnswers;
  readonly secureCookies: boolean;
  readonly build: string;
};

/** The session's cookie and that of the device, or their end. The device is known beyond the session: it lets nobody in. */
function setCookies(response: Response, cookie: Outgoing["cookie"], secure: boolean): void {
  if (cookie === undefined) return;
  const names = cookieNames(secure);
  const plain = { httpOnly: true, sameSite: "strict", secure, path: "/" } as const;
  if (cookie === null) {
    response.clearCookie(names.session, plain);
    return;
  }
  const { token, expires, device } = cookie;
  response.cookie(names.session, token, { ...plain, expires });
  response.cookie(names.device, device, { ...plain, expires: new Date(Date.now() + DEVICE_DAYS * DAY_MS) });
}

async function send(response: Response, outgoing: Outgoing, secure: boolean, company: string): Promise<void> {
  const { status, headers, bytes, stream, cookie } = outgoing;
  setCookies(response, cookie, secure);
  for (const [name, value] of Object.entries(headers)) response.setHeader(name, value);
  response.status(status);
  if (stream) {
    await pipeline(stream, response);
    return;
  }
  sendCounted(response, bytes ?? NOTHING, company);
}

/** A body that nobody reads stays here; one nested without end could not be handed over. Throws 422. */
function forAnotherThread({ body, bodyOf }: Endpoint, received: Received): Received {
  if (!body && bodyOf === undefined) return { ...received, body: undefined };
  const problems = textProblems(received.body);
  if (problems.length > 0) throw unfit(problems);
  return received;
}

/** Declarations as routes. */
export function mount(router: Router, endpoints: readonly Endpoint[], mounted: Mounted): void {
  const { dataSource, heavy, secureCookies, build } = mounted;
  const answers = new Answers();

  async function worked(endpoint: Endpoint, received: Received, isWanted?: () => boolean): Promise<Outgoing> {
    if (!endpoint.lane) return outgoingOf(endpoint.status, await endpoint.run(received));
    const { signedIn } = received;
    const atOnce = signedIn && (await endpoint.atOnce?.(received, signedIn));
    if (atOnce !== undefined) return outgoingOf(endpoint.status, atOnce);
    return heavy.answer(endpoint, forAnotherThread(endpoint, received), isWanted);
  }

  async function answered(endpoint: Endpoint, received: Received, isWanted: () => boolean): Promise<Outgoing> {
    if (endpoint.access !== "public") admitted(endpoint, received.signedIn);
    const { signedIn } = received;
    if (!endpoint.tag || !signedIn) return worked(endpoint, received, isWanted);
    const tag = `"${build.slice(0, 12)}-${await endpoint.tag(received, signedIn)}"`;
    if (received.ifNoneMatch === tag) return { status: 304, headers: { ETag: tag }, bytes: undefined };
    // Others may ask for the same and wait for it: it is worked out whoever goes away.
    const key = `${endpoint.method} ${endpoint.path} ${tag}`;
    const answer = await answers.of(key, () => worked(endpoint, received));
    return { ...answer, headers: { ...answer.headers, ETag: tag } };
  }

  async function note({ noted }: Endpoint, received: Received): Promise<void> {
    if (!noted || !received.signedIn) return;
    const about = (await noted.about?.(received, dataSource)) ?? "";
    await noteEvent(dataSource, noted.what, received.signedIn.user, received, about);
  }

  const handlerOf =
    (endpoint: Endpoint): RequestHandler =>
    async (request, response) => {
      const received = receivedOf(request);
      const outgoing = await answered(endpoint, received, () => !response.destroyed);
      await note(endpoint, received);
      await send(response, outgoing, secureCookies, received.signedIn?.user.companyId ?? "");
    };

  for (const endpoint of endpoints) router[endpoint.method](endpoint.path, handlerOf(endpoint));
}
