import { type Remote, wrap } from "comlink";
import type { Reckoner } from "./reckon.worker";

let remote: Remote<Reckoner> | undefined;

/** One worker for the app's life, made when it is first needed. */
export function reckoner(): Remote<Reckoner> {
  remote ??= wrap<Reckoner>(new Worker(new URL("./reckon.worker", import.meta.url)));
  return remote;
}
