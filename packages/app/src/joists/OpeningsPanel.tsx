import {
  type FloorOpening,
  floorOpeningName,
  inches,
  type MeasuringSystem,
  MOST_FLOOR_OPENINGS,
  measured,
  millimetres,
  unmeasured,
} from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { Title } from "../components/Text";
import { ownSlots } from "../ground/Bands";
import { Plus, Trash2 } from "../icons";
import { useJob } from "../job/JobContext";
import { FigureList } from "../measure/FigureList";
import { newId } from "../sync/newId";
import type { JoistPanelProps } from "./changes";
import type { Moving } from "./JoistPlan";

type ToldPoints = readonly { readonly path: string; readonly message: string }[] | undefined;

const KINDS = [
  { value: "stair", label: "Stair opening" },
  { value: "chimney", label: "Chimney opening" },
  { value: "hatch", label: "Hatch" },
] as const;
const ALL = KINDS.map(({ value }) => value);
const MEASURED = [
  { value: "clear", label: "Clear, as finished" },
  { value: "framed", label: "As framed" },
] as const;
const HEADERS = [
  { value: "by-rule", label: "By the rule" },
  { value: "single", label: "Single" },
  { value: "double", label: "Double" },
] as const;
const THROUGH = [
  { value: false, label: "Cut for it" },
  { value: true, label: "Left whole, cut later" },
] as const;

/** About what a hatch is; stairs and chimneys are measured. */
function newOpening(kind: FloorOpening["kind"], system: MeasuringSystem): FloorOpening {
  const hatch = measured(system === "imperial" ? inches(24) : millimetres(600), "");
  const size = kind === "hatch" ? { ...hatch, assumed: true } : unmeasured;
  return {
    id: newId().slice(0, 8),
    kind,
    along: unmeasured,
    off: unmeasured,
    length: size,
    width: size,
    measuredAs: "clear",
    headers: "by-rule",
    runThrough: false,
  };
}

type Props = JoistPanelProps & {
  readonly told: ToldPoints;
  readonly kinds?: readonly FloorOpening["kind"][] | undefined;
  readonly moving: Moving | undefined;
  readonly onMoving: (moving: Moving | undefined) => void;
};

/** What goes through the floor: where it is, how large, and how joists are cut for it. */
export function OpeningsPanel(props: Props) {
  const { part, slots, active, told, kinds = ALL, moving, onChange, onFigure, onMoving } = props;
  const { context } = useJob("context");
  const set = (id: string, to: Partial<FloorOpening>) =>
    onChange((now) => ({ ...now, openings: now.openings.map((each) => (each.id === id ? { ...each, ...to } : each)) }));
  const add = (kind: FloorOpening["kind"]) => {
    const opening = newOpening(kind, context.system);
    if (onChange((now) => ({ ...now, openings: [...now.openings, opening] }))) onFigure(`openings.${opening.id}.along`);
  };
  const isMoving = (id: string) => moving?.what === "opening" && moving.id === id;
  return (
    <View className="gap-3">
      {part.openings.map(({ id, along, off, measuredAs, headers, runThrough }) => {
        const name = floorOpeningName(part, id) ?? "";
        return (
          <View key={id} className="gap-2">
            <FigureList
              slots={ownSlots(slots, `openings.${id}.`)}
              activePath={active}
              onOpen={onFigure}
              title={name}
              told={told}
            />
            <Choice
              label={`${name} is measured`}
              options={MEASURED}
              value={measuredAs}
              onChange={(to) => set(id, { measuredAs: to })}
            />
            <Choice
              label={`Headers of ${name.toLowerCase()}`}
              options={HEADERS}
              value={headers}
              onChange={(to) => set(id, { headers: to })}
            />
            <Choice
              label={`Joists at ${name.toLowerCase()}`}
              options={THROUGH}
              value={runThrough}
              onChange={(to) => set(id, { runThrough: to })}
            />
            <View className="flex-row flex-wrap gap-2">
              {along.valueNm === null || off.valueNm === null ? null : (
                <Button
                  label={isMoving(id) ? "Leave it there" : "Move it"}
                  name={isMoving(id) ? `Leave ${name} there` : `Move ${name}`}
                  kind="quiet"
                  onPress={() => onMoving(isMoving(id) ? undefined : { what: "opening", id })}
                />
              )}
              <Button
                label="Take it out"
                name={`Take out: ${name}`}
                kind="quiet"
                icon={Trash2}
                onPress={() => onChange((now) => ({ ...now, openings: now.openings.filter((each) => each.id !== id) }))}
              />
            </View>
          </View>
        );
      })}
      {part.openings.length === 0 ? <Title level={2}>Openings</Title> : null}
      {part.openings.length < MOST_FLOOR_OPENINGS ? (
        <View className="flex-row flex-wrap gap-2">
          {KINDS.filter(({ value }) => kinds.includes(value)).map(({ value, label }) => (
            <Button
              key={value}
              label={label}
              name={`Add: ${label}`}
              kind="plain"
              icon={Plus}
              onPress={() => add(value)}
            />
          ))}
        </View>
      ) : null}
    </View>
  );
}
