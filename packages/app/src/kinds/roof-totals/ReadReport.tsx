import { plural, type ReportTable, type RoofTotals, readReport, withReport } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { Button } from "../../components/Button";
import { Picker } from "../../components/Picker";
import { Sheet } from "../../components/Sheet";
import { Body, Faint, Warning } from "../../components/Text";
import { useJob } from "../../job/JobContext";
import { ChooseReport } from "./ChooseReport";
import { MatchColumns } from "./MatchColumns";
import { sayReportFigure } from "./reportWords";
import { useMatch } from "./useMatch";

type Props = { readonly onTake: (change: (now: RoofTotals) => RoofTotals) => string | undefined };

/** Figures of a roof from a measuring report: its columns are matched once, and what it says is seen before it is taken. */
export function ReadReport({ onTake }: Props) {
  const [open, setOpen] = useState(false);
  const [table, setTable] = useState<ReportTable>();
  const close = () => {
    setOpen(false);
    setTable(undefined);
  };
  return (
    <View className="flex-row flex-wrap gap-2">
      <Button label="Read a measuring report" kind="plain" onPress={() => setOpen(true)} />
      <Sheet open={open} onClose={close} title="Measuring report">
        {table ? <TakeFigures table={table} onTake={onTake} onDone={close} /> : <ChooseReport onRead={setTable} />}
      </Sheet>
    </View>
  );
}

type TakeProps = Props & { readonly table: ReportTable; readonly onDone: () => void };

const nameOf = ({ rows }: ReportTable, row: number): string =>
  rows[row]?.find((text) => /[a-z]/i.test(text)) ?? `Row ${row + 1}`;

function TakeFigures({ table, onTake, onDone }: TakeProps) {
  const { context } = useJob("context");
  const { system } = context;
  const { match, isKnown, change, remember, failure } = useMatch(table, system);
  const [matching, setMatching] = useState<boolean>();
  const [row, setRow] = useState(0);
  const [refusal, setRefusal] = useState<string>();
  if (!match) return <Faint>Looking up how such reports were read before</Faint>;
  const figures = readReport(table, row, match, system);
  const good = figures.filter(({ ok }) => ok);
  const take = () => {
    const problem = onTake((now) => withReport(now, good));
    setRefusal(problem);
    if (problem !== undefined) return;
    void remember();
    onDone();
  };
  return (
    <View className="gap-4">
      {table.rows.length > 1 ? (
        <Picker
          label="Which roof"
          options={table.rows.map((_, index) => ({ value: String(index), label: nameOf(table, index) }))}
          value={String(row)}
          onChange={(value) => setRow(Number(value))}
        />
      ) : (
        <Body>{nameOf(table, row)}</Body>
      )}
      {(matching ?? !isKnown) ? (
        <MatchColumns table={table} match={match} onChange={change} />
      ) : (
        <View className="gap-2">
          <Faint>Its columns are read as those of such reports before.</Faint>
          <Button label="Change how its columns are read" kind="quiet" onPress={() => setMatching(true)} />
        </View>
      )}
      <View role="list" aria-label="What it says">
        {figures.map((figure) => (
          <View key={figure.field} role="listitem" className="border-b border-rule py-1">
            <View className="flex-row justify-between gap-3">
              <Body className="flex-1">{figure.label}</Body>
              <Body className="figures">{sayReportFigure(figure, system)}</Body>
            </View>
            {figure.ok ? null : <Warning>{`${figure.column}: ${figure.message} It stays as it was.`}</Warning>}
          </View>
        ))}
      </View>
      {figures.length === 0 ? <Warning>None of its columns is matched to a figure.</Warning> : null}
      {failure ? <Warning role="alert">{failure}</Warning> : null}
      {refusal ? <Warning role="alert">{`${refusal} Nothing was taken.`}</Warning> : null}
      {good.length > 0 ? (
        <Button label={plural(good.length, "Take this figure", `Take these ${good.length} figures`)} onPress={take} />
      ) : null}
    </View>
  );
}
