import {
  copyStorey,
  figureSlots,
  formatLength,
  outsideChecks,
  type StoreyLevel,
  type StoreyPart,
  type StoreyPlan,
  storeyKind,
  storeyLevels,
  storeyRecord,
} from "@wide-porch/core";
import { type Href, useRouter } from "expo-router";
import { useMemo, useState } from "react";
import { View } from "react-native";
import { AddEntry } from "../components/AddEntry";
import { Button } from "../components/Button";
import { Body, Faint, Title, Warning } from "../components/Text";
import { Copy } from "../icons";
import { useJob } from "../job/JobContext";
import { FigureList } from "../measure/FigureList";
import { PartPad } from "../measure/PartPad";
import { newId } from "../sync/newId";

type Props = { readonly storey: StoreyPlan; readonly onStorey: (name: string) => void };

/** North, the check against a tape over the outside, and the storey as the start of the next. */
export function StoreySettings({ storey, onStorey }: Props) {
  const { parts, context } = useJob("parts", "context");
  const draft = useMemo(() => storeyRecord(parts, storey.name, newId, context), [parts, storey.name, context]);
  const record: StoreyPart = storey.storey ?? draft;
  return (
    <>
      <North record={record} />
      <Levels storey={storey} record={record} />
      <OutsideCheck storey={storey} record={record} />
      <CountedOnStorey storey={storey} record={record} />
      <NextStorey storey={storey} onStorey={onStorey} />
    </>
  );
}

/** What is counted for the storey as a whole, from what its rooms come to. */
function CountedOnStorey({ storey, record }: { readonly storey: StoreyPlan; readonly record: StoreyPart }) {
  const { savePart, jobId } = useJob("savePart", "jobId");
  const router = useRouter();
  const open = () => {
    if (!storey.storey) savePart(record);
    router.push(`/jobs/${jobId}/measure/${record.id}` as Href);
  };
  return <Button label={`Count something for all of ${storey.name}`} kind="plain" onPress={open} />;
}

/** Where north is; taken back, nobody has marked it. */
function North({ record }: { readonly record: StoreyPart }) {
  const { context, savePart } = useJob("context", "savePart");
  const [figure, show] = useState<string>();
  const slots = figureSlots(storeyKind, record, context).filter((slot) => slot.of === "North");
  return (
    <View className="gap-2">
      <FigureList slots={slots} activePath={figure} onOpen={show} title="North" />
      {record.northDegrees === null ? null : (
        <Button
          label="Take north off the plan"
          kind="quiet"
          onPress={() => savePart({ ...record, northDegrees: null })}
        />
      )}
      {figure ? <PartPad part={record} slots={slots} path={figure} onMove={show} /> : null}
    </View>
  );
}

const HOW_KNOWN: Record<StoreyLevel["by"], string> = {
  measured: "as measured",
  rooms: "its highest ceiling and the floor over it",
  usual: "assumed: nothing is measured on it",
};

/** How high the floor is, and how far it is to the next. */
function Levels({ storey, record }: { readonly storey: StoreyPlan; readonly record: StoreyPart }) {
  const { context, plan } = useJob("context", "plan");
  const [figure, show] = useState<string>();
  const slots = figureSlots(storeyKind, record, context).filter((slot) => slot.of === "Floor levels");
  const level = storeyLevels(plan).get(storey.name);
  return (
    <View className="gap-2">
      <FigureList slots={slots} activePath={figure} onOpen={show} title="Floor levels" />
      {level ? (
        <View role="status" aria-live="polite">
          <Body>{`Floor at ${formatLength(level.floorNm, context.system)}`}</Body>
          <Faint>{`${formatLength(level.toNextNm, context.system)} to the floor above: ${HOW_KNOWN[level.by]}`}</Faint>
        </View>
      ) : null}
      {figure ? <PartPad part={record} slots={slots} path={figure} onMove={show} /> : null}
    </View>
  );
}

function OutsideCheck({ storey, record }: { readonly storey: StoreyPlan; readonly record: StoreyPart }) {
  const { context } = useJob("context");
  const [figure, show] = useState<string>();
  const slots = figureSlots(storeyKind, record, context).filter((slot) => slot.of === "Tape reading");
  return (
    <View className="gap-2">
      <Title level={2}>Checked with a tape</Title>
      <Faint>Read over the outside of the house, and see whether rooms and walls add up to it.</Faint>
      {outsideChecks(storey).map((check) => (
        <View key={check.name} role="status" aria-live="polite">
          <Body>{`Plan, ${check.name}: ${formatLength(check.computedNm, context.system)}`}</Body>
          {check.differenceNm === undefined ? null : check.agrees ? (
            <Faint>{`The tape agrees, within ${formatLength(Math.abs(check.differenceNm), context.system)}`}</Faint>
          ) : (
            <Warning>{`The tape differs by ${formatLength(check.differenceNm, context.system)}`}</Warning>
          )}
        </View>
      ))}
      <FigureList slots={slots} activePath={figure} onOpen={show} title="Tape reading" />
      {figure ? <PartPad part={record} slots={slots} path={figure} onMove={show} /> : null}
    </View>
  );
}

function NextStorey({ storey, onStorey }: Props) {
  const { parts, context, saveParts } = useJob("parts", "context", "saveParts");
  const takenBy = (wanted: string) =>
    parts.some((part) => part.storey.toLowerCase() === wanted.toLowerCase())
      ? `There is a storey “${wanted}” already.`
      : undefined;
  const start = (wanted: string) => {
    saveParts(copyStorey(parts, storey.name, wanted, newId, context));
    onStorey(wanted);
  };
  return (
    <View className="gap-2">
      <Title level={2}>The next storey</Title>
      <Faint>{`Starts with the rooms of ${storey.name}, every figure assumed until it is read there.`}</Faint>
      <AddEntry
        label="Its name"
        button={`Copy ${storey.name} as its start`}
        icon={Copy}
        most={80}
        empty="Give the new storey a name."
        check={takenBy}
        onAdd={start}
      />
    </View>
  );
}
