import {
  type AssemblyParameter,
  formatChange,
  formatMoney,
  type GroundPart,
  type Part,
  type Problem,
  type Scalar,
} from "@wide-porch/core";
import { useEffect, useState } from "react";
import { View } from "react-native";
import { NamedChoices } from "../assembly/NamedChoices";
import { Button } from "../components/Button";
import { Body, Faint, Strong, Title, Warning } from "../components/Text";
import { useJob } from "../job/JobContext";
import { reckoner } from "../worker/reckoner";

/** Choices of an assembly that say how the work is done, in the order it is. Each is shown where the assembly asks for it. */
const HOW = ["digBy", "loadBy", "spoilBy", "backfillBy", "concreteBy", "pourApart"] as const;

type Props = {
  readonly part: GroundPart;
  readonly onChange: (change: (now: Part) => Part) => Problem | undefined;
};

/** How it is dug, loaded, taken away and poured; each with what the other ways would take and cost, for who asks. */
export function HowItIsDone({ part, onChange }: Props) {
  return (
    <View className="gap-4">
      <Title level={2}>How it is done</Title>
      <NamedChoices
        part={part}
        names={HOW}
        onChange={onChange}
        under={(parameter, value) => <OtherWays part={part} parameter={parameter} value={value} />}
      />
    </View>
  );
}

type WaysProps = { readonly part: GroundPart; readonly parameter: AssemblyParameter; readonly value: Scalar };
type Tried = Awaited<ReturnType<ReturnType<typeof reckoner>["ways"]>>;

/** The same work each way, side by side: what the job comes to, hours and plant of this part. Reckoned when it is asked for, and anew after each change. */
function OtherWays({ part, parameter, value }: WaysProps) {
  const { page, reckoning } = useJob("page", "reckoning");
  const [open, setOpen] = useState(false);
  const [tried, setTried] = useState<Tried>();
  const [failure, setFailure] = useState<string>();
  const choices = parameter.choices ?? [];
  const words = parameter.label.toLowerCase();
  useEffect(() => {
    if (!open || !reckoning) return undefined;
    let current = true;
    const ask = async () => {
      try {
        const values = (parameter.choices ?? []).map((each) => each.value);
        const found = await reckoner().ways(page, part.id, parameter.name, values);
        if (current) setTried(found);
      } catch (error) {
        if (current) setFailure(error instanceof Error ? error.message : String(error));
      }
    };
    void ask();
    return () => {
      current = false;
    };
  }, [open, reckoning, page, part.id, parameter]);
  // Who sees no costs has no total to compare.
  if (choices.length < 2 || !reckoning?.buildUp) return null;
  if (!open)
    return (
      <View className="flex-row">
        <Button label="Side by side" name={`Side by side: ${words}`} kind="quiet" onPress={() => setOpen(true)} />
      </View>
    );
  if (failure) return <Warning role="alert">{`This could not be worked out: ${failure}`}</Warning>;
  if (!tried) return <Faint>Working out each way</Faint>;
  const now = tried.find((each) => each.value === value);
  return (
    <View role="list" aria-label={`Side by side: ${words}`} className="flex-row flex-wrap gap-2">
      {tried.map((way) => (
        <Way
          key={String(way.value)}
          way={way}
          name={choices.find((each) => each.value === way.value)?.label ?? String(way.value)}
          now={now}
        />
      ))}
    </View>
  );
}

type OneWay = NonNullable<Tried>[number];

function Way({ way, name, now }: { readonly way: OneWay; readonly name: string; readonly now: OneWay | undefined }) {
  const { record } = useJob("record");
  const { currency } = record.job;
  const difference = now ? Number(way.total) - Number(now.total) : 0;
  const beside =
    way === now
      ? "as it is now"
      : difference === 0
        ? "the same"
        : `${formatChange(difference.toFixed(2), currency)} on the job`;
  return (
    <View
      role="listitem"
      className={`min-w-36 flex-1 gap-1 rounded-md border p-3 ${way === now ? "border-pine bg-pine-wash" : "border-rule bg-sheet"}`}
    >
      <Strong>{name}</Strong>
      <Body className="figures">{formatMoney(way.total, currency)}</Body>
      <Faint>{beside}</Faint>
      <Faint>{`${Number(way.hours)} h`}</Faint>
      {way.plant.map(({ what, quantity, unit }) => (
        <Faint key={what}>{`${what}: ${Number(Number(quantity).toFixed(2))} ${unit}`}</Faint>
      ))}
    </View>
  );
}
