import {
  type CountChange,
  compareCounts,
  type MeasuringSystem,
  type Part,
  plural,
  quantityText,
} from "@wide-porch/core";
import { useEffect, useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Body, Faint, Strong } from "../components/Text";
import type { DeviceJob, Rules } from "../worker/reckon.worker";
import { reckoner } from "../worker/reckoner";

type Props = {
  readonly job: DeviceJob;
  readonly before: { readonly parts: readonly Part[]; readonly rules: Rules };
  readonly after: { readonly parts: readonly Part[]; readonly rules: Rules };
};

const SHOWN = 12;

/** Every quantity of a job that another way of building would change, and by how much. */
export function ChangePreview({ job, before, after }: Props) {
  const [changes, setChanges] = useState<readonly CountChange[]>();
  const [all, setAll] = useState(false);
  useEffect(() => {
    let current = true;
    const ask = async () => {
      const was = await reckoner().countBy(job, before.parts, before.rules);
      const would = await reckoner().countBy(job, after.parts, after.rules);
      if (current) setChanges(compareCounts(was, would));
    };
    void ask();
    return () => {
      current = false;
    };
  }, [job, before, after]);
  if (!changes) return <Faint>Working out what would change</Faint>;
  if (changes.length === 0) return <Body>It would change no quantity of this job.</Body>;
  return (
    <View className="gap-1" role="status">
      <Strong>{plural(changes.length, "1 quantity would change", `${changes.length} quantities would change`)}</Strong>
      {changes.slice(0, all ? undefined : SHOWN).map((each) => (
        <Change key={each.lineId} change={each} system={job.system} />
      ))}
      {changes.length > SHOWN && !all ? (
        <Button label={`and ${changes.length - SHOWN} more`} kind="quiet" onPress={() => setAll(true)} />
      ) : null}
    </View>
  );
}

function Change({ change, system }: { readonly change: CountChange; readonly system: MeasuringSystem }) {
  const { partName, description, before, after, unit } = change;
  return (
    <View className="flex-row justify-between gap-3 border-b border-rule py-1">
      <Body className="flex-1 text-sm">{`${partName}: ${description}`}</Body>
      <Body className="figures text-sm">
        {`${quantityText(before, unit, system)} → ${quantityText(after, unit, system)}`}
      </Body>
    </View>
  );
}
