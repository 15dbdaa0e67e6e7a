import { useVirtualizer } from "@tanstack/react-virtual";
import {
  type MeasuringSystem,
  PRICE_FIELDS,
  type PriceChange,
  type PriceMatch,
  type PriceRows,
  soMany,
} from "@wide-porch/core";
import { useRef, useState } from "react";
import { Pressable, View } from "react-native";
import type { PriceBatch, PriceRecord } from "../api/records";
import { Button } from "../components/Button";
import { Choice } from "../components/Choice";
import { Picker } from "../components/Picker";
import { Sheet } from "../components/Sheet";
import { Body, Faint, Strong, Title, Warning } from "../components/Text";
import { Check } from "../icons";
import { useTokens } from "../theme/useTokens";
import { TouchedJobsList } from "./TouchedJobsList";
import { canBeTaken, useImport } from "./useImport";

type Props = {
  readonly file: { readonly name: string; readonly table: PriceRows };
  readonly records: readonly PriceRecord[];
  readonly onClose: () => void;
  readonly onTaken: (batch: PriceBatch) => void;
};

const SYSTEMS = [
  { value: "imperial", label: "Feet and inches" },
  { value: "metric", label: "Metric" },
] as const;
const STATUS_WORDS: Readonly<Record<PriceChange["status"], string>> = {
  refused: "not read",
  asked: "to look at first",
  changed: "changed",
  new: "new",
  same: "as it was",
};
const STATUSES = ["refused", "asked", "changed", "new", "same"] as const;

/** What a file would change of the price list: seen first, then all of it taken or some. */
export function ImportSheet({ file, records, onClose, onTaken }: Props) {
  const [system, setSystem] = useState<MeasuringSystem>("imperial");
  const { match, setMatch, changes, chosen, isChosen, choose, chooseAll, take, failure } = useImport(
    file,
    records,
    system,
  );
  const [shown, setShown] = useState<PriceChange["status"] | "all">("all");
  const [busy, setBusy] = useState(false);
  const count = (status: PriceChange["status"]) => changes.filter((change) => change.status === status).length;
  const present = STATUSES.filter((status) => count(status) > 0);
  const list = changes
    .filter(({ status }) => (shown === "all" ? status !== "same" : status === shown))
    .toSorted((a, b) => STATUSES.indexOf(a.status) - STATUSES.indexOf(b.status));
  const go = async () => {
    setBusy(true);
    const batch = await take();
    setBusy(false);
    if (batch) onTaken(batch);
  };
  return (
    <Sheet open onClose={onClose} title={file.name}>
      <Columns table={file.table} match={match} onChange={setMatch} />
      <Choice label="New items are measured in" options={SYSTEMS} value={system} onChange={setSystem} />
      <Title level={3}>What it would change</Title>
      <Body role="status">
        {present.map((status) => `${count(status)} ${STATUS_WORDS[status]}`).join(", ") || "Nothing is read yet."}
      </Body>
      {present.length > 1 ? (
        <Choice
          label="Show"
          options={[
            { value: "all" as const, label: "All that changes" },
            ...present.map((value) => ({ value, label: STATUS_WORDS[value] })),
          ]}
          value={shown}
          onChange={setShown}
        />
      ) : null}
      <Changes list={list} isChosen={isChosen} onChoose={choose} />
      <View className="flex-row flex-wrap gap-2">
        <Button label="Choose all" kind="quiet" onPress={() => chooseAll(true)} />
        <Button label="Choose none" kind="quiet" onPress={() => chooseAll(false)} />
      </View>
      <TouchedJobsList items={chosen.flatMap(({ after }) => (after ? [after] : []))} newest={records} />
      {failure ? <Warning role="alert">{failure}</Warning> : null}
      <Button
        label={busy ? "Taking them" : `Take ${soMany(chosen.length, "item", "items")}`}
        disabled={busy || chosen.length === 0}
        onPress={() => void go()}
      />
    </Sheet>
  );
}

