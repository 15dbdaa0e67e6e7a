import {
  ALONE,
  formatArea,
  newRoofFeature,
  ROOF_FEATURE_FIGURES,
  ROOF_FEATURE_KINDS,
  type Roof,
  type RoofFeature,
  type RoofFeatureKind,
  roofEdgeName,
  roofKind,
  slopeOfEdge,
} from "@wide-porch/core";
import { useMemo, useState } from "react";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Choice } from "../../components/Choice";
import { Sheet } from "../../components/Sheet";
import { Body, Faint, Figure, Warning } from "../../components/Text";
import { useJob } from "../../job/JobContext";
import { PlanCanvas } from "../../plan/PlanCanvas";
import { newId } from "../../sync/newId";

type Props = {
  readonly roof: Roof;
  readonly onPut: (feature: RoofFeature) => void;
  readonly onClose: () => void;
};

const KINDS = ROOF_FEATURE_KINDS.map((value) => ({ value, label: ROOF_FEATURE_FIGURES[value].noun }));

const sloping = (roof: Roof) =>
  roof.edges.filter((edge) => (edge.end === "eave" || edge.end === "half-hip") && slopeOfEdge(roof, edge).pitch > 0);

/** What is to go in and over which edge, with the roof as it would then be; nothing is put in until it is said so. */
export function NewFeature({ roof, onPut, onClose }: Props) {
  const { context } = useJob("context");
  const edges = sloping(roof);
  const [id] = useState(() => newId().slice(0, 8));
  const [kind, setKind] = useState<RoofFeatureKind>("gable-dormer");
  const [edgeId, setEdge] = useState(edges[0]?.id ?? "");
  const feature = useMemo(
    () => newRoofFeature(roof, kind, edgeId, id, context.system),
    [roof, kind, edgeId, id, context.system],
  );
  return (
    <Sheet open onClose={onClose} title="What goes in?">
      <Choice label="What" options={KINDS} value={kind} onChange={setKind} />
      <Choice
        label="In the slope over"
        options={edges.map((edge) => ({ value: edge.id, label: roofEdgeName(roof, edge.id) }))}
        value={edgeId}
        onChange={setEdge}
      />
      {feature ? (
        <Preview roof={roof} feature={feature} onPut={() => onPut(feature)} />
      ) : (
        <Warning role="status">There is no slope there yet. Measure the edges first.</Warning>
      )}
    </Sheet>
  );
}

type PreviewProps = { readonly roof: Roof; readonly feature: RoofFeature; readonly onPut: () => void };

function Preview({ roof, feature, onPut }: PreviewProps) {
  const { context } = useJob("context");
  const { system } = context;
  const after = useMemo((): Roof => ({ ...roof, features: [...roof.features, feature] }), [roof, feature]);
  const [problem] = roofKind.problems(after, context);
  const drawing = roofKind.draw(after, context, ALONE);
  const area = (of: Roof) => formatArea(roofKind.quantities(of, ALONE).area ?? 0, system);
  const lit = new Set([feature.id, ...["left", "right", "slope"].map((side) => `${feature.id}-${side}`)]);
  return (
    <View className="gap-3">
      {drawing.kind === "plan" ? (
        <View className="border border-rule bg-paper">
          <PlanCanvas
            drawing={{ ...drawing, figures: [], labels: [] }}
            description={`The roof with ${feature.name} in it`}
            heightPx={220}
            litIds={lit}
            showFigures={false}
          />
        </View>
      ) : null}
      {problem ? <Warning role="alert">{problem.message}</Warning> : null}
      <View className="flex-row justify-between gap-3">
        <Body>Area along the slopes</Body>
        <Figure className="text-base">{`${area(roof)} → ${area(after)}`}</Figure>
      </View>
      <Faint>It begins as large as is commonly built; its figures can be changed at any time.</Faint>
      <Button label="Put it in" disabled={problem !== undefined} onPress={onPut} />
    </View>
  );
}
