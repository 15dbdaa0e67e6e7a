import { mutate } from "swr";
import type { FullJob } from "../api/records";
import { Outbox } from "./outbox";
import { withConfirmed } from "./overlay";

export const jobKey = (jobId: string): string => `/jobs/${jobId}`;

/** The app's one outbox. A confirmed change goes into the job that SWR holds, without asking for it again. */
export const outbox = new Outbox((command, confirmed) => {
  const key = jobKey(command.jobId);
  if (!confirmed) {
    void mutate(key);
    return;
  }
  const put = (full: FullJob | undefined) => (full ? withConfirmed(full, confirmed) : full);
  void mutate(key, put, { revalidate: false });
});
