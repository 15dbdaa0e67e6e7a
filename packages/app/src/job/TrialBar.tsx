import { formatChange, formatMoney, lessMoney, soMany } from "@wide-porch/core";
import { lazy, Suspense, useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Sheet } from "../components/Sheet";
import { Faint, Strong } from "../components/Text";
import { useJob } from "./JobContext";

const TrialChanges = lazy(() => import("./TrialChanges").then((module) => ({ default: module.TrialChanges })));

/** While something is tried: what it does to the total, and the ways out. */
export function TrialBar() {
  const { trial, reckoning, record, takeTrial, dropTrial } = useJob(
    "trial",
    "reckoning",
    "record",
    "takeTrial",
    "dropTrial",
  );
  const [open, setOpen] = useState(false);
  if (!trial) return null;
  const { currency } = record.job;
  const before = trial.before?.buildUp?.total;
  const now = reckoning?.buildUp?.total;
  const tried = trial.steps.length;
  return (
    <View role="region" aria-label="On trial" className="gap-2 border-b border-clay bg-clay-wash px-4 py-2">
      <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
        <Strong role="status">
          {tried === 0
            ? "On trial: change any figure, rule or price. Nothing is kept until it is taken."
            : `On trial, ${soMany(tried, "change", "changes")}`}
        </Strong>
        {tried > 0 && before !== undefined && now !== undefined ? (
          <Faint className="figures" testID="trial-total">
            {`${formatMoney(before, currency)} → ${formatMoney(now, currency)}, ${formatChange(lessMoney(now, before), currency)}`}
          </Faint>
        ) : null}
      </View>
      <View className="flex-row flex-wrap gap-2">
        {tried > 0 ? <Button label="What it moves" kind="plain" onPress={() => setOpen(true)} /> : null}
        {tried > 0 ? <Button label="Take it" onPress={takeTrial} /> : null}
        <Button label={tried > 0 ? "Drop it" : "Stop trying"} kind="plain" onPress={dropTrial} />
      </View>
      <Sheet open={open} onClose={() => setOpen(false)} title="What it moves">
        <Suspense fallback={null}>
          <TrialChanges />
        </Suspense>
      </Sheet>
    </View>
  );
}
