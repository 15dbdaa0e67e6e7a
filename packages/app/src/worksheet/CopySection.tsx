import { type Extra, formatMoney, priceTimes, soMany, sumMoney } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import type { JobListItem } from "../api/records";
import { Button } from "../components/Button";
import { Body, Faint, Strong, Title, Warning } from "../components/Text";
import { useJob } from "../job/JobContext";
import { JobPicker } from "../jobs/JobPicker";
import { useChangePricing } from "../price/useChangePricing";
import { newId } from "../sync/newId";

const MOST_EXTRAS = 200;

/** Typed lines by the section that they are put under. */
function sectionsOf(extras: readonly Extra[]): ReadonlyMap<string, readonly Extra[]> {
  const sections = new Map<string, Extra[]>();
  for (const extra of extras) sections.set(extra.section, [...(sections.get(extra.section) ?? []), extra]);
  return sections;
}

/** A section of typed lines out of another job, as it stands there; it goes its own way here. */
export function CopySection({ onDone }: { readonly onDone: () => void }) {
  const { record, jobId } = useJob("record", "jobId");
  const change = useChangePricing();
  const [from, setFrom] = useState<JobListItem>();
  const own = record.job.pricing?.extras.length ?? 0;
  const copy = (lines: readonly Extra[]) => {
    change(({ extras }) => ({
      extras: [...extras, ...lines.map((extra) => ({ ...extra, id: newId(), measuredBy: null }))],
    }));
    onDone();
  };
  if (from) {
    const sections = [...sectionsOf(from.job.pricing?.extras ?? [])];
    return (
      <View className="gap-2">
        <Title level={3}>{from.job.title}</Title>
        {from.job.currency === record.job.currency ? null : (
          <Warning>{`Its figures are in ${from.job.currency}; they are copied as they are.`}</Warning>
        )}
        {sections.length === 0 ? <Body>Nothing was typed in that job.</Body> : null}
        {sections.map(([section, lines]) => (
          <View key={section} className="flex-row items-center gap-2 border-b border-rule py-1">
            <View className="min-w-0 flex-1">
              <Strong>{section || "In no section"}</Strong>
              <Faint className="figures">
                {`${soMany(lines.length, "line", "lines")}, ${formatMoney(sumMoney(lines.map(({ cost, quantity }) => priceTimes(cost, quantity))), from.job.currency)}`}
              </Faint>
            </View>
            <Button
              label="Copy"
              name={`Copy ${section || "what is in no section"}`}
              kind="plain"
              disabled={own + lines.length > MOST_EXTRAS}
              onPress={() => copy(lines)}
            />
          </View>
        ))}
        {sections.some(([, lines]) => own + lines.length > MOST_EXTRAS) ? (
          <Faint>{`A job has at most ${MOST_EXTRAS} typed lines.`}</Faint>
        ) : null}
        <Button label="Another job" kind="quiet" onPress={() => setFrom(undefined)} />
      </View>
    );
  }
  return <JobPicker label="Out of which job" without={jobId} onChoose={setFrom} />;
}
