import { type Crew, formatMoney, hourOfCrew, MOST_CREWS, type Pricing } from "@wide-porch/core";
import { View } from "react-native";
import { Button, IconButton } from "../components/Button";
import { CommitField } from "../components/CommitField";
import { Body, Faint } from "../components/Text";
import { Toggles } from "../components/Toggles";
import { Plus, Trash2 } from "../icons";
import { useJob } from "../job/JobContext";
import { FigureField } from "../measure/FigureField";
import { newId } from "../sync/newId";
import { amountProblem } from "./LabourRates";
import { PercentField } from "./PercentField";
import { useChangePricing } from "./useChangePricing";

/** Who works at which rate: a crew takes its trades, all others are at the usual rate. */
export function Crews({ pricing }: { readonly pricing: Pricing }) {
  const { reckoning, record } = useJob("reckoning", "record");
  const change = useChangePricing();
  const counted = reckoning?.buildUp?.ledger.flatMap(({ kind, trade }) => (kind === "labour" ? [trade] : [])) ?? [];
  const trades = [...new Set([...counted, ...pricing.crews.flatMap((crew) => crew.trades)])].filter(Boolean).toSorted();
  const set = (id: string, changed: Partial<Crew>) =>
    change(({ crews }) => ({ crews: crews.map((crew) => (crew.id === id ? { ...crew, ...changed } : crew)) }));
  // A trade is one crew's: it leaves the crew that had it.
  const take = (id: string, trade: string, taken: boolean) =>
    change(({ crews }) => ({
      crews: crews.map((crew) => {
        const others = crew.trades.filter((each) => each !== trade);
        return { ...crew, trades: taken && crew.id === id ? [...others, trade] : others };
      }),
    }));
  const add = () => {
    const crew = {
      id: newId(),
      name: `Crew ${pricing.crews.length + 1}`,
      ratePerHour: pricing.ratePerHour,
      onCostPercent: "0",
      trades: [],
    };
    change(({ crews }) => ({ crews: [...crews, crew] }));
  };
  return (
    <View className="gap-3">
      {pricing.crews.length === 0 ? (
        <Faint>Everybody works at the rate above until a crew has one of its own.</Faint>
      ) : null}
      {pricing.crews.map((crew) => (
        <View key={crew.id} className="gap-2 border-b border-rule pb-3">
          <View className="flex-row items-end gap-2">
            <View className="min-w-0 flex-1">
              <CommitField
                label="Name of the crew"
                value={crew.name}
                check={(text) => (text.trim() === "" || text.length > 120 ? "A name of up to 120 letters." : undefined)}
                onCommit={(name) => set(crew.id, { name })}
              />
            </View>
            <IconButton
              name={`Take out ${crew.name}`}
              icon={Trash2}
              onPress={() => change(({ crews }) => ({ crews: crews.filter(({ id }) => id !== crew.id) }))}
            />
          </View>
          <View className="flex-row items-center gap-3">
            <Body className="flex-1">Rate for an hour</Body>
            <FigureField
              measure="money"
              label={`${crew.name}, rate for an hour`}
              hideLabel
              value={crew.ratePerHour}
              check={amountProblem}
              onCommit={(ratePerHour) => set(crew.id, { ratePerHour })}
              boxClassName="w-28"
              className="text-right"
            />
          </View>
          <View className="flex-row items-center gap-3">
            <Body className="flex-1">On-costs</Body>
            <PercentField
              label={`${crew.name}, on-costs`}
              value={crew.onCostPercent}
              onCommit={(onCostPercent) => set(crew.id, { onCostPercent })}
            />
          </View>
          <Faint className="figures">{`An hour costs ${formatMoney(hourOfCrew(crew), record.job.currency)}.`}</Faint>
          <Toggles
            label={`Trades of ${crew.name}`}
            options={trades}
            chosen={crew.trades}
            onToggle={(trade, taken) => take(crew.id, trade, taken)}
          />
        </View>
      ))}
      {pricing.crews.length < MOST_CREWS ? (
        <Button label="A crew at another rate" kind="plain" icon={Plus} onPress={add} />
      ) : null}
    </View>
  );
}
