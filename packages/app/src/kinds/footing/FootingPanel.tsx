import {
  assumedDimension,
  type FigureSlot,
  type Footing,
  type FootingStep,
  footingUnderStorey,
  inches,
  lineLetter,
  lineName,
  type MeasuringSystem,
  MOST_INNER_LINES,
  MOST_STEPS,
  millimetres,
  type StoreyPlan,
  stepName,
  unmeasured,
} from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Choice } from "../../components/Choice";
import { Title, Warning } from "../../components/Text";
import { Bands, ownSlots } from "../../ground/Bands";
import { FromStorey } from "../../ground/FromStorey";
import { OutlineEdges } from "../../ground/OutlineEdges";
import { Plus, Trash2 } from "../../icons";
import { useJob } from "../../job/JobContext";
import { useJobLater } from "../../job/useJobLater";
import { FigureList } from "../../measure/FigureList";
import { newId } from "../../sync/newId";

const CLOSED = [
  { value: true, label: "Comes back round" },
  { value: false, label: "Ends where it ends" },
];
const ALONG = [
  { value: "outside", label: "Outside of the wall" },
  { value: "centre", label: "Centre line" },
] as const;
const STEMS = [
  { value: true, label: "A stem wall of concrete" },
  { value: false, label: "Something built by itself" },
];
type Props = {
  readonly footing: Footing;
  readonly slots: readonly FigureSlot[];
  readonly active: string | undefined;
  readonly onChange: (change: (now: Footing) => Footing) => boolean;
  readonly onFigure: (path: string) => void;
};

/** A footing's lines, what stands on it, footings within, and where it steps down. */
export function FootingPanel(props: Props) {
  const { footing, slots, active, onChange, onFigure } = props;
  const { plan } = useJobLater("plan");
  const [left, setLeft] = useState(0);
  const take = (storey: StoreyPlan) => {
    const under = footingUnderStorey(footing, storey, plan);
    if (onChange((now) => footingUnderStorey(now, storey, plan).footing)) setLeft(under.left);
  };
  return (
    <View className="gap-4">
      <FromStorey onTake={take} />
      {left > 0 ? (
        <Warning>{`${left} walls that carry run only part of the way across: put footings in for them by hand.`}</Warning>
      ) : null}
      <OutlineEdges
        edges={footing.edges}
        slots={slots}
        active={active}
        nameOf={(id) => lineLetter(footing, id)}
        fresh={(id) => ({ id, length: unmeasured, turnDegrees: 90 })}
        least={1}
        onChange={(change) => onChange((now) => ({ ...now, edges: change(now.edges) }))}
        onFigure={onFigure}
      />
      <Choice
        label="The walk"
        options={CLOSED}
        value={footing.closed}
        onChange={(closed) => onChange((now) => ({ ...now, closed }))}
      />
      <Choice
        label="Lengths are of the"
        options={ALONG}
        value={footing.measuredAlong}
        onChange={(measuredAlong) => onChange((now) => ({ ...now, measuredAlong }))}
      />
      <Choice
        label="On it stands"
        options={STEMS}
        value={footing.stem}
        onChange={(stem) => onChange((now) => ({ ...now, stem }))}
      />
      <InnerLines {...props} />
      <Steps {...props} />
    </View>
  );
}

function InnerLines({ footing, slots, active, onChange, onFigure }: Props) {
  return (
    <View className="gap-3">
      <Title level={2}>Footings within</Title>
      <Bands
        bands={footing.inner}
        list="inner"
        firstEdge="Line A"
        edges={footing.edges}
        nameOf={(id) => lineName(footing, id)}
        slots={slots}
        active={active}
        onChange={(change) => onChange((now) => ({ ...now, inner: change(now.inner) }))}
        onFigure={onFigure}
      >
        {footing.inner.length < MOST_INNER_LINES ? (
          <Button
            label="A footing within"
            kind="plain"
            icon={Plus}
            onPress={() =>
              onChange((now) => ({
                ...now,
                inner: [...now.inner, { id: newId().slice(0, 8), runs: "across", at: unmeasured }],
              }))
            }
          />
        ) : null}
      </Bands>
    </View>
  );
}

const newStep = (footing: Footing, system: MeasuringSystem): FootingStep => ({
  id: newId().slice(0, 8),
  edgeId: footing.edges[0]?.id ?? "",
  from: assumedDimension(Math.round((footing.edges[0]?.length.valueNm ?? 0) / 2)),
  to: unmeasured,
  drop: assumedDimension(system === "imperial" ? inches(8) : millimetres(225)),
});

function Steps({ footing, slots, active, onChange, onFigure }: Props) {
  const { context } = useJob("context");
  const change = (id: string, to: (step: FootingStep) => FootingStep) =>
    onChange((now) => ({ ...now, steps: now.steps.map((step) => (step.id === id ? to(step) : step)) }));
  const lines = footing.edges.map(({ id }) => ({ value: id, label: lineLetter(footing, id) }));
  return (
    <View className="gap-3">
      <Title level={2}>Steps down</Title>
      {footing.steps.map((step) => {
        const name = stepName(footing, step.id);
        const ends = step.to.valueNm !== null || step.to.refused !== undefined;
        return (
          <View key={step.id} className="gap-2">
            <FigureList
              slots={ownSlots(slots, `steps.${step.id}.`)}
              activePath={active}
              onOpen={onFigure}
              title={name}
            />
            <Choice
              label={`${name} is on`}
              options={lines}
              value={step.edgeId}
              onChange={(edgeId) => change(step.id, (now) => ({ ...now, edgeId }))}
            />
            <View className="flex-row flex-wrap gap-2">
              <Button
                label={ends ? "To the end of the line" : "Comes up again"}
                name={ends ? `${name}: to the end of the line` : `${name}: comes up again`}
                kind="quiet"
                onPress={() =>
                  change(step.id, (now) => ({
                    ...now,
                    to: ends ? unmeasured : assumedDimension((now.from.valueNm ?? 0) + millimetres(2000)),
                  }))
                }
              />
              <Button
                label="Take it out"
                name={`Take out: ${name}`}
                kind="quiet"
                icon={Trash2}
                onPress={() => onChange((now) => ({ ...now, steps: now.steps.filter(({ id }) => id !== step.id) }))}
              />
            </View>
          </View>
        );
      })}
      {footing.steps.length < MOST_STEPS ? (
        <Button
          label="A step down"
          kind="plain"
          icon={Plus}
          onPress={() => onChange((now) => ({ ...now, steps: [...now.steps, newStep(now, context.system)] }))}
        />
      ) : null}
    </View>
  );
}
