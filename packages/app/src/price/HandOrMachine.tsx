import {
  amountSchema,
  asExtras,
  formatMoney,
  handOrMachine,
  hourOfTrade,
  type PriceItem,
  type Pricing,
  plainHire,
  type WorkToDo,
} from "@wide-porch/core";
import { useForm } from "react-hook-form";
import { View } from "react-native";
import { Button } from "../components/Button";
import { FormEntry } from "../components/FormEntry";
import { Picker } from "../components/Picker";
import { Body, Faint, Strong, Warning } from "../components/Text";
import { useJob } from "../job/JobContext";
import { newId } from "../sync/newId";
import { useChangePricing } from "./useChangePricing";

type Draft = {
  readonly what: string;
  readonly quantity: string;
  readonly unit: string;
  readonly minutes: string;
  readonly trade: string;
  readonly code: string;
  readonly output: string;
  readonly hours: string;
};
const EMPTY: Draft = { what: "", quantity: "", unit: "", minutes: "", trade: "", code: "", output: "", hours: "8" };

const isAmount = (text: string): boolean => amountSchema.safeParse(text).success;

/** The work that was typed, or what is missing of it. */
function workOf(draft: Draft, item: PriceItem | undefined, hourRate: string): WorkToDo | string {
  if (draft.what.trim() === "") return "Say what is to be done.";
  if (!isAmount(draft.quantity) || Number(draft.quantity) === 0) return "How much of it is there? A figure above zero.";
  if (!isAmount(draft.minutes)) return "How many minutes does one take by hand?";
  if (!item || item.buying.by === "length") return "Choose a machine.";
  if (!isAmount(draft.output) || Number(draft.output) === 0)
    return "What does the machine get done in one? A figure above zero.";
  if (!isAmount(draft.hours)) return "How many hours of ours does it take in one? Nothing is 0.";
  const { quantity, unit, minutes, output, hours } = draft;
  const machine = { name: item.name, price: item.buying.price, unit: "", hire: item.hire, output, hours };
  return { what: draft.what.trim(), quantity, unit, minutesByHand: minutes, hourRate, machine };
}

/** The same work by hand and by a hired machine, side by side; the builder's choice becomes costs of the job. */
export function HandOrMachine({ pricing }: { readonly pricing: Pricing }) {
  const { priceList, record } = useJob("priceList", "record");
  const change = useChangePricing();
  const { control, setValue, reset, watch } = useForm<Draft>({ defaultValues: EMPTY });
  const draft = watch();
  const { currency, system } = record.job;
  const machines = priceList.filter((item) => item.kind === "plant" && item.system === system && !item.retired);
  const item = machines.find(({ code }) => code === draft.code);
  const work = workOf(draft, item, hourOfTrade(pricing, draft.trade));
  const both = typeof work === "string" ? undefined : handOrMachine(work);
  const say = (amount: string) => formatMoney(amount, currency);
  const choose = (code: string) => {
    const hire = machines.find((each) => each.code === code)?.hire ?? plainHire;
    setValue("code", code);
    if (hire.output !== null) setValue("output", String(hire.output));
  };
  const take = (way: "hand" | "machine") => {
    if (typeof work === "string") return;
    const made = asExtras(work, way, "Plant", newId).map((extra) => ({ ...extra, trade: draft.trade }));
    change(({ extras }) => ({ extras: [...extras, ...made] }));
    reset(EMPTY);
  };
  const field = (name: keyof Draft, label: string, figure = true) => (
    <FormEntry control={control} name={name} label={label} figure={figure} />
  );
  return (
    <View className="gap-3">
      <Faint>Work that a machine can do: what it takes either way, with the hire's least, delivery and fuel.</Faint>
      {field("what", "What is to be done", false)}
      {field("quantity", "How much of it")}
      {field("unit", "Of what: m³, sq ft, pieces", false)}
      {field("minutes", "Minutes for one, by hand")}
      {field("trade", "Whose work it is, by trade", false)}
      <Picker
        label="Machine"
        options={[
          { value: "", label: "Choose a machine" },
          ...machines.map(({ code, name }) => ({ value: code, label: name })),
        ]}
        value={draft.code}
        onChange={choose}
      />
      {field(
        "output",
        item?.hire?.outputUnit ? `Gets done in one, ${item.hire.outputUnit}` : "Gets done in one that is hired",
      )}
      {field("hours", "Hours of ours in one that is hired")}
      {item && item.buying.by !== "length" && item.buying.price === null ? (
        <Warning>{`${item.name} has no price in the price list.`}</Warning>
      ) : null}
      {typeof work === "string" ? <Faint role="status">{draft.what === "" ? "" : work}</Faint> : null}
      {both ? (
        <View className="gap-2" testID="hand-or-machine">
          <View className="border-b border-rule py-1">
            <Strong className="figures">{`By hand ${say(both.hand.cost)}`}</Strong>
            <Body className="figures">{`${both.hand.hours} h`}</Body>
          </View>
          <View className="border-b border-rule py-1">
            <Strong className="figures">{`By machine ${say(both.machine.cost)}`}</Strong>
            <Body className="figures">
              {`${both.machine.needed} needed, ${both.machine.charged} charged: ${say(both.machine.hire)}; delivery ${say(both.machine.delivery)}; fuel ${say(both.machine.fuel)}; ${both.machine.hours} h of ours ${say(both.machine.driving)}`}
            </Body>
          </View>
          <View className="flex-row flex-wrap gap-2">
            <Button
              label="Do it by hand"
              kind={both.cheaper === "hand" ? "main" : "plain"}
              onPress={() => take("hand")}
            />
            <Button
              label="Do it by machine"
              kind={both.cheaper === "machine" ? "main" : "plain"}
              onPress={() => take("machine")}
            />
          </View>
        </View>
      ) : null}
    </View>
  );
}
