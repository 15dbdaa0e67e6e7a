import type { Request, RequestHandler, Response } from "express";
import { ipKeyGenerator } from "express-rate-limit";
import { BytesInFlight } from "./bytesInFlight";
import { busy, HttpProblem } from "./problemDetails";

const KB = 1024;
const MB = 1024 * KB;

/** What somebody sends before they are signed in: an address, a password, a name. */
export const UNKNOWN_BODY = 16 * KB;
/** A record that the thread that listens reads itself. */
export const USUAL_BODY = 128 * KB;

/** Of people who are signed in: one job file with its photos. Of a place where nobody is: a site office that signs in. */
const OF_PEOPLE = { ofOne: 210 * MB, inAll: 260 * MB };
const OF_PLACES = { ofOne: 2 * MB, inAll: 16 * MB };

/** After this a body has to come at some pace: what comes a byte at a time comes from nobody who is in a hurry. */
const GRACE_MS = 20_000;
const SLOWEST_BYTES_S = 4 * KB;
const LOOKED_AT_EVERY_MS = 2000;

const tooSlow = (): HttpProblem =>
  new HttpProblem(408, {
    title: "Sent too slowly",
    detail: "The request did not arrive in time. Nothing was changed.",
  });

const tooLarge = (limit: number): HttpProblem =>
  new HttpProblem(413, { detail: `At most ${Math.round(limit / KB).toLocaleString("en")} kB can be sent here.` });

/** Says why, and takes nothing more of what is still on its way. */
function refuse(request: Request, response: Response, problem: HttpProblem): void {
  if (response.headersSent) return;
  const { details } = problem;
  response.set("Connection", "close");
  if (problem.retryAfterS !== undefined) response.set("Retry-After", String(problem.retryAfterS));
  response.status(details.status).type("application/problem+json");
  response.end(JSON.stringify(details), () => request.destroy());
}

export type Receiving = {
  /** Lets a body of at most so many bytes come in: counted while it is held, and given up where it comes too slowly. */
  readonly upTo: (limit: (request: Request) => number) => RequestHandler;
  /** Bytes of bodies that are held now. */
  readonly held: () => number;
};

/** A body that announces nothing and sends nothing. */
const hasBody = ({ headers }: Request): boolean =>
  headers["transfer-encoding"] !== undefined || Number(headers["content-length"] ?? 0) > 0;

/** Bodies are counted from their first byte until they are answered: by person, by place where nobody is signed in, and in all. */
export function startReceiving(slowest: { readonly graceMs: number } = { graceMs: GRACE_MS }): Receiving {
  const people = new BytesInFlight(OF_PEOPLE);
  const places = new BytesInFlight(OF_PLACES);

  const upTo =
    (limitOf: (request: Request) => number): RequestHandler =>
    (request, response, next) => {
      // One that was read as bytes already has been counted.
      if (!hasBody(request) || request.readableEnded) return next();
      const limit = limitOf(request);
      if (Number(request.headers["content-length"] ?? 0) > limit) return refuse(request, response, tooLarge(limit));
      const { signedIn } = request;
      const counted = signedIn ? people : places;
      const key = signedIn ? signedIn.user.id : ipKeyGenerator(request.ip ?? "");
      const from = Date.now();
      let received = 0;
      const count = (chunk: Buffer): void => {
        const met = counted.take(key, chunk.length);
        if (met === undefined) {
          received += chunk.length;
          return;
        }
        request.off("data", count);
        refuse(request, response, busy({ ownFault: met === "of-one" }));
      };
      const look = setInterval(
        () => {
          const lateMs = Date.now() - from - slowest.graceMs;
          if (lateMs > 0 && received < (lateMs / 1000) * SLOWEST_BYTES_S) refuse(request, response, tooSlow());
        },
        Math.min(LOOKED_AT_EVERY_MS, slowest.graceMs),
      );
      const stop = (): void => clearInterval(look);
      request.on("data", count).once("end", stop).once("close", stop);
      response.once("close", () => {
        stop();
        counted.giveBack(key, received);
      });
      next();
    };

  return { upTo, held: () => people.inAll() + places.inAll() };
}
