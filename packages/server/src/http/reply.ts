import { Readable } from "node:stream";

/** The session's cookie: a token to keep until a time, with what the device is known by; or null to be forgotten. */
export type CookieChange = { readonly token: string; readonly expires: Date; readonly device: string } | null;

/** An answer that is more than a record to be written as JSON: bytes, headers of its own, a cookie. */
export class Reply {
  constructor(
    readonly body: Uint8Array | Readable | object | undefined,
    readonly more: {
      readonly contentType?: string;
      readonly headers?: Readonly<Record<string, string>>;
      readonly cookie?: CookieChange;
    } = {},
  ) {}
}

/** What goes out, as plain data that passes between threads. */
export type Outgoing = {
  readonly status: number;
  readonly headers: Readonly<Record<string, string>>;
  readonly bytes: Uint8Array | undefined;
  /** What is written as it comes, in the place of bytes; by the thread that listens alone. */
  readonly stream?: Readable;
  readonly cookie?: CookieChange;
};

const JSON_TYPE = "application/json; charset=utf-8";
const jsonBytes = (value: unknown): Uint8Array => Buffer.from(JSON.stringify(value));

/** What a handler gave, as what goes out under the endpoint's status. */
export function outgoingOf(status: number, answer: unknown): Outgoing {
  if (answer === undefined) return { status, headers: {}, bytes: undefined };
  if (!(answer instanceof Reply)) return { status, headers: { "Content-Type": JSON_TYPE }, bytes: jsonBytes(answer) };
  const { body, more } = answer;
  const headers = { ...(body === undefined ? {} : { "Content-Type": more.contentType ?? JSON_TYPE }), ...more.headers };
  if (body instanceof Readable) return { status, headers, bytes: undefined, stream: body };
  const bytes = body === undefined || body instanceof Uint8Array ? body : jsonBytes(body);
  return { status, headers, bytes, ...(more.cookie === undefined ? {} : { cookie: more.cookie }) };
}
