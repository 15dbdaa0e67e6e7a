import { useDeferredValue, useState } from "react";
import { Pressable, View } from "react-native";
import useSWR from "swr";
import { ask } from "../api/client";
import { jobListSchema, quoteListSchema } from "../api/records";
import { Sheet } from "../components/Sheet";
import { Faint, Strong, Title, Warning } from "../components/Text";
import { TextField } from "../components/TextField";
import { useJob } from "../job/JobContext";
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
  const [typed, setTyped] = useState("");
  const find = useDeferredValue(typed.trim().slice(0, 160));
  const { currency, system } = record.job;
  const quotes = useSWR(`/jobs/${jobId}/quotes`, (path: string) => ask(quoteListSchema, "GET", path));
  const jobs = useSWR(open ? `/jobs?perPage=30&find=${encodeURIComponent(find)}` : null, (path: string) =>
    ask(jobListSchema, "GET", path),
  );
  const failure: unknown = quotes.error ?? jobs.error;
  const own = (quotes.data?.items ?? []).map((quote) => quoteCandidate(jobId, { system, currency }, quote));
  const others = (jobs.data?.items ?? []).filter(({ id }) => id !== jobId).map(jobCandidate);
  const row = (candidate: Candidate) => {
    const other = candidate.currency !== currency;
    const there = taken.includes(candidate.id);
    return (
      <Pressable
        key={candidate.id}
        role="button"
        aria-disabled={other || there}
        disabled={other || there}
        onPress={() => onChoose(candidate)}
        className={`min-h-12 border-b border-rule py-1 active:bg-pine-wash ${other || there ? "opacity-60" : ""}`}
      >
        <Strong>{candidate.name}</Strong>
        <Faint>
          {other
            ? `In ${candidate.currency}: there is no rate of exchange here.`
            : there
              ? "Beside it already"
              : candidate.under}
        </Faint>
      </Pressable>
    );
  };
  return (
    <Sheet open={open} onClose={onClose} title="Beside this job">
      {failure ? <Warning role="alert">{failure instanceof Error ? failure.message : String(failure)}</Warning> : null}
      {own.length > 0 ? (
        <View>
          <Title level={3}>Quotes of this job</Title>
          {own.map(row)}
        </View>
      ) : null}
      <View className="gap-2">
        <Title level={3}>Other jobs</Title>
        <TextField label="Find a job" value={typed} onChangeText={setTyped} />
        {others.map(row)}
      </View>
    </Sheet>
  );
}
