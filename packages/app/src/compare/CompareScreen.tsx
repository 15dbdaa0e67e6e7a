import { formatChange, formatMoney, type LedgerKey, lessMoney, MOST_SIDE_BY_SIDE, sideBySide } from "@wide-porch/core";
import { useMemo, useState } from "react";
import { ScrollView, View } from "react-native";
import { Button, IconButton } from "../components/Button";
import { Choice } from "../components/Choice";
import { Sheet } from "../components/Sheet";
import { Body, Faint, Figure, Strong, Title } from "../components/Text";
import { Waiting } from "../components/Waiting";
import { Plus, Trash2 } from "../icons";
import { useJob } from "../job/JobContext";
import { NoCosts } from "../price/NoCosts";
import { useWide } from "../theme/useWide";
import { valueWords } from "../worksheet/words";
import { CandidateSheet } from "./CandidateSheet";
import { Difference } from "./Difference";
import { type Column, useSideBySide } from "./useSideBySide";

const KEYS = [
  { value: "kind", label: "Kind of cost" },
  { value: "trade", label: "Trade" },
  { value: "phase", label: "Phase" },
  { value: "part", label: "Part" },
  { value: "assembly", label: "Assembly" },
  { value: "supplier", label: "Supplier" },
] as const satisfies readonly { readonly value: LedgerKey; readonly label: string }[];

const NO_ITEMS: ReadonlyMap<string, string> = new Map();
/** Three stand beside one another on the phone; the rest are scrolled to. */
const columnOf = (wide: boolean): string => (wide ? "w-40 px-2 py-1" : "w-[118px] px-1 py-1");

/** Up to ten estimates side by side by any grouping, each with what it differs by, and why. */
export function CompareScreen() {
  const { record, reckoning } = useJob("record", "reckoning");
  const { columns, add, takeOut, explain } = useSideBySide();
  const [key, setKey] = useState<LedgerKey>("kind");
  const [choosing, setChoosing] = useState(false);
  const [asked, setAsked] = useState<string>();
  const column = columnOf(useWide());
  const buildUp = reckoning?.buildUp;
  const there = columns.filter(({ ledger }) => ledger !== undefined);
  const rows = useMemo(
    () => sideBySide([buildUp?.ledger ?? [], ...there.map(({ ledger = [] }) => ledger)], key),
    [buildUp, there, key],
  );
  if (record.job.pricing === null) return <NoCosts />;
  if (!buildUp) return <Waiting what="the price" />;
  const { currency, system } = record.job;
  const say = (amount: string) => formatMoney(amount, currency);
  const why = columns.find(({ candidate }) => candidate.id === asked);
  const ask = (column: Column) => {
    setAsked(column.candidate.id);
    void explain(column);
  };
  return (
    <ScrollView className="min-h-0 flex-1" contentContainerClassName="gap-4 p-4 pb-10">
      <Title level={2}>Side by side</Title>
      <Choice label="By" options={KEYS} value={key} onChange={(next: LedgerKey) => setKey(next)} />
      <ScrollView horizontal tabIndex={0} aria-label="Estimates side by side">
        <View role="table" aria-label="Estimates side by side">
          <View role="row" className="flex-row border-b-2 border-ink">
            <View role="columnheader" className={column}>
              <Faint>{KEYS.find(({ value }) => value === key)?.label ?? ""}</Faint>
            </View>
            <View role="columnheader" className={column}>
              <Strong numberOfLines={2}>This job</Strong>
            </View>
            {there.map(({ candidate }) => (
              <View key={candidate.id} role="columnheader" className={column}>
                <Strong numberOfLines={2}>{candidate.name}</Strong>
              </View>
            ))}
          </View>
          {rows.map(({ value, costs, differences }) => (
            <View key={value} role="row" className="flex-row border-b border-rule">
              <View role="rowheader" className={column}>
                <Body>{valueWords(key, value, NO_ITEMS)}</Body>
              </View>
              {costs.map((cost, index) => (
                <View key={there[index - 1]?.candidate.id ?? "own"} role="cell" className={`${column} items-end`}>
                  <Figure className="text-base">{say(cost)}</Figure>
                  {index > 0 ? (
                    <Faint className="figures">{formatChange(differences[index] ?? "0.00", currency)}</Faint>
                  ) : null}
                </View>
              ))}
            </View>
          ))}
          <View role="row" className="flex-row border-t-2 border-ink">
            <View role="rowheader" className={column}>
              <Strong>Total to pay</Strong>
            </View>
            <View role="cell" className={`${column} items-end`}>
              <Figure className="text-base">{say(buildUp.total)}</Figure>
            </View>
            {there.map(({ candidate, total = "0.00" }) => (
              <View key={candidate.id} role="cell" className={`${column} items-end`}>
                <Figure className="text-base">{say(total)}</Figure>
                <Faint className="figures">{formatChange(lessMoney(total, buildUp.total), currency)}</Faint>
              </View>
            ))}
          </View>
        </View>
      </ScrollView>
      <View className="max-w-xl gap-2">
        {columns.map((each) => (
          <View key={each.candidate.id} className="flex-row items-center gap-2 border-b border-rule py-1">
            <View className="min-w-0 flex-1">
              <Strong>{each.candidate.name}</Strong>
              <Faint role={each.failure ? "alert" : undefined}>{stateWords(each, system)}</Faint>
            </View>
            {each.priced && each.candidate.system === system ? (
              <Button label="Why" name={`Why ${each.candidate.name} differs`} kind="plain" onPress={() => ask(each)} />
            ) : null}
            <IconButton
              name={`Take out ${each.candidate.name}`}
              icon={Trash2}
              onPress={() => takeOut(each.candidate.id)}
            />
          </View>
        ))}
        {columns.length + 1 < MOST_SIDE_BY_SIDE ? (
          <Button label="Put an estimate beside it" kind="plain" icon={Plus} onPress={() => setChoosing(true)} />
        ) : (
          <Faint>{`At most ${MOST_SIDE_BY_SIDE} stand side by side.`}</Faint>
        )}
      </View>
      <CandidateSheet
        open={choosing}
        onClose={() => setChoosing(false)}
        taken={columns.map(({ candidate }) => candidate.id)}
        onChoose={(candidate) => {
          setChoosing(false);
          void add(candidate);
        }}
      />
      <Sheet open={why !== undefined} onClose={() => setAsked(undefined)} title={why?.candidate.name ?? ""}>
        {why?.why ? (
          <Difference comparison={why.why} currency={currency} names={[why.candidate.name, "This job"]} />
        ) : (
          <Faint role="status">{why?.failure ?? "Reckoning both, cause by cause"}</Faint>
        )}
      </Sheet>
    </ScrollView>
  );
}

function stateWords({ failure, ledger, candidate }: Column, system: string): string {
  if (failure) return failure;
  if (!ledger) return "Reckoning it";
  return candidate.system === system
    ? candidate.under
    : `${candidate.under}. In other units: only the sums are compared.`;
}
