import { Pressable, View } from "react-native";
import useSWR from "swr";
import { ask } from "../api/client";
import { type JobListItem, quoteListSchema } from "../api/records";
import { Sheet } from "../components/Sheet";
import { Faint, Strong, Title, Warning } from "../components/Text";
import { useJob } from "../job/JobContext";
import { JobPicker } from "../jobs/JobPicker";
import { type Candidate, jobCandidate, quoteCandidate } from "./estimates";

type Props = {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly taken: readonly string[];
  readonly onChoose: (candidate: Candidate) => void;
};

/** What can be put beside the open job: its own quotes, and other jobs in its currency. */
export function CandidateSheet({ open, onClose, taken, onChoose }: Props) {
  const { record, jobId } = useJob("record", "jobId");
  const { currency, system } = record.job;
  const quotes = useSWR(`/jobs/${jobId}/quotes`, (path: string) => ask(quoteListSchema, "GET", path));
  const failure: unknown = quotes.error;
  const own = (quotes.data?.items ?? []).map((quote) => quoteCandidate(jobId, { system, currency }, quote));
  const isThere = (id: string) => (taken.includes(id) ? "Beside it already" : undefined);
  const refusal = (other: JobListItem) =>
    other.job.currency === currency
      ? isThere(jobCandidate(other).id)
      : `In ${other.job.currency}: there is no rate of exchange here.`;
  return (
    <Sheet open={open} onClose={onClose} title="Beside this job">
      {failure ? <Warning role="alert">{failure instanceof Error ? failure.message : String(failure)}</Warning> : null}
      {own.length > 0 ? (
        <View>
          <Title level={3}>Quotes of this job</Title>
          {own.map((candidate) => (
            <Pressable
              key={candidate.id}
              role="button"
              disabled={isThere(candidate.id) !== undefined}
              onPress={() => onChoose(candidate)}
              className={`min-h-12 border-b border-rule py-1 active:bg-pine-wash ${isThere(candidate.id) ? "opacity-60" : ""}`}
            >
              <Strong>{candidate.name}</Strong>
              <Faint>{isThere(candidate.id) ?? candidate.under}</Faint>
            </Pressable>
          ))}
        </View>
      ) : null}
      <View className="gap-2">
        <Title level={3}>Other jobs</Title>
        <JobPicker
          label="Find a job"
          without={jobId}
          refusal={refusal}
          onChoose={(other) => onChoose(jobCandidate(other))}
        />
      </View>
    </Sheet>
  );
}
