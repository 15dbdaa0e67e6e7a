import { formatMoney, type LedgerLine, type LineChange, type LineSet } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { CommitField } from "../components/CommitField";
import { Picker } from "../components/Picker";
import { Faint, Title } from "../components/Text";
import { useJob } from "../job/JobContext";
import { FigureField } from "../measure/FigureField";
import { amountProblem } from "../price/LabourRates";
import { useChangePricing } from "../price/useChangePricing";

type Props = { readonly line: LedgerLine; readonly countLineId: string };

/** What can be changed of a counted line on the worksheet, each with the way back. */
export function LineTools({ line, countLineId }: Props) {
  return (
    <View className="gap-4">
      {line.supply === "ours" ? <ByHand line={line} /> : null}
      {line.itemCode === "" ? null : (
        <>
          <SuppliedBy countLineId={countLineId} line={line} />
          <Swap line={line} countLineId={countLineId} />
        </>
      )}
      <Note countLineId={countLineId} />
    </View>
  );
}

/** Without what is not chosen: an empty choice is none. */
const isEmpty = (change: object): boolean => Object.values(change).every((value) => value === undefined);

function useChangeLine(countLineId: string) {
  const { record, changeJob } = useJob("record", "changeJob");
  const own: LineChange = Object.hasOwn(record.job.lineChanges, countLineId)
    ? (record.job.lineChanges[countLineId] ?? {})
    : {};
  const change = (changed: Partial<LineChange>) =>
    changeJob(({ lineChanges }) => {
      const { [countLineId]: before = {}, ...others } = lineChanges;
      const next = { ...before, ...changed };
      return { lineChanges: isEmpty(next) ? others : { ...others, [countLineId]: next } };
    });
  return { own, change };
}

function ByHand({ line }: { readonly line: LedgerLine }) {
  const { record } = useJob("record");
  const change = useChangePricing();
  const set = (changed: LineSet) =>
    change(({ linesSet }) => {
      const { [line.id]: before = {}, ...others } = linesSet;
      const next = { ...before, ...changed };
      return { linesSet: isEmpty(next) ? others : { ...others, [line.id]: next } };
    });
  const { before } = line;
  const was = before
    ? `By itself it is ${formatMoney(before.cost, record.job.currency)}${before.rate === null ? "" : `, ${before.quantity} ${line.unitName} at ${before.rate}`}.`
    : "";
  return (
    <View className="gap-2">
      <FigureField
        measure="money"
        label={line.kind === "labour" ? "Rate for an hour, for this line" : "Rate, for this line"}
        value={line.rate ?? ""}
        check={amountProblem}
        onCommit={(rate) => set({ rate })}
        boxClassName="w-40"
        className="text-right"
      />
      {line.kind === "labour" ? (
        <FigureField
          measure="number"
          label="Hours, for this line"
          value={line.hours}
          check={amountProblem}
          onCommit={(hours) => set({ hours })}
          boxClassName="w-40"
          className="text-right"
        />
      ) : null}
      {before ? (
        <>
          <Faint className="figures">{was}</Faint>
          <Button label="As it comes out" kind="plain" onPress={() => set({ rate: undefined, hours: undefined })} />
        </>
      ) : null}
    </View>
  );
}

const SUPPLIERS = [
  { value: "ours", label: "Us" },
  { value: "customer", label: "The customer" },
  { value: "allowance", label: "Allowed for" },
] as const;

function SuppliedBy({ line, countLineId }: Props) {
  const { own, change } = useChangeLine(countLineId);
  const rate = line.rate ?? "0";
  const choose = (by: (typeof SUPPLIERS)[number]["value"]) =>
    change({ supply: by === "allowance" ? { by, rate: Number(rate).toFixed(2) } : { by } });
  return (
    <View className="gap-2">
      <Choice label="Supplied by" options={SUPPLIERS} value={line.supply} onChange={choose} />
      {own.supply?.by === "allowance" ? (
        <FigureField
          measure="money"
          label={`Allowed for one ${line.unitName}`}
          value={own.supply.rate}
          check={amountProblem}
          onCommit={(text) => change({ supply: { by: "allowance", rate: text } })}
          boxClassName="w-40"
          className="text-right"
        />
      ) : null}
      {own.supply ? (
        <Button label="As its rule says" kind="plain" onPress={() => change({ supply: undefined })} />
      ) : null}
    </View>
  );
}

type Scope = "line" | "part" | "job";
const SCOPES: readonly { readonly value: Scope; readonly label: string }[] = [
  { value: "line", label: "In this line" },
  { value: "part", label: "In this part" },
  { value: "job", label: "Over the job" },
];

/** Another item in the place of this one; what it was is there to go back to. */
function Swap({ line, countLineId }: Props) {
  const { record, priceList, reckoning, changeJob } = useJob("record", "priceList", "reckoning", "changeJob");
  const { own, change } = useChangeLine(countLineId);
  const [scope, setScope] = useState<Scope>("line");
  const counted = reckoning?.counts.flatMap(({ lines }) => lines).find(({ id }) => id === countLineId);
  const from = counted?.itemCode ?? line.itemCode;
  const options = priceList
    .filter(({ system, retired, code }) => (system === record.job.system && !retired) || code === line.itemCode)
    .map(({ code, name, supplier }) => ({ value: code, label: name, under: supplier }));
  const put = (to: string) => {
    if (scope === "line") return change({ itemCode: to === from ? undefined : to });
    const partId = scope === "part" ? line.partId : null;
    changeJob(({ swaps }) => {
      const others = swaps.filter((swap) => swap.from !== from || swap.partId !== partId);
      return { swaps: to === from ? others : [...others, { from, to, partId }] };
    });
  };
  const back = () => {
    change({ itemCode: undefined });
    changeJob(({ swaps }) => ({
      swaps: swaps.filter((swap) => swap.from !== from || (swap.partId !== null && swap.partId !== line.partId)),
    }));
  };
  const swapped = own.itemCode !== undefined || line.itemCode !== from;
  return (
    <View className="gap-2">
      <Title level={3}>Another item in its place</Title>
      <Choice label="Swapped" options={SCOPES} value={scope} onChange={setScope} />
      <Picker label="Item" options={options} value={line.itemCode} onChange={put} />
      {swapped ? (
        <>
          <Faint>{`In the place of ${priceList.find(({ code }) => code === from)?.name ?? from}.`}</Faint>
          <Button label="Back to what was counted" kind="plain" onPress={back} />
        </>
      ) : null}
    </View>
  );
}

function Note({ countLineId }: { readonly countLineId: string }) {
  const { own, change } = useChangeLine(countLineId);
  return (
    <CommitField
      label="Note on this line"
      value={own.note ?? ""}
      multiline
      check={(text) => (text.length > 500 ? "At most 500 letters." : undefined)}
      onCommit={(text) => change({ note: text.trim() === "" ? undefined : text })}
    />
  );
}
