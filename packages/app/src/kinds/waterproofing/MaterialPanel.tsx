import { kindOf, type LineChange, type Part, type Problem, type Waterproofing } from "@wide-porch/core";
import { View } from "react-native";
import { NamedChoices } from "../../assembly/NamedChoices";
import { Title } from "../../components/Text";
import { useJob } from "../../job/JobContext";
import { FigureField } from "../../measure/FigureField";

type Props = {
  /** As it stands on the plan. */
  readonly part: Waterproofing;
  readonly onChange: (change: (now: Part) => Part) => Problem | undefined;
};

const STAGES = [
  { where: "wall", way: "wallsBy", of: "walls" },
  { where: "floor", way: "floorBy", of: "floor" },
] as const;

/** Who supplies what lines the walls and lies on the floor, and what is allowed for it where nobody has chosen. */
export function MaterialPanel({ part, onChange }: Props) {
  const values = kindOf(part).slot?.values(part);
  const stages = STAGES.filter(({ way }) => values?.get(way) !== "none");
  if (stages.length === 0) return null;
  return (
    <View className="gap-3">
      <Title level={2}>Material</Title>
      {stages.map(({ where, way, of }) => (
        <View key={where} className="gap-3">
          <NamedChoices part={part} names={[`${where}Material`]} onChange={onChange} />
          {part.choices[`${where}Material`] === "allowance" ? (
            <Allowance
              lineId={`${part.id}/${where}${values?.get(way) === "slurry" ? "Slurry" : "Membrane"}Allowed`}
              of={of}
              bagged={values?.get(way) === "slurry"}
            />
          ) : null}
        </View>
      ))}
    </View>
  );
}

/** What is allowed for one that is counted. It lies with the job's prices: who sees no costs does not see it. */
function Allowance({ lineId, of, bagged }: { readonly lineId: string; readonly of: string; readonly bagged: boolean }) {
  const { record, changeJob, context } = useJob("record", "changeJob", "context");
  const own: LineChange | undefined = Object.hasOwn(record.job.lineChanges, lineId)
    ? record.job.lineChanges[lineId]
    : undefined;
  if (!record.job.pricing) return null;
  const each = bagged ? "bag" : context.system === "imperial" ? "sq ft" : "m²";
  const set = (text: string) =>
    changeJob(({ lineChanges }) => ({
      lineChanges: {
        ...lineChanges,
        [lineId]: { ...lineChanges[lineId], supply: { by: "allowance" as const, rate: Number(text).toFixed(2) } },
      },
    }));
  return (
    <FigureField
      measure="money"
      label={`Allowed for the ${of}, a ${each}`}
      value={own?.supply?.by === "allowance" ? own.supply.rate : "0"}
      check={(text) => (Number(text) >= 0 && Number(text) < 1_000_000 ? undefined : "An amount, zero or more.")}
      onCommit={set}
    />
  );
}
