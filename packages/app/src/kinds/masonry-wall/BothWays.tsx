import { type MasonryWall, type Pier, settlePart } from "@wide-porch/core";
import { View } from "react-native";
import { Choice } from "../../components/Choice";
import { Faint, Strong, Title } from "../../components/Text";
import { useJob } from "../../job/JobContext";

const OPTIONS = [
  { value: "laid-out", label: "As laid out" },
  { value: "by-area", label: "By area" },
] as const;

const shown = (count: number): string => Number(count.toFixed(1)).toLocaleString("en");

/** The units of each leaf by both ways of counting, and which of them is in force. */
export function BothWays({ part }: { readonly part: MasonryWall | Pier }) {
  const { reckoning, context, rules, changePart } = useJob("reckoning", "context", "rules", "changePart");
  const compared = reckoning?.counts.find((each) => each.partId === part.id)?.compared ?? [];
  if (compared.length === 0) return null;
  const { settled } = settlePart(part, context.system, rules);
  const method = settled?.choices.method ?? "laid-out";
  return (
    <View className="gap-3">
      <Title level={2}>Counted in two ways</Title>
      <View role="list">
        {compared.map(({ what, laidOut, byArea }) => (
          <View key={what} role="listitem" className="border-b border-rule py-2">
            <Faint>{what}</Faint>
            <Strong className="figures">{`${shown(laidOut)} laid out, ${shown(byArea)} by area`}</Strong>
          </View>
        ))}
      </View>
      <Choice
        label="In force"
        options={OPTIONS}
        value={method}
        assumed={settled?.assumed.has("method") ?? true}
        onChange={(chosen) =>
          changePart(part.id, (now) =>
            "choices" in now ? { ...now, choices: { ...now.choices, method: chosen } } : now,
          )
        }
      />
    </View>
  );
}
