import { zodResolver } from "@hookform/resolvers/zod";
import { type CuttingSettings, formatLength, type MeasuringSystem, parseLength } from "@wide-porch/core";
import { useState } from "react";
import { Controller, useForm } from "react-hook-form";
import { View } from "react-native";
import { z } from "zod";
import { Button, IconButton } from "../../components/Button";
import { Choice } from "../../components/Choice";
import { FormEntry } from "../../components/FormEntry";
import { Body, Faint } from "../../components/Text";
import { Plus, Trash2 } from "../../icons";
import { useJob } from "../../job/JobContext";
import { newId } from "../../sync/newId";

/** Offcuts and lengths that are in the yard already: they are used before anything is bought. */
export function YardForm({ cutting }: { readonly cutting: CuttingSettings }) {
  const { changeCutting, record, reckoning } = useJob("changeCutting", "record", "reckoning");
  const [adding, setAdding] = useState(false);
  const { system } = record.job;
  const names = new Map((reckoning?.order.cuts ?? []).map((cut) => [cut.itemCode, cut.name]));
  const put = (change: (yard: CuttingSettings["yard"]) => CuttingSettings["yard"]) =>
    changeCutting((now) => ({ ...now, yard: change(now.yard) }));
  return (
    <View className="gap-2">
      {cutting.yard.map((each) => (
        <View key={each.id} className="flex-row items-center justify-between border-b border-rule">
          <Body className="flex-1">
            {`${each.count} × ${formatLength(each.lengthNm, system)} ${names.get(each.itemCode) ?? each.itemCode}`}
          </Body>
          <IconButton
            name={`Take ${formatLength(each.lengthNm, system)} out of the yard`}
            icon={Trash2}
            onPress={() => put((yard) => yard.filter((other) => other.id !== each.id))}
          />
        </View>
      ))}
      {adding ? (
        <Adding
          options={[...names].map(([value, label]) => ({ value, label }))}
          onAdd={(itemCode, lengthNm, count) => {
            put((yard) => [...yard, { id: newId().slice(0, 8), itemCode, lengthNm, count }]);
            setAdding(false);
          }}
        />
      ) : (
        <Button label="Add an offcut from the yard" kind="quiet" icon={Plus} onPress={() => setAdding(true)} />
      )}
    </View>
  );
}

type AddingProps = {
  readonly options: readonly { value: string; label: string }[];
  readonly onAdd: (itemCode: string, lengthNm: number, count: number) => void;
};

/** A length as it is typed, in whole nanometres; how many as a number. */
const offcutIn = (system: MeasuringSystem) =>
  z.object({
    itemCode: z.string(),
    length: z.string().transform((text, context) => {
      const read = parseLength(text, system);
      if (read.ok && read.value > 0) return read.value;
      context.addIssue({ code: "custom", message: read.ok ? "A length is more than zero." : read.problem.message });
      return z.NEVER;
    }),
    count: z
      .string()
      .trim()
      .regex(/^[1-9]\d{0,3}$/, "A whole number from 1.")
      .transform(Number),
  });
type Offcut = z.input<ReturnType<typeof offcutIn>>;
type ReadOffcut = z.output<ReturnType<typeof offcutIn>>;

function Adding({ options, onAdd }: AddingProps) {
  const { record } = useJob("record");
  const { control, handleSubmit } = useForm<Offcut, unknown, ReadOffcut>({
    resolver: zodResolver(offcutIn(record.job.system)),
    defaultValues: { itemCode: options[0]?.value ?? "", length: "", count: "1" },
  });
  const add = () => void handleSubmit(({ itemCode, length, count }) => onAdd(itemCode, length, count))();
  return (
    <View role="form" aria-label="Offcut from the yard" className="gap-2 rounded-md border border-rule p-3">
      <Controller
        control={control}
        name="itemCode"
        render={({ field }) => (
          <Choice label="Of what" options={options} value={field.value} onChange={field.onChange} />
        )}
      />
      <View className="flex-row gap-3">
        <FormEntry control={control} name="length" label="Length of it" boxClassName="flex-1" onEnter={add} />
        <FormEntry
          control={control}
          name="count"
          label="How many"
          boxClassName="w-24"
          more={{ inputMode: "numeric" }}
          onEnter={add}
        />
      </View>
      <Faint>What lies in the yard costs nothing and is cut first.</Faint>
      <Button label="Put it in the yard" kind="plain" onPress={add} />
    </View>
  );
}
