import { useDeferredValue, useState } from "react";
import { Pressable, View } from "react-native";
import useSWR from "swr";
import { ask } from "../api/client";
import { type JobListItem, jobListSchema } from "../api/records";
import { Choice } from "../components/Choice";
import { Body, Faint, Strong, Title, Warning } from "../components/Text";
import { TextField } from "../components/TextField";
import { CopyJob } from "./CopyJob";

const FROM = [
  { value: "template", label: "A template" },
  { value: "open", label: "A job" },
  { value: "archived", label: "One put away" },
] as const;
type From = (typeof FROM)[number]["value"];

/** The job or template that the next one starts from. */
export function StartFrom() {
  const [from, setFrom] = useState<From>("template");
  const [typed, setTyped] = useState("");
  const [chosen, setChosen] = useState<JobListItem>();
  const find = useDeferredValue(typed.trim().slice(0, 160));
  const jobs = useSWR(`/jobs?perPage=20&shelf=${from}&find=${encodeURIComponent(find)}`, (path: string) =>
    ask(jobListSchema, "GET", path),
  );
  if (chosen)
    return (
      <View className="gap-3">
        <Title level={2}>{`From ${chosen.job.title}`}</Title>
        <CopyJob
          jobId={chosen.id}
          start={{ title: "", customerName: "", site: "" }}
          parts={[]}
          hasTyped={(chosen.job.pricing?.extras.length ?? 0) > 0}
        />
      </View>
    );
  return (
    <View className="gap-3">
      <Choice label="From" options={FROM} value={from} onChange={setFrom} />
      <TextField label="Find it" value={typed} onChangeText={setTyped} />
      {jobs.error ? (
        <Warning role="alert">{jobs.error instanceof Error ? jobs.error.message : String(jobs.error)}</Warning>
      ) : null}
      {jobs.data?.items.length === 0 ? (
        <Body>
          {from === "template" ? "No templates yet: a copy of any job can be kept as one." : "None is found."}
        </Body>
      ) : null}
      {jobs.data?.items.map((record) => (
        <Pressable
          key={record.id}
          role="button"
          onPress={() => setChosen(record)}
          className="min-h-12 border-b border-rule py-1 active:bg-pine-wash"
        >
          <Strong>{record.job.title}</Strong>
          <Faint>{record.job.customerName}</Faint>
        </Pressable>
      ))}
    </View>
  );
}
