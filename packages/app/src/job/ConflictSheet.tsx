import {
  type Difference,
  differenceName,
  differencesBetween,
  differenceText,
  kindOf,
  mergeParts,
  type Part,
  type Side,
} from "@wide-porch/core";
import { useMemo, useState } from "react";
import { Pressable, View } from "react-native";
import { Button } from "../components/Button";
import { Sheet } from "../components/Sheet";
import { Body, Faint, Strong, Warning } from "../components/Text";
import type { Stuck } from "../sync/command";
import { outbox } from "../sync/outboxInstance";
import { leftInBin, type PartConflict, settledPart } from "../sync/settle";
import { useJob } from "./JobContext";

type Props = { readonly stuck: Stuck; readonly conflict: PartConflict; readonly onClose: () => void };

const usual = ({ changedBy }: Difference): Side => (changedBy === "theirs" ? "theirs" : "mine");

const WHO: Record<Difference["changedBy"], string> = {
  mine: "changed here",
  theirs: "changed by someone else",
  both: "changed by both",
};

/** Both versions of a part, field by field, to choose from. What is not chosen stays in the part's history. */
export function ConflictSheet({ stuck, conflict, onClose }: Props) {
  const { context } = useJob("context");
  const { base, mine, theirs } = conflict;
  const differences = useMemo(() => differencesBetween(base, mine, theirs.part), [base, mine, theirs.part]);
  const [chosen, setChosen] = useState<ReadonlyMap<string, Side>>(
    () => new Map(differences.map((each) => [each.path, usual(each)])),
  );
  const all = (side: Side) => setChosen(new Map(differences.map((each) => [each.path, side])));
  const merged = useMemo(() => mergeParts(base, mine, theirs.part, chosen), [base, mine, theirs.part, chosen]);
  const [problem] = kindOf(merged).problems(merged, context);
  const use = () => {
    const { commands, current } = settledPart(stuck, conflict, merged);
    outbox.settle(stuck.command.target, commands, current);
    onClose();
  };
  const leave = () => {
    const { commands, current } = leftInBin(stuck, conflict);
    outbox.settle(stuck.command.target, commands, current);
    onClose();
  };
  return (
    <Sheet open onClose={onClose} title={`Two versions of ${mine.name}`}>
      {theirs.binned ? (
        <View className="gap-3">
          <Body>Someone put it in the bin while you were changing it here.</Body>
          <Button label="Take it out, with my changes" onPress={use} />
          <Button label="Leave it in the bin" kind="plain" onPress={leave} />
        </View>
      ) : (
        <>
          <Body>Choose for each field. The version you do not use stays in the history of this part.</Body>
          <View className="flex-row flex-wrap gap-2">
            <Button label="All mine" kind="plain" onPress={() => all("mine")} />
            <Button label="All theirs" kind="plain" onPress={() => all("theirs")} />
          </View>
          {differences.map((difference) => (
            <Field
              key={difference.path}
              name={differenceName(difference.path, mine, theirs.part, context)}
              difference={difference}
              part={mine}
              side={chosen.get(difference.path) ?? usual(difference)}
              onChoose={(side) => setChosen(new Map([...chosen, [difference.path, side]]))}
            />
          ))}
          {problem ? <Warning role="alert">{`Together these do not fit: ${problem.message}`}</Warning> : null}
          <Button label="Use what is marked" disabled={problem !== undefined} onPress={use} />
        </>
      )}
    </Sheet>
  );
}

type FieldProps = {
  readonly name: string;
  readonly difference: Difference;
  readonly part: Part;
  readonly side: Side;
  readonly onChoose: (side: Side) => void;
};

function Field({ name, difference, part, side, onChoose }: FieldProps) {
  const { context } = useJob("context");
  const text = (value: unknown) => differenceText(difference.path, part, value, context);
  return (
    <View role="radiogroup" aria-label={name} className="gap-1 border-b border-rule pb-3">
      <View className="flex-row items-baseline justify-between gap-2">
        <Strong className="flex-1">{name}</Strong>
        <Faint className={difference.changedBy === "both" ? "text-clay" : ""}>{WHO[difference.changedBy]}</Faint>
      </View>
      <View className="flex-row gap-2">
        <Version label="Mine" text={text(difference.mine)} chosen={side === "mine"} onPress={() => onChoose("mine")} />
        <Version
          label="Theirs"
          text={text(difference.theirs)}
          chosen={side === "theirs"}
          onPress={() => onChoose("theirs")}
        />
      </View>
    </View>
  );
}

type VersionProps = {
  readonly label: string;
  readonly text: string;
  readonly chosen: boolean;
  readonly onPress: () => void;
};

function Version({ label, text, chosen, onPress }: VersionProps) {
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      aria-label={`${label}: ${text}`}
      onPress={onPress}
      className={`min-h-14 flex-1 justify-center rounded-md border px-3 py-1 ${chosen ? "border-pine bg-pine-wash" : "border-rule bg-sheet"}`}
    >
      <Faint>{chosen ? `${label}, marked` : label}</Faint>
      <Strong>{text}</Strong>
    </Pressable>
  );
}
