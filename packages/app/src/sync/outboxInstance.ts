import { mutate } from "swr";
import type { FullJob } from "../api/records";
import type { Command } from "./command";
import { Outbox } from "./outbox";
import { withConfirmed } from "./overlay";
import type { Confirmed } from "./send";

export const jobKey = (jobId: string): string => `/jobs/${jobId}`;

function keepConfirmed(command: Command, confirmed: Confirmed | undefined): void {
  const key = jobKey(command.jobId);
  if (!confirmed) {
    void mutate(key);
    return;
  }
  const put = (full: FullJob | undefined) => (full ? withConfirmed(full, confirmed) : full);
  void mutate(key, put, { revalidate: false });
}

/** The app's one outbox. A confirmed change goes into the job that SWR holds; a lost session shows the sign-in page. */
export const outbox = new Outbox(keepConfirmed, () => void mutate("/session"));
