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
import { percentProblem } from "../price/PercentField";
import { taxOptions } from "../price/taxWords";
import { useChangePricing } from "../price/useChangePricing";

type Props = { readonly line: LedgerLine; readonly countLineId: string };

/** What can be changed of a counted line on the worksheet, each with the way back. */
export function LineTools({ line, countLineId }: Props) {
  return (
    <View className="gap-4">
      {line.supply === "ours" ? <ByHand line={line} /> : null}
      <MarkedAndTaxed line={line} />
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

function useSetLine(lineId: string): (changed: LineSet) => void {
  const change = useChangePricing();
  return (changed) =>
    change(({ linesSet }) => {
      const { [lineId]: before = {}, ...others } = linesSet;
      const next = { ...before, ...changed };
      return { linesSet: isEmpty(next) ? others : { ...others, [lineId]: next } };
    });
}

/** What the line is marked up by and how it is taxed, and what it comes to in the price with all that. */
export function MarkedAndTaxed({ line }: { readonly line: LedgerLine }) {
  const { record } = useJob("record");
  const set = useSetLine(line.id);
  const { pricing } = record.job;
  if (!pricing) return null;
  const own = Object.hasOwn(pricing.linesSet, line.id) ? pricing.linesSet[line.id] : undefined;
  const isSet = own?.markupPercent !== undefined || own?.tax !== undefined;
  return (
    <View className="gap-2">
      <FigureField
        measure="percent"
        label="Markup, for this line"
        value={line.markupPercent}
        check={percentProblem}
        onCommit={(markupPercent) => set({ markupPercent })}
        boxClassName="w-40"
        className="text-right"
        suffix="%"
      />
      <Choice label="Taxed" options={taxOptions(pricing.tax)} value={line.tax} onChange={(tax) => set({ tax })} />
      {isSet ? (
        <Button
          label="Marked up and taxed as its like"
          kind="plain"
          onPress={() => set({ markupPercent: undefined, tax: undefined })}
        />
      ) : null}
    </View>
  );
}

function ByHand({ line }: { readonly line: LedgerLine }) {
  const { record } = useJob("record");
  const set = useSetLine(line.id);
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

const OF_WHAT = [
  { value: "line", label: "This line" },
  { value: "item", label: "This item, over the job" },
  { value: "assembly", label: "All of this assembly" },
] as const;
type OfWhat = (typeof OF_WHAT)[number]["value"];
type Supply = NonNullable<LineChange["supply"]>;

/** Who supplies it: said of the line, of its item over the job, or of all that its assembly needs. The nearest holds. */
function SuppliedBy({ line, countLineId }: Props) {
  const { record, reckoning, changeJob } = useJob("record", "reckoning", "changeJob");
  const { own, change } = useChangeLine(countLineId);
  const [of, setOf] = useState<OfWhat>("line");
  const counted = reckoning?.counts.flatMap(({ lines }) => lines).find(({ id }) => id === countLineId);
  const ids: Readonly<Record<OfWhat, string>> = {
    line: countLineId,
    item: line.itemCode,
    assembly: counted?.assembly.id ?? "",
  };
  const said = (what: OfWhat): Supply | undefined =>
    what === "line"
      ? own.supply
      : record.job.supplies.find((each) => each.of === what && each.id === ids[what])?.supply;
  const put = (supply: Supply | undefined) => {
    if (of === "line") return change({ supply });
    changeJob(({ supplies }) => {
      const others = supplies.filter((each) => each.of !== of || each.id !== ids[of]);
      return { supplies: supply ? [...others, { of, id: ids[of], supply }] : others };
    });
  };
  const rate = line.rate ?? "0";
  const choose = (by: (typeof SUPPLIERS)[number]["value"]) =>
    put(by === "allowance" ? { by, rate: Number(rate).toFixed(2) } : { by });
  const inForce = said(of);
  return (
    <View className="gap-2">
      <Choice label="Said of" options={OF_WHAT} value={of} onChange={setOf} />
      <Choice label="Supplied by" options={SUPPLIERS} value={inForce?.by ?? line.supply} onChange={choose} />
      {inForce?.by === "allowance" ? (
        <FigureField
          measure="money"
          label={of === "line" ? `Allowed for one ${line.unitName}` : "Allowed for one"}
          value={inForce.rate}
          check={amountProblem}
          onCommit={(text) => put({ by: "allowance", rate: text })}
          boxClassName="w-40"
          className="text-right"
        />
      ) : null}
      {inForce ? <Button label="As its rule says" kind="plain" onPress={() => put(undefined)} /> : null}
      {OF_WHAT.filter(({ value }) => value !== of && said(value) !== undefined).map(({ value, label }) => (
        <Faint key={value}>{`It is said of ${label.toLowerCase()} as well; the nearest holds.`}</Faint>
      ))}
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
