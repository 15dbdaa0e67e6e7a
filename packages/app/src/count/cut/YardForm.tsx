import { type CuttingSettings, formatLength, parseLength } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { Button, IconButton } from "../../components/Button";
import { Choice } from "../../components/Choice";
import { Body, Faint } from "../../components/Text";
import { TextField } from "../../components/TextField";
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

function Adding({ options, onAdd }: AddingProps) {
  const { record } = useJob("record");
  const [itemCode, setItemCode] = useState(options[0]?.value ?? "");
  const [length, setLength] = useState("");
  const [count, setCount] = useState("1");
  const [problem, setProblem] = useState<string>();
  const add = () => {
    const read = parseLength(length, record.job.system);
    const many = /^[1-9]\d{0,3}$/.test(count) ? Number(count) : undefined;
    if (!read.ok) setProblem(read.problem.message);
    else if (read.value <= 0) setProblem("A length is more than zero.");
    else if (many === undefined) setProblem("How many: a whole number from 1.");
    else onAdd(itemCode, read.value, many);
  };
  return (
    <View role="form" aria-label="Offcut from the yard" className="gap-2 rounded-md border border-rule p-3">
      <Choice label="Of what" options={options} value={itemCode} onChange={setItemCode} />
      <View className="flex-row gap-3">
        <TextField
          label="Length of it"
          value={length}
          onChangeText={setLength}
          boxClassName="flex-1"
          problem={problem}
        />
        <TextField label="How many" value={count} onChangeText={setCount} inputMode="numeric" boxClassName="w-24" />
      </View>
      <Faint>What lies in the yard costs nothing and is cut first.</Faint>
      <Button label="Put it in the yard" kind="plain" onPress={add} />
    </View>
  );
}
