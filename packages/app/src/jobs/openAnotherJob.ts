import { type Href, router } from "expo-router";

/** Long enough for the page of the first job to be gone. */
const LEAVE_MS = 60;

/** From a job to another by way of the jobs: a page stays with the job that it was opened for. */
export function openAnotherJob(jobId: string): void {
  router.replace("/jobs" as Href);
  setTimeout(() => router.replace(`/jobs/${jobId}/measure` as Href), LEAVE_MS);
}
