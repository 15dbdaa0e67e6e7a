import { mutate } from "swr";
import type { FullJob } from "../api/records";
import { keepAnswer } from "../device/kept";
import { deviceStore } from "../device/store";
import type { Command } from "./command";
import { Outbox } from "./outbox";
import { withConfirmed } from "./overlay";
import { type Confirmed, send } from "./send";

export const jobKey = (jobId: string): string => `/jobs/${jobId}`;

function keepConfirmed(command: Command, confirmed: Confirmed | undefined): void {
  const key = jobKey(command.jobId);
  if (!confirmed) {
    void mutate(key);
    return;
  }
  const put = (full: FullJob | undefined) => {
    if (!full) return full;
    const now = withConfirmed(full, confirmed);
    keepAnswer(key, now);
    return now;
  };
  void mutate(key, put, { revalidate: false });
}

/** The app's one outbox. A confirmed change goes into the job that SWR holds; a lost session shows the sign-in page. */
export const outbox = new Outbox({
  store: deviceStore,
  send,
  onConfirmed: keepConfirmed,
  sendAfterMs: 30,
  onSignedOut: () => void mutate("/session"),
});
