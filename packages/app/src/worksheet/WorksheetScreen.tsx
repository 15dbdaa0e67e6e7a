import { floorAreaOf, formatMoney, type LedgerLine, ledgerTable, perArea } from "@wide-porch/core";
import { type Href, Link, useLocalSearchParams } from "expo-router";
import { useMemo, useState } from "react";
import { ScrollView, View } from "react-native";
import { Button } from "../components/Button";
import { Sheet } from "../components/Sheet";
import { Body, Faint, Figure, Strong, Title } from "../components/Text";
import { TextField } from "../components/TextField";
import { Waiting } from "../components/Waiting";
import { ExportButtons } from "../export/ExportButtons";
import { Layers, Plus, SlidersHorizontal } from "../icons";
import { useJob } from "../job/JobContext";
import { useJobLater } from "../job/useJobLater";
import { NoCosts } from "../price/NoCosts";
import { useWide } from "../theme/useWide";
import { AddTo } from "./AddTo";
import { ChangedSince } from "./ChangedSince";
import { CopyTable } from "./CopyTable";
import { GroupedBy } from "./GroupedBy";
import { LayoutSheet } from "./LayoutSheet";
import { LineDetail } from "./LineDetail";
import type { Mark } from "./lookedAt";
import type { SheetRow } from "./rowsOf";
import { useLayouts } from "./useLayouts";
import { useLookedAt } from "./useLookedAt";
import { useSheet } from "./useSheet";
import { WorksheetList } from "./WorksheetList";
import { WorksheetTable } from "./WorksheetTable";

const NONE: readonly LedgerLine[] = [];

