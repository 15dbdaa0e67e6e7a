import {
  isWallPart,
  kindOf,
  measuredOtherwise,
  NO_ALLOWANCE,
  newOpening,
  OPENING_PLACES,
  type Opening,
  type Problem,
  placedOtherwise,
  settlePart,
  type Wall,
  type WallPart,
} from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { Faint, Warning } from "../components/Text";
import { useJob } from "../job/JobContext";
import { newId } from "../sync/newId";
import { OpeningRow, OpeningSheet } from "./OpeningSheet";

const KINDS: readonly { kind: Opening["kind"]; label: string }[] = [
  { kind: "door", label: "Door" },
  { kind: "window", label: "Window" },
  { kind: "plain", label: "Plain" },
];

const PLACE_WORDS: Record<Opening["along"], string> = {
  "from-left": "From the left end",
  centred: "In the middle",
  even: "Evenly spaced",
};

type Props = {
  readonly wall: WallPart;
  readonly onAdded: (id: string) => void;
  /** Makes the change, to the wall as it stands this instant; says why it could not be made. */
  readonly onChange: (change: (now: Wall) => Pick<Wall, "openings">) => Problem | undefined;
};

export function OpeningButtons({ wall, onAdded, onChange }: Props) {
  const { context, changePart, rules: library } = useJob("context", "changePart", "rules");
  const { wall: rules } = kindOf(wall);
  const allowanceOf = (opening: Pick<Opening, "kind" | "measuredAs">) =>
    rules?.allowanceOf(settlePart(wall, context.system, library), opening, context.system) ?? NO_ALLOWANCE;
  const [refusal, setRefusal] = useState<string>();
  const [openId, setOpenId] = useState<string>();
  const open = wall.openings.find((each) => each.id === openId);
  const withOpenings = (change: (openings: readonly Opening[]) => readonly Opening[]) =>
    changePart(wall.id, (now) => (isWallPart(now) ? { ...now, openings: [...change(now.openings)] } : now));
  const add = (kind: Opening["kind"]) => {
    const id = newId().slice(0, 8);
    const besideNm = rules?.besideOpeningNm(settlePart(wall, context.system, library), context) ?? 0;
    const opening = newOpening(wall, kind, id, context.system, besideNm);
    setRefusal(
      opening
        ? undefined
        : wall.length.valueNm === null
          ? "Measure the wall's length first."
          : "There is no room left for another opening.",
    );
    if (!opening) return;
    withOpenings((openings) => [...openings, opening]);
    onAdded(id);
  };
  const remove = (opening: Opening) => withOpenings((openings) => openings.filter((each) => each.id !== opening.id));
  const put = (changed: Opening) => {
    const problem = onChange(({ openings }) => ({
      openings: openings.map((each) => (each.id === changed.id ? changed : each)),
    }));
    setRefusal(problem ? `${problem.message} It stays as it was.` : undefined);
  };
  return (
    <View className="gap-2">
      <Faint>Add an opening</Faint>
      <View className="flex-row gap-2">
        {KINDS.map(({ kind, label }) => (
          <Button
            key={kind}
            label={label}
            name={`Add a ${label.toLowerCase()} opening`}
            kind="plain"
            className="flex-1 px-2"
            onPress={() => add(kind)}
          />
        ))}
      </View>
      {refusal ? <Warning role="alert">{refusal}</Warning> : null}
      <View>
        {wall.openings.map((opening) => (
          <OpeningRow
            key={opening.id}
            opening={opening}
            where={PLACE_WORDS[opening.along].toLowerCase()}
            onPress={() => setOpenId(opening.id)}
          />
        ))}
      </View>
      {open ? (
        <OpeningSheet
          opening={open}
          onMeasuredAs={(measuredAs) =>
            put(measuredOtherwise(open, measuredAs, allowanceOf({ kind: open.kind, measuredAs: "unit" })))
          }
          onTakeOut={() => {
            setOpenId(undefined);
            remove(open);
          }}
          onClose={() => setOpenId(undefined)}
        >
          <Choice
            label="It stands"
            value={open.along}
            onChange={(along) => put(placedOtherwise(wall, open, along, allowanceOf))}
            options={OPENING_PLACES.map((value) => ({ value, label: PLACE_WORDS[value] }))}
          />
          {open.along === "even" ? (
            <Faint>Equal gaps between the ends of the wall and all its openings that are evenly spaced.</Faint>
          ) : null}
          {refusal ? <Warning role="alert">{refusal}</Warning> : null}
        </OpeningSheet>
      ) : null}
    </View>
  );
}
