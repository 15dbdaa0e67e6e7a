import {
  assumedDimension,
  edgeLetter,
  type FigureSlot,
  inches,
  type MeasuringSystem,
  MOST_RIBS,
  millimetres,
  newPlateEdge,
  type Plate,
  type PlateEdgeForm,
  plateUnderStorey,
  type Rib,
  ribName,
  unmeasured,
} from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { Faint, Title } from "../components/Text";
import { Toggles } from "../components/Toggles";
import { Plus } from "../icons";
import { useJob } from "../job/JobContext";
import { newId } from "../sync/newId";
import { Bands } from "./Bands";
import { FromStorey } from "./FromStorey";
import { OutlineEdges } from "./OutlineEdges";

const FORMS: readonly { readonly value: PlateEdgeForm; readonly label: string }[] = [
  { value: "plain", label: "As thick as the slab" },
  { value: "beam", label: "Edge beam" },
  { value: "toe", label: "Edge beam with a toe" },
];

type Props<P extends Plate> = {
  readonly plate: P;
  readonly forms: readonly PlateEdgeForm[];
  readonly ribbed: boolean;
  readonly slots: readonly FigureSlot[];
  readonly active: string | undefined;
  readonly onChange: (change: (now: P) => P) => boolean;
  readonly onFigure: (path: string) => void;
};

/** A slab's outline, how its edges end, and the ribs between them. */
export function PlatePanel<P extends Plate>({ plate, forms, ribbed, slots, active, onChange, onFigure }: Props<P>) {
  const nameOf = (id: string) => `Edge ${edgeLetter(plate.edges, id)}`;
  return (
    <View className="gap-4">
      <FromStorey onTake={(storey) => onChange((now) => plateUnderStorey(now, storey))} />
      <OutlineEdges
        edges={plate.edges}
        slots={slots}
        active={active}
        nameOf={nameOf}
        fresh={newPlateEdge}
        least={3}
        onChange={(change) => onChange((now) => ({ ...now, edges: change(now.edges) }))}
        onFigure={onFigure}
      />
      <Choice
        label="Its edges"
        options={FORMS.filter(({ value }) => forms.includes(value))}
        value={plate.edgeForm}
        onChange={(edgeForm) => onChange((now) => withForm(now, edgeForm))}
      />
      {plate.edgeForm === "toe" ? (
        <Toggles
          label="The toe runs along"
          options={plate.edges.map(({ id }) => nameOf(id))}
          chosen={plate.edges.filter(({ toe }) => toe).map(({ id }) => nameOf(id))}
          onToggle={(name, toe) =>
            onChange((now) => ({
              ...now,
              edges: now.edges.map((edge) => (nameOf(edge.id) === name ? { ...edge, toe } : edge)),
            }))
          }
        />
      ) : null}
      {ribbed ? <Ribs plate={plate} slots={slots} active={active} onChange={onChange} onFigure={onFigure} /> : null}
    </View>
  );
}

/** With a toe along the first edge where none had one: it is seen at once, and moved by a press. */
function withForm<P extends Plate>(plate: P, edgeForm: PlateEdgeForm): P {
  const none = !plate.edges.some(({ toe }) => toe);
  const edges =
    edgeForm === "toe" && none ? plate.edges.map((edge, index) => ({ ...edge, toe: index === 0 })) : plate.edges;
  return { ...plate, edgeForm, edges };
}

const newRib = (system: MeasuringSystem, plate: Plate): Rib => ({
  id: newId().slice(0, 8),
  runs: "along",
  at: unmeasured,
  width: assumedDimension(system === "imperial" ? inches(12) : millimetres(300)),
  depth: { ...plate.beamDepth, assumed: true },
});

/** Beams between the edges: spaced evenly, or where they are placed. */
function Ribs<P extends Plate>({ plate, slots, active, onChange, onFigure }: Omit<Props<P>, "forms" | "ribbed">) {
  const { context } = useJob("context");
  return (
    <View className="gap-3">
      <Title level={2}>Ribs</Title>
      {plate.ribs.length === 0 ? <Faint>None between the edges.</Faint> : null}
      <Bands
        bands={plate.ribs}
        list="ribs"
        firstEdge="Edge A"
        edges={plate.edges}
        nameOf={(id) => ribName(plate, id)}
        slots={slots}
        active={active}
        onChange={(change) => onChange((now) => ({ ...now, ribs: change(now.ribs) }))}
        onFigure={onFigure}
      >
        {plate.ribs.length < MOST_RIBS && plate.edgeForm !== "plain" ? (
          <Button
            label="Another rib"
            kind="plain"
            icon={Plus}
            onPress={() => onChange((now) => ({ ...now, ribs: [...now.ribs, newRib(context.system, now)] }))}
          />
        ) : null}
      </Bands>
    </View>
  );
}
