import { format } from "date-fns/format";
import { View } from "react-native";
import useSWR, { mutate } from "swr";
import { ask, tell } from "../api/client";
import { type DeletedJob, deletedJobsSchema } from "../api/records";
import { Button } from "../components/Button";
import { FailureNotice } from "../components/FailureNotice";
import { Body, Faint, Strong } from "../components/Text";
import { useAttempt } from "../components/useAttempt";
import { Pending } from "../components/Waiting";
import { newId } from "../sync/newId";

const DELETED = "/deleted-jobs";

/** Jobs that were deleted: to be had back until they are gone. */
export function DeletedJobs({ find }: { readonly find: string }) {
  const deleted = useSWR(DELETED, () => ask(deletedJobsSchema, "GET", DELETED));
  if (!deleted.data) {
    return <Pending error={deleted.error} what="the deleted jobs" retry={() => void deleted.mutate()} />;
  }
  const words = find.toLowerCase().split(/\s+/);
  const items = deleted.data.items.filter(({ title, customerName }) => {
    const text = `${title} ${customerName}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
  if (items.length === 0 && find !== "") return <Body>{`No deleted job has “${find}”.`}</Body>;
  if (items.length === 0) return <Body>Nothing is deleted. A job is deleted on its price page, under “This job”.</Body>;
  return (
    <View role="list" aria-label="Deleted jobs">
      {items.map((job) => (
        <Row key={job.id} job={job} />
      ))}
    </View>
  );
}

const day = (iso: string): string => format(new Date(iso), "d MMMM");

function Row({ job }: { readonly job: DeletedJob }) {
  const { failure, attempt } = useAttempt();
  const restore = () =>
    void attempt(async () => {
      await tell("POST", `/jobs/${job.id}/restore`, { commandId: newId() });
      await mutate((key) => typeof key === "string" && (key === DELETED || key.startsWith("/jobs?")));
    });
  return (
    <View role="listitem" className="gap-1 border-b border-rule py-3">
      <View className="flex-row items-center justify-between gap-3">
        <View className="min-w-0 flex-1">
          <Strong className="text-lg">{job.title}</Strong>
          <Body>{job.customerName}</Body>
          <Faint>{`Deleted on ${day(job.binnedAt)} by ${job.by}. Gone for good on ${day(job.goneAt)}.`}</Faint>
        </View>
        <Button label="Restore" name={`Restore ${job.title}`} kind="plain" onPress={restore} />
      </View>
      <FailureNotice title="Not restored" failure={failure} />
    </View>
  );
}