/** Every cost of the job, grouped as one likes: a table where there is room, the same as a list on the phone. */
export function WorksheetScreen() {
  const { reckoning, record, jobId, priceList } = useJob("reckoning", "record", "jobId", "priceList");
  const wide = useWide();
  const layouts = useLayouts();
  const [search, setSearch] = useState("");
  const [arranging, setArranging] = useState(false);
  const [grouping, setGrouping] = useState(false);
  const { type } = useLocalSearchParams<{ type?: string }>();
  const [typing, setTyping] = useState(type === "1" && !wide);
  const [chosen, setChosen] = useState<string>();
  // The mark goes when the line is opened; what it said stays while it is open.
  const [wasMark, setWasMark] = useState<Mark>();
  const items = useMemo(() => new Map(priceList.map(({ code, name }) => [code, name])), [priceList]);
  const { layout, change } = layouts;
  const buildUp = reckoning?.buildUp;
  const looked = useLookedAt(jobId, buildUp?.ledger);
  const [onlyChanged, setOnlyChanged] = useState(false);
  const shownLines = useMemo(
    () => (onlyChanged ? buildUp?.ledger.filter(({ id }) => looked.marks.has(id)) : buildUp?.ledger) ?? NONE,
    [onlyChanged, buildUp, looked.marks],
  );
  const sheet = useSheet(shownLines, layout, items, search);
  if (record.job.pricing === null) return <NoCosts />;
  if (!buildUp) return <Waiting what="the worksheet" />;
  const { currency } = record.job;
  // By its id in the ledger as it is now: a line that is counted no longer has no detail.
  const line = buildUp.ledger.find(({ id }) => id === chosen);
  const open = (row: SheetRow) => {
    if (row.is !== "line") return;
    const id = row.line.id.replace(/@[^@]*$/, "");
    setChosen(id);
    setWasMark(looked.marks.get(id));
    const found = buildUp.ledger.find((each) => each.id === id);
    if (found && looked.marks.has(id)) looked.lookAt(found);
  };
  const shared = {
    rows: sheet.rows,
    items,
    currency,
    marks: looked.marks,
    wholeCost: Number(buildUp.cost),
    chosenId: sheet.rows.find((row) => row.is === "line" && row.line.id === chosen)?.id,
    onTurn: sheet.turn,
    onOpen: open,
  };
  const grouped = <GroupedBy keys={layout.keys} onChange={(keys) => change((before) => ({ ...before, keys }))} />;
  return (
    <View className="min-h-0 flex-1 flex-row">
      <View className="min-h-0 min-w-0 flex-1 gap-3 p-4">
        <View className="flex-row flex-wrap items-end gap-3">
          <View className="min-w-40 flex-1">
            <Title level={2}>Worksheet</Title>
            <CostLine cost={buildUp.cost} lines={sheet.lines.length} of={buildUp.ledger.length} currency={currency} />
          </View>
          <View className={wide ? "w-64" : "w-full"}>
            <TextField label="Find a line" value={search} onChangeText={setSearch} />
          </View>
          <Button
            label="Columns"
            kind="plain"
            icon={SlidersHorizontal}
            name="Columns and layouts"
            onPress={() => setArranging(true)}
          />
          {wide ? null : (
            <Button label="Line" kind="plain" icon={Plus} name="Type a line" onPress={() => setTyping(true)} />
          )}
          {wide ? null : (
            <Button label="Group" kind="plain" icon={Layers} name="Grouped by" onPress={() => setGrouping(true)} />
          )}
          {wide ? (
            <Link href={`/jobs/${jobId}/price` as Href}>
              <Strong className="text-pine underline">To the price</Strong>
            </Link>
          ) : null}
        </View>
        {wide ? (
          <View className="flex-row flex-wrap items-center justify-between gap-2">
            {grouped}
            {layout.keys.length > 0 ? (
              <View className="flex-row gap-2">
                <Button label="Unfold all" kind="quiet" onPress={() => sheet.turnAll(true)} />
                <Button label="Fold all" kind="quiet" onPress={() => sheet.turnAll(false)} />
              </View>
            ) : null}
          </View>
        ) : null}
        <ChangedSince
          marks={looked.marks}
          gone={looked.gone}
          only={onlyChanged && looked.marks.size > 0}
          onOnly={setOnlyChanged}
          onLookAtAll={() => {
            looked.lookAtAll();
            setOnlyChanged(false);
          }}
        />
        {sheet.lines.length === 0 ? (
          <Body>
            {buildUp.ledger.length === 0
              ? "Nothing costs anything yet. Measure a part first."
              : `No line has “${search}”.`}
          </Body>
        ) : wide ? (
          <WorksheetTable {...shared} layout={layout} onChange={change} />
        ) : (
          <WorksheetList {...shared} />
        )}
        {wide ? (
          <View className="flex-row flex-wrap items-center gap-3">
            <Button label="Type a line" kind="plain" icon={Plus} onPress={() => setTyping(true)} />
            <CopyTable rows={sheet.rows} layout={layout} items={items} />
            <ExportButtons what="worksheet" make={() => ledgerTable(sheet.lines)} />
          </View>
        ) : null}
      </View>
      {wide && line ? (
        <View role="complementary" aria-label="The line" className="w-[400px] border-l border-rule">
          <ScrollView className="min-h-0 flex-1" contentContainerClassName="gap-4 p-4">
            <Title level={2}>{line.what}</Title>
            <LineDetail line={line} items={items} mark={wasMark} />
            <Button label="Close the line" kind="plain" onPress={() => setChosen(undefined)} />
          </ScrollView>
        </View>
      ) : null}
      {wide ? null : (
        <Sheet open={line !== undefined} onClose={() => setChosen(undefined)} title={line?.what ?? ""}>
          {line ? <LineDetail line={line} items={items} mark={wasMark} /> : null}
        </Sheet>
      )}
      <LayoutSheet layouts={layouts} open={arranging} onClose={() => setArranging(false)} />
      <AddTo open={typing} onClose={() => setTyping(false)} />
      <Sheet open={grouping} onClose={() => setGrouping(false)} title="Grouped by">
        {grouped}
        <ExportButtons what="worksheet" make={() => ledgerTable(sheet.lines)} />
      </Sheet>
    </View>
  );
}

type CostProps = { readonly cost: string; readonly lines: number; readonly of: number; readonly currency: string };

/** What it all costs, and for each square foot or metre of floor where rooms are measured. */
function CostLine({ cost, lines, of, currency }: CostProps) {
  const { plan } = useJobLater("plan");
  const { context } = useJob("context");
  const each = perArea(cost, floorAreaOf(plan), context.system);
  const said = lines === of ? `${of} lines` : `${lines} of ${of} lines`;
  return (
    <View className="flex-row flex-wrap items-baseline gap-x-3">
      <Figure>{formatMoney(cost, currency)}</Figure>
      <Faint>{each ? `${said}, ${formatMoney(each.amount, currency)} a ${each.unit} of floor` : said}</Faint>
    </View>
  );
}
