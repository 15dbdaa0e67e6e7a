import type { Request } from "express";
import type { SignedIn } from "./signedIn";

/** A request as plain data, so that another thread can answer it. */
export type Received = {
  readonly params: Readonly<Record<string, string>>;
  readonly query: unknown;
  /** What was sent: parsed, or as bytes where its endpoint reads them itself. */
  readonly body: unknown;
  readonly ifNoneMatch: string | undefined;
  /** The device's own name for a change (`Idempotency-Key`): the same sent twice counts once. */
  readonly commandId: string | undefined;
  /** What the device calls itself. */
  readonly userAgent: string;
  /** The address of the network that it comes from. */
  readonly place: string;
  /** What the device is known by, where it was here before. */
  readonly device: string | undefined;
  readonly signedIn: SignedIn | undefined;
};

const textOf = (value: string | string[] | undefined): string =>
  Array.isArray(value) ? value.join("/") : (value ?? "");

export const receivedOf = (request: Request): Received => ({
  params: Object.fromEntries(Object.entries(request.params).map(([name, value]) => [name, textOf(value)])),
  query: { ...request.query },
  body: request.body,
  ifNoneMatch: request.get("if-none-match"),
  commandId: request.get("idempotency-key"),
  userAgent: (request.get("user-agent") ?? "").slice(0, 300),
  place: request.ip ?? "",
  device: request.device,
  signedIn: request.signedIn,
});
