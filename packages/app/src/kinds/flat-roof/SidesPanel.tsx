import { edgeLetter, type FlatRoof, isFlatRoof, isOpen, lowSide, withSide } from "@wide-porch/core";
import { View } from "react-native";
import { Choice } from "../../components/Choice";
import { Picker } from "../../components/Picker";
import { Title } from "../../components/Text";
import { ownSlots } from "../../ground/Bands";
import { useJob } from "../../job/JobContext";
import type { JoistPanelProps } from "../../joists/changes";
import { FigureList } from "../../measure/FigureList";

const SIDES = [
  { value: false, label: "Against a wall" },
  { value: true, label: "Open" },
] as const;

/** Each side against a wall, or open with what it hangs over by; and the one that water runs to. */
export function SidesPanel({ part, slots, active, onChange, onFigure }: JoistPanelProps) {
  const { context } = useJob("context");
  if (!isFlatRoof(part)) return null;
  const change = (to: (now: FlatRoof) => FlatRoof) => onChange((now) => (isFlatRoof(now) ? to(now) : now));
  const nameOf = (id: string) => `Edge ${edgeLetter(part.edges, id)}`;
  return (
    <View className="gap-3">
      <Title level={2}>Sides</Title>
      {part.edges.map((edge) => (
        <View key={edge.id} className="gap-1">
          <Choice
            label={nameOf(edge.id)}
            options={SIDES}
            value={isOpen(edge)}
            onChange={(open) => change((now) => withSide(now, edge.id, open, context.system))}
          />
          <FigureList
            slots={ownSlots(slots, `edges.${edge.id}.overhang`).map((slot) => ({
              ...slot,
              label: `Overhang of ${nameOf(edge.id)}`,
            }))}
            activePath={active}
            onOpen={onFigure}
            title=""
          />
        </View>
      ))}
      <Picker
        label="Water runs to"
        labelled
        value={lowSide(part)?.id ?? ""}
        options={part.edges.map(({ id }) => ({ value: id, label: nameOf(id) }))}
        onChange={(fallsTo) => change((now) => ({ ...now, fallsTo }))}
      />
    </View>
  );
}
