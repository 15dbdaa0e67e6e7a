import { useState } from "react";
import { View } from "react-native";
import type { JobListItem } from "../api/records";
import { Choice } from "../components/Choice";
import { Title } from "../components/Text";
import { CopyJob } from "./CopyJob";
import { JobPicker } from "./JobPicker";

const FROM = [
  { value: "template", label: "A template" },
  { value: "open", label: "A job" },
  { value: "archived", label: "One put away" },
] as const;
type From = (typeof FROM)[number]["value"];

/** The job or template that the next one starts from. */
export function StartFrom() {
  const [from, setFrom] = useState<From>("template");
  const [chosen, setChosen] = useState<JobListItem>();
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
  const none = from === "template" ? "No templates yet: a copy of any job can be kept as one." : "None is found.";
  return (
    <View className="gap-3">
      <Choice label="From" options={FROM} value={from} onChange={setFrom} />
      <JobPicker label="Find it" shelf={from} none={none} onChoose={setChosen} />
    </View>
  );
}
