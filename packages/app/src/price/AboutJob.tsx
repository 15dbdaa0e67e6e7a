import type { Part } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { Sheet } from "../components/Sheet";
import { Faint } from "../components/Text";
import { Copy } from "../icons";
import { useJob } from "../job/JobContext";
import { CopyJob } from "../jobs/CopyJob";
import { DeleteJob } from "../jobs/DeleteJob";
import { STAGES } from "../jobs/jobWords";

const byName = (a: Part, b: Part): number => a.name.localeCompare(b.name);

/** How far the job has come, where it is kept, and the next one that starts from it. */
export function AboutJob() {
  const { record, parts, changeJob } = useJob("record", "parts", "changeJob");
  const [copying, setCopying] = useState(false);
  const { title, customerName, site, stage, shelf, pricing } = record.job;
  return (
    <View className="gap-3">
      <Choice label="How far it has come" options={STAGES} value={stage} onChange={(to) => changeJob({ stage: to })} />
      <View className="flex-row flex-wrap gap-2">
        <Button label="Copy this job" kind="plain" icon={Copy} onPress={() => setCopying(true)} />
        {shelf === "template" ? null : (
          <Button
            label={shelf === "archived" ? "Take it out again" : "Put it away"}
            kind="plain"
            onPress={() => changeJob({ shelf: shelf === "archived" ? "open" : "archived" })}
          />
        )}
      </View>
      <DeleteJob jobId={record.id} title={title} />
      {shelf === "archived" ? <Faint>Put away: it is found under “Put away” among the jobs.</Faint> : null}
      {shelf === "template" ? <Faint>A template: others start from it, and it is no job by itself.</Faint> : null}
      <Sheet open={copying} onClose={() => setCopying(false)} title="Copy this job">
        <CopyJob
          jobId={record.id}
          start={{ title: `${title}, copy`, customerName, site }}
          parts={parts.toSorted(byName)}
          hasTyped={(pricing?.extras.length ?? 0) > 0}
        />
      </Sheet>
    </View>
  );
}
