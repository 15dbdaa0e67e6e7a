import { kindOf, type Part, settlePart } from "@wide-porch/core";
import { View } from "react-native";
import { Choice } from "../components/Choice";
import { Faint, Strong, Title } from "../components/Text";
import { useJob } from "../job/JobContext";

const OPTIONS = [
  { value: "laid-out", label: "As laid out" },
  { value: "by-area", label: "By area" },
] as const;

const shown = (count: number): string => Number(count.toFixed(1)).toLocaleString("en");

type Props = {
  readonly part: Part;
  /** The choice of the part that says which is in force. */
  readonly choice: string;
};

/** What is laid out, and what it comes to by area, and which of them is in force. */
export function BothWays({ part, choice }: Props) {
  const { reckoning, context, rules, changePart } = useJob("reckoning", "context", "rules", "changePart");
  const compared = reckoning?.counts.find((each) => each.partId === part.id)?.compared ?? [];
  if (compared.length === 0) return null;
  const settled = settlePart(part, context.system, rules);
  const { slot } = kindOf(settled);
  const method = OPTIONS.find(({ value }) => value === slot?.values(settled).get(choice))?.value ?? "laid-out";
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
        assumed={slot?.assumed(settled).has(choice) ?? true}
        onChange={(chosen) =>
          changePart(part.id, (now) =>
            "choices" in now ? { ...now, choices: { ...now.choices, [choice]: chosen } } : now,
          )
        }
      />
    </View>
  );
}
