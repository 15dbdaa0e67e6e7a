import { fromSecond, ITEM_KINDS, type ItemKind, type PriceItem, priceItemSchema } from "@wide-porch/core";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { View } from "react-native";
import type { PriceRecord } from "../api/records";
import { Button } from "../components/Button";
import { Folded } from "../components/Folded";
import { FormChoice } from "../components/FormChoice";
import { FormEntry } from "../components/FormEntry";
import { Sheet } from "../components/Sheet";
import { Faint, Warning } from "../components/Text";
import { Copy } from "../icons";
import { KIND_WORDS } from "../price/kindWords";
import { ItemHistory } from "./ItemHistory";
import { type Draft, draftOf, itemFromDraft, newDraft, resolverOf, TEXTS, type TextName } from "./itemDraft";
import { type DraftTerms, HIRE_FIELDS, LOAD_FIELDS, SECOND_FIELDS } from "./itemTerms";
import { SoldBy } from "./SoldBy";
import { TouchedJobsList } from "./TouchedJobsList";
import type { PriceList } from "./usePriceList";

type Props = {
  /** The item that is open; none where one is made anew. */
  readonly record: PriceRecord | undefined;
  readonly list: PriceList;
  readonly onClose: () => void;
};

const KINDS = ITEM_KINDS.map((value: ItemKind) => ({ value, label: KIND_WORDS[value] }));
const SYSTEMS = [
  { value: "imperial", label: "Feet and inches" },
  { value: "metric", label: "Metric" },
] as const;

/** Everything that is known of an item: changed, copied, retired, or made. */
export function ItemSheet({ record, list, onClose }: Props) {
  const [base, setBase] = useState(record);
  const [failure, setFailure] = useState<string>();
  const form = useForm<Draft>({
    resolver: resolverOf(base?.item),
    defaultValues: record ? draftOf(record.item) : newDraft(),
  });
  const { control } = form;
  const draft = form.watch();
  const save = (change: (item: PriceItem) => PriceItem = (item) => item) =>
    form.handleSubmit(async (typed) => {
      const read = itemFromDraft(typed, base?.item);
      if (!read.ok) return;
      const item = priceItemSchema.parse(change(read.item));
      const problem = base ? await list.change(base, item) : await list.make(item);
      setFailure(problem);
      if (problem === undefined) onClose();
    })();
  const field = (name: keyof DraftTerms | TextName, label: string, figure: boolean) => (
    <FormEntry key={name} control={control} name={name} label={label} figure={figure} />
  );
  const typed = itemFromDraft(draft, base?.item);
  const changed = typed.ok && JSON.stringify(typed.item) !== JSON.stringify(base?.item) ? [typed.item] : [];
  const copy = () => {
    setBase(undefined);
    form.setValue("code", `${draft.code}/copy`);
    form.setValue("name", `${draft.name}, another`);
  };
  return (
    <Sheet open onClose={onClose} title={base ? base.item.name : "A new item"}>
      {base ? <Faint>{`Code ${base.item.code}`}</Faint> : null}
      {TEXTS.filter(({ name }) => name !== "code" || !base).map(({ name, label, figure }) =>
        field(name, label, figure),
      )}
      <FormChoice control={control} name="kind" label="Kind" options={KINDS} />
      {base ? null : <FormChoice control={control} name="system" label="Measured in" options={SYSTEMS} />}
      <SoldBy control={control} by={draft.by} />
      {draft.kind === "plant" ? (
        <Folded title="Terms of the hire" startsOpen={base?.item.hire !== null}>
          {HIRE_FIELDS.map(([name, label]) => field(name, label, name !== "outputUnit"))}
        </Folded>
      ) : null}
      {draft.by === "length" ? null : (
        <Folded title="Truck loads" under={base?.item.loads ? `${base.item.loads.most} to a truck` : "None"}>
          {LOAD_FIELDS.map(([name, label]) => field(name, label, true))}
        </Folded>
      )}
      <Folded title="Another supplier" under={base?.item.second?.supplier ?? "None"}>
        {SECOND_FIELDS.map(([name, label]) => field(name, label, name === "secondPrice"))}
        {base?.item.second ? (
          <Button
            label={`Buy from ${base.item.second.supplier} instead`}
            kind="plain"
            onPress={() => void save(fromSecond)}
          />
        ) : null}
      </Folded>
      {base ? <TouchedJobsList items={changed} newest={list.items ?? []} /> : null}
      {failure ? <Warning role="alert">{failure}</Warning> : null}
      <View className="flex-row flex-wrap gap-2">
        <Button label={base ? "Keep the changes" : "Make it"} onPress={() => void save()} />
        {base ? <Button label="Copy it" kind="plain" icon={Copy} onPress={copy} /> : null}
        {base ? (
          <Button
            label={base.item.retired ? "Offer it again" : "Retire it"}
            kind="plain"
            onPress={() => void save((item) => ({ ...item, retired: !item.retired }))}
          />
        ) : null}
      </View>
      {base?.item.retired === false ? (
        <Faint>Retired, it is offered no longer, and stays in the jobs that have it.</Faint>
      ) : null}
      {base ? <ItemHistory code={base.item.code} /> : null}
    </Sheet>
  );
}
