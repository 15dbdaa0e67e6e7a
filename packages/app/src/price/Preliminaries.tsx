import { newExtra, type Pricing } from "@wide-porch/core";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Faint } from "../components/Text";
import { Plus } from "../icons";
import { newId } from "../sync/newId";
import { useChangePricing } from "./useChangePricing";

/** What a site costs before anything is built, as builders list it (common practice). */
const USUAL = [
  ["Site set-up and clearing away", "labour", "sum"],
  ["Supervision", "labour", "week"],
  ["Skip", "plant", "piece"],
  ["Site toilet", "plant", "week"],
  ["Scaffold", "subcontract", "sum"],
  ["Permits and inspections", "sundry", "sum"],
  ["Protection and cleaning", "sundry", "sum"],
  ["Insurance for the job", "sundry", "sum"],
] as const;
const PRELIMINARIES = "Preliminaries";

/** Preliminaries to start from: each becomes a typed line, at nothing until somebody says what it costs. */
export function Preliminaries({ pricing }: { readonly pricing: Pricing }) {
  const change = useChangePricing();
  const there = new Set(
    pricing.extras.filter(({ section }) => section === PRELIMINARIES).map(({ description }) => description),
  );
  const left = USUAL.filter(([name]) => !there.has(name));
  const add = ([name, kind, unit]: (typeof USUAL)[number]) =>
    change(({ extras }) => ({
      extras: [...extras, { ...newExtra(newId(), kind, name, "0"), section: PRELIMINARIES, unit }],
    }));
  return (
    <View className="gap-2">
      <Faint>Each is put in at nothing: say on the worksheet how many there are and what one costs.</Faint>
      <View className="flex-row flex-wrap gap-2">
        {left.map((each) => (
          <Button
            key={each[0]}
            label={each[0]}
            name={`Put in ${each[0]}`}
            kind="plain"
            icon={Plus}
            onPress={() => add(each)}
          />
        ))}
      </View>
      {left.length === 0 ? <Faint>All of the usual ones are in.</Faint> : null}
    </View>
  );
}
