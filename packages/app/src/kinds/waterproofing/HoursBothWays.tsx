import { builderOf, kindOf, type Part, type Problem, type Waterproofing } from "@wide-porch/core";
import { View } from "react-native";
import { withChoices } from "../../assembly/NamedChoices";
import { Title } from "../../components/Text";
import { useJob } from "../../job/JobContext";
import { FigureField } from "../../measure/FigureField";

type Props = {
  /** As it stands on the plan. */
  readonly part: Waterproofing;
  readonly onChange: (change: (now: Part) => Part) => Problem | undefined;
};

const SQUARE_FOOT_M2 = 0.09290304;
const STAGES = [
  { of: "walls", area: "wallArea", way: "wallsBy", coats: "wallCoats", hours: "wallHours" },
  { of: "floor", area: "floorArea", way: "floorBy", coats: "floorCoats", hours: "floorHours" },
] as const;

const asText = (value: number): string => String(Number(value.toFixed(3)));

/** Hours for an area, or in all: either is typed, and the other follows. */
export function HoursBothWays({ part, onChange }: Props) {
  const { context, rules } = useJob("context", "rules");
  const kind = kindOf(part);
  const builder = builderOf(part, context.system, rules);
  const values = kind.slot?.values(part);
  const amounts = kind.quantities(part, { sharedOpenings: [] });
  const unit = context.system === "imperial" ? SQUARE_FOOT_M2 : 1;
  const rows = STAGES.flatMap((stage) => {
    const area = (amounts[stage.area] ?? 0) / unit;
    const way = values?.get(stage.way);
    const own = part.choices[stage.hours] ?? builder?.parameters.find(({ name }) => name === stage.hours)?.default;
    if (area <= 0 || way === "none" || typeof own !== "number") return [];
    // Hours are for two coats of slurry.
    const times = way === "slurry" ? Number(values?.get(stage.coats) ?? 2) / 2 : 1;
    return [{ ...stage, each: own, total: own * area * times, per: area * times }];
  });
  if (rows.length === 0) return null;
  const areaWord = context.system === "imperial" ? "a sq ft" : "a m²";
  const set = (name: string, value: number) =>
    void onChange((now) => withChoices(now, { [name]: Number(value.toFixed(6)) }));
  const wrong = (text: string): string | undefined =>
    Number(text) >= 0 && Number(text) <= 100_000 ? undefined : "Hours, zero or more.";
  return (
    <View className="gap-3">
      <Title level={2}>Hours</Title>
      {rows.map(({ of, hours, each, total, per }) => (
        <View key={of} className="flex-row flex-wrap gap-3">
          <View className="min-w-36 flex-1">
            <FigureField
              measure="number"
              label={`${of === "walls" ? "Walls" : "Floor"}, hours ${areaWord}`}
              value={asText(each)}
              check={wrong}
              onCommit={(text) => set(hours, Number(text))}
            />
          </View>
          <View className="min-w-36 flex-1">
            <FigureField
              measure="number"
              label={`${of === "walls" ? "Walls" : "Floor"}, hours in all`}
              value={asText(total)}
              check={wrong}
              onCommit={(text) => set(hours, Number(text) / per)}
            />
          </View>
        </View>
      ))}
    </View>
  );
}
