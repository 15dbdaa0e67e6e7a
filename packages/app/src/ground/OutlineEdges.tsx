import { type FigureSlot, MOST_GROUND_EDGES, unmeasured } from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { Folded } from "../components/Folded";
import { Plus, Trash2 } from "../icons";
import { FigureList } from "../measure/FigureList";
import { newId } from "../sync/newId";

const TURNS = [
  { value: 90, label: "Left" },
  { value: -90, label: "Right" },
  { value: 45, label: "Half left" },
  { value: -45, label: "Half right" },
  { value: 0, label: "Straight on" },
];

type Edge = { readonly id: string; readonly turnDegrees: number };

type Props<E extends Edge> = {
  readonly edges: readonly E[];
  readonly slots: readonly FigureSlot[];
  readonly active: string | undefined;
  /** `Edge A` */
  readonly nameOf: (id: string) => string;
  readonly fresh: (id: string) => E;
  readonly least: number;
  readonly onChange: (change: (edges: readonly E[]) => E[]) => void;
  readonly onFigure: (path: string) => void;
};

/** The edges of an outline as they are walked, each with its length, and the turn after it. */
export function OutlineEdges<E extends Edge>(props: Props<E>) {
  const { edges, slots, active, nameOf, fresh, least, onChange, onFigure } = props;
  const own = slots
    .filter(({ path }) => path.startsWith("edges."))
    .map((slot) => ({ ...slot, label: slot.of, of: "" }));
  const turned = (id: string, turnDegrees: number) =>
    onChange((now) => now.map((edge) => (edge.id === id ? { ...edge, turnDegrees } : edge)));
  return (
    <View className="gap-3">
      <FigureList slots={own} activePath={active} onOpen={onFigure} title="Outline" />
      <Folded title="Corners" under={`${edges.length} edges, walked with the inside on one hand`}>
        {edges.map(({ id, turnDegrees }) => (
          <View key={id} className="gap-2">
            <Choice
              label={`Turn after ${nameOf(id)}`}
              options={
                TURNS.some(({ value }) => value === turnDegrees)
                  ? TURNS
                  : [...TURNS, { value: turnDegrees, label: `${turnDegrees}°` }]
              }
              value={turnDegrees}
              onChange={(degrees) => turned(id, degrees)}
            />
            {edges.length > least ? (
              <View className="flex-row">
                <Button
                  label="Take it out"
                  name={`Take out: ${nameOf(id)}`}
                  kind="quiet"
                  icon={Trash2}
                  onPress={() => onChange((now) => now.filter((edge) => edge.id !== id))}
                />
              </View>
            ) : null}
          </View>
        ))}
        {edges.length < MOST_GROUND_EDGES ? (
          <Button
            label="Another edge"
            kind="plain"
            icon={Plus}
            onPress={() => onChange((now) => [...now, { ...fresh(newId().slice(0, 8)), length: unmeasured }])}
          />
        ) : null}
      </Folded>
    </View>
  );
}