type ColumnsProps = {
  readonly table: PriceRows;
  readonly match: PriceMatch;
  readonly onChange: (match: PriceMatch) => void;
};

function Columns({ table, match, onChange }: ColumnsProps) {
  const whole = match.code !== undefined && match.price !== undefined;
  const [open, setOpen] = useState(!whole);
  const options = [
    { value: "", label: "Not in it" },
    ...table.columns.map((column, index) => ({
      value: column,
      label: column || "(no heading)",
      under: table.rows[0]?.[index] ?? "",
    })),
  ];
  if (!open) return <Button label="How its columns are read" kind="quiet" onPress={() => setOpen(true)} />;
  return (
    <View className="gap-2">
      <Title level={3}>Its columns</Title>
      <Faint>Matched once: the next file with these headings is read alike.</Faint>
      {PRICE_FIELDS.map(({ field, label }) => (
        <View key={field} className="gap-1">
          <Faint>{label}</Faint>
          <Picker
            label={`Column of ${label}`}
            options={options}
            value={match[field] ?? ""}
            onChange={(column) => {
              const { [field]: _, ...others } = match;
              onChange(column === "" ? others : { ...others, [field]: column });
            }}
          />
        </View>
      ))}
    </View>
  );
}

type ChangesProps = {
  readonly list: readonly PriceChange[];
  readonly isChosen: (change: PriceChange) => boolean;
  readonly onChoose: (change: PriceChange, on: boolean) => void;
};

const ROW_PX = 76;
const LIST_PX = 380;

/** Only what is in sight is drawn: a supplier's list has tens of thousands of rows. */
function Changes({ list, isChosen, onChoose }: ChangesProps) {
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: list.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PX,
    overscan: 6,
  });
  return (
    <div
      ref={scroller}
      className="overflow-auto border border-rule bg-sheet"
      style={{ maxHeight: LIST_PX, overflow: "auto", position: "relative" }}
    >
      <div style={{ height: virtual.getTotalSize(), position: "relative" }}>
        {virtual.getVirtualItems().map(({ index, start }) => {
          const change = list[index];
          if (!change) return null;
          return (
            <div
              key={`${change.code}/${change.rows[0]}`}
              style={{
                position: "absolute",
                top: 0,
                left: 0,
                right: 0,
                height: ROW_PX,
                transform: `translateY(${start}px)`,
              }}
            >
              <ChangeRow change={change} chosen={isChosen(change)} onChoose={onChoose} />
            </div>
          );
        })}
      </div>
    </div>
  );
}

type RowProps = { readonly change: PriceChange; readonly chosen: boolean; readonly onChoose: ChangesProps["onChoose"] };

function ChangeRow({ change, chosen, onChoose }: RowProps) {
  const { colour } = useTokens();
  const { name, code, status, words } = change;
  const said = status === "refused" ? words.join(" ") : `${STATUS_WORDS[status]}: ${words.join(", ")}`;
  const attention = status === "refused" || status === "asked";
  const text = (
    <View className="min-w-0 flex-1">
      <Strong numberOfLines={1}>{name || code}</Strong>
      <Faint numberOfLines={2} className={attention ? "text-clay" : ""}>
        {said}
      </Faint>
    </View>
  );
  if (!canBeTaken(change))
    return <View className="h-full w-full flex-row items-center gap-2 border-b border-rule px-3">{text}</View>;
  return (
    <Pressable
      role="checkbox"
      aria-checked={chosen}
      aria-label={`${name}, ${said}`}
      onPress={() => onChoose(change, !chosen)}
      className="h-full w-full flex-row items-center gap-2 border-b border-rule px-3 active:bg-pine-wash"
    >
      <View
        className={`h-6 w-6 items-center justify-center rounded border ${chosen ? "border-pine bg-pine" : "border-faint bg-sheet"}`}
      >
        {chosen ? <Check size={16} color={colour("pine-ink")} aria-hidden /> : null}
      </View>
      {text}
    </Pressable>
  );
}
