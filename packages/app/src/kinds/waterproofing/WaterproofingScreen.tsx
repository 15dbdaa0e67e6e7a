import {
  ALONE,
  isRoom,
  type PartCount,
  quantityText,
  resolveWaterproofing,
  settlePart,
  type Waterproofing,
} from "@wide-porch/core";
import { useMemo } from "react";
import { View } from "react-native";
import { AnyDrawing } from "../../components/AnyDrawing";
import { Picker } from "../../components/Picker";
import { Faint, Title } from "../../components/Text";
import { useJob } from "../../job/JobContext";
import { FigureList } from "../../measure/FigureList";
import { PartFrame } from "../../measure/PartFrame";
import { usePartFigures } from "../../measure/usePartFigures";
import { HoursBothWays } from "./HoursBothWays";
import { MaterialPanel } from "./MaterialPanel";

/** Which of several rules says what lines walls, and what lies on the floor. */
const SAID = /^(wall|floor)(Membrane|Slurry)(Allowed|Customer)?$/;

const live =
  (system: "imperial" | "metric") =>
  ({ lines }: PartCount): string => {
    const material = lines.filter(({ rule }) => SAID.test(rule));
    const hours = lines.filter(({ rule }) => rule === "wallWork" || rule === "floorWork");
    const total = hours.reduce((sum, { quantity }) => sum + quantity, 0);
    const words = material.map(
      ({ quantity, unit, description }) => `${quantityText(quantity, unit, system)} ${description.toLowerCase()}`,
    );
    return [...words, `${Number(total.toFixed(1))} hours`].join(", ");
  };

/** Walls and floor below ground: their areas, how each is kept dry, what is put in, hours either way. */
export default function WaterproofingScreen({ part }: { readonly part: Waterproofing }) {
  const { context, rules, plan, parts } = useJob("context", "rules", "plan", "parts");
  const figures = usePartFigures(part);
  const { kind, slots, active, show, change, pad } = figures;
  const standing = useMemo(
    () => resolveWaterproofing(settlePart(part, context.system, rules), plan),
    [part, context.system, rules, plan],
  );
  const drawing = kind.draw(standing, context, ALONE);
  const rooms = parts.filter(isRoom);
  const say = useMemo(() => live(context.system), [context.system]);
  return (
    <PartFrame
      part={part}
      drawing={
        drawing.kind === "none"
          ? undefined
          : (heightPx) => (
              <AnyDrawing
                drawing={drawing}
                description={`Section of ${part.name}`}
                heightPx={heightPx}
                activePath={active}
                onDimension={show}
              />
            )
      }
      pad={pad}
      built={{ say, onChange: change }}
      measures={kind.measures(standing, context, ALONE)}
    >
      <View className="gap-2">
        <Title level={2}>Walls and floor of</Title>
        <Picker
          label="Walls and floor of"
          options={[
            { value: "", label: "Areas that are typed" },
            ...rooms.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          value={part.roomId}
          onChange={(roomId) => change((now) => (now.kind === "waterproofing" ? { ...now, roomId } : now))}
        />
        {standing.found ? <Faint>{`They follow ${standing.found.name}, less its openings.`}</Faint> : null}
      </View>
      <FigureList slots={slots} activePath={active} onOpen={show} title="Below ground" />
      <MaterialPanel part={standing} onChange={change} />
      <HoursBothWays part={standing} onChange={change} />
    </PartFrame>
  );
}
