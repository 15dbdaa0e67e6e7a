import type { IncomingMessage, ServerResponse } from "node:http";
import type { RequestHandler } from "express";
import type { Logger } from "pino";
import { pinoHttp } from "pino-http";
import { toldOf } from "../database/failures";

/** An address may be searched with a customer's name: what stands behind the `?` is not told. */
const pathOf = ({ originalUrl, url = "" }: IncomingMessage & { readonly originalUrl?: string }): string =>
  (originalUrl ?? url).split("?", 1)[0] ?? "";

/** What of a request goes into a log: nothing that lets anybody in, and nothing that somebody typed. */
const requestTold = (request: IncomingMessage & { readonly id?: unknown }) => ({
  id: request.id,
  method: request.method,
  path: pathOf(request),
  from: request.socket?.remoteAddress,
});

const responseTold = ({ statusCode }: ServerResponse) => ({ statusCode });

/** Every request of the API with its answer's status and time. `wrapSerializers` would hand over what is made of an error, not the error. */
export const requestLog = (logger: Logger): RequestHandler =>
  pinoHttp({
    logger,
    autoLogging: { ignore: (request) => !request.url?.startsWith("/api/") },
    wrapSerializers: false,
    serializers: { err: toldOf, req: requestTold, res: responseTold },
  });
