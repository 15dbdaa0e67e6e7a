import type { Response } from "express";
import { BytesInFlight } from "./bytesInFlight";
import { busy } from "./problemDetails";

const MB = 1024 * 1024;
/** Answers that wait for those who read them: of one company, and in all. */
const HELD = { ofOne: 120 * MB, inAll: 300 * MB };
/** Below this they are nothing to count. */
const SMALL = 64 * 1024;
/** A reader who takes nothing for so long, or takes it at less than this pace, has gone. */
const SILENT_MS = 60_000;
const SLOWEST_BYTES_S = 4 * 1024;

const held = new BytesInFlight(HELD);

/** Sends bytes, counted until they are read. Throws 503 where too many wait to be read already. */
export function sendCounted(response: Response, bytes: Uint8Array, company: string): void {
  if (bytes.byteLength <= SMALL) {
    response.end(bytes);
    return;
  }
  const met = held.take(company, bytes.byteLength);
  if (met !== undefined) throw busy({ ownFault: met === "of-one" });
  const longestMs = SILENT_MS + (bytes.byteLength / SLOWEST_BYTES_S) * 1000;
  const end = setTimeout(() => response.destroy(), longestMs);
  response.setTimeout(SILENT_MS, () => response.destroy());
  response.once("close", () => {
    clearTimeout(end);
    held.giveBack(company, bytes.byteLength);
  });
  response.end(bytes);
}
