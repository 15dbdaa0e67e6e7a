import {
  type Bar,
  boardFeet,
  type CuttingSettings,
  cutTable,
  formatLength,
  type ItemCut,
  marksOf,
  type Order,
  type PartCount,
  parseLength,
  plural,
  soMany,
} from "@wide-porch/core";
import { useMemo } from "react";
import { View } from "react-native";
import { seesCosts, useSession } from "../../api/session";
import { Button } from "../../components/Button";
import { PrintPaper } from "../../components/PrintPaper";
import { Body, Faint, Title, Warning } from "../../components/Text";
import { ExportButtons } from "../../export/ExportButtons";
import { Printer } from "../../icons";
import { useJob } from "../../job/JobContext";
import { FigureField } from "../../measure/FigureField";
import { BarPicture } from "./BarPicture";
import { BestCut } from "./BestCut";
import { YardForm } from "./YardForm";

type Props = { readonly order: Order; readonly counts: readonly PartCount[] };

/** What is cut from what, bar by bar, over the whole job. The marks are those of the elevations. */
export function CutLists({ order, counts }: Props) {
  const { record } = useJob("record");
  const session = useSession().data;
  const marks = useMemo(() => marksOf(counts), [counts]);
  const { cutting, system } = record.job;
  if (order.cuts.length === 0) return <Body>Nothing is cut from lengths yet. Measure a wall first.</Body>;
  const mayChange = session !== undefined && session !== null && seesCosts(session);
  return (
    <>
      {mayChange ? <Saw cutting={cutting} /> : null}
      {order.cuts.map((cut) => (
        <ItemCutList
          key={cut.itemCode}
          cut={cut}
          told={order.problems.filter((each) => each.path === cut.itemCode).map((each) => each.message)}
          marks={marks}
          mayChange={mayChange}
        />
      ))}
      <View className="flex-row flex-wrap items-start gap-2">
        <ExportButtons make={() => cutTable(order.cuts, marks, cutting.kerfNm, system)} what="cut list" />
        <Button label="Print" kind="plain" icon={Printer} onPress={() => window.print()} />
      </View>
      <CutPaper order={order} marks={marks} />
    </>
  );
}

function Saw({ cutting }: { readonly cutting: CuttingSettings }) {
  const { changeCutting, record } = useJob("changeCutting", "record");
  const { system } = record.job;
  const field = (key: "kerfNm" | "endTrimNm", label: string, mostNm: number) => (
    <FigureField
      measure="length"
      system={system}
      label={label}
      value={formatLength(cutting[key], system)}
      boxClassName="w-40"
      check={(text) => {
        const read = parseLength(text, system);
        if (!read.ok) return read.problem.message;
        return read.value >= 0 && read.value <= mostNm ? undefined : `From 0 to ${formatLength(mostNm, system)}.`;
      }}
      onCommit={(text) => {
        const read = parseLength(text, system);
        if (read.ok) changeCutting((now) => ({ ...now, [key]: read.value }));
      }}
    />
  );
  return (
    <View className="gap-2">
      <Title level={2}>Saw and yard</Title>
      <View className="flex-row flex-wrap gap-3">
        {field("kerfNm", "Saw cut", 25_400_000)}
        {field("endTrimNm", "Trimmed off an end", 609_600_000)}
      </View>
      <YardForm cutting={cutting} />
    </View>
  );
}

/** By nominal size, of what is cut from a bar. */
const boardFeetOf = ({ pieces }: Bar, { thickness, depth }: { thickness: number; depth: number }): number =>
  pieces.reduce((sum, piece) => sum + boardFeet(thickness, depth, piece.lengthNm), 0);

function TooLong({ cut: { tooLong } }: { readonly cut: ItemCut }) {
  if (tooLong.length === 0) return null;
  const pieces = plural(tooLong.length, "A piece is", `${tooLong.length} pieces are`);
  return <Warning>{`${pieces} longer than any stock: use an engineered section.`}</Warning>;
}

type ItemProps = {
  readonly cut: ItemCut;
  /** What the order has to say of it: a kept list that is in force no longer, a piece that nothing is long enough for. */
  readonly told: readonly string[];
  readonly marks: ReadonlyMap<string, string>;
  readonly mayChange: boolean;
};

function ItemCutList({ cut, told, marks, mayChange }: ItemProps) {
  const { record, context } = useJob("record", "context");
  const { system } = record.job;
  const bought = cut.bars.filter((bar) => !bar.fromYard).length;
  const yard = cut.bars.length - bought;
  const nominal = context.sections[cut.itemCode.split("/")[1] ?? ""]?.nominalIn;
  const feetOfBoard = nominal && cut.bars.reduce((sum, bar) => sum + boardFeetOf(bar, nominal), 0);
  return (
    <View className="gap-2">
      <Title level={2}>{cut.name}</Title>
      {cut.bars.length === 0 ? null : (
        <Faint>
          {`${soMany(bought, "length", "lengths")} to buy, ${formatLength(cut.boughtNm, system)} in all`}
          {feetOfBoard === undefined ? "" : `; ${feetOfBoard.toFixed(0)} board feet of pieces`}
          {yard > 0 ? `; ${yard} from the yard` : ""}
          {cut.kept ? ". This is the list that was worked out and kept." : "."}
        </Faint>
      )}
      <TooLong cut={cut} />
      {told.map((message) => (
        <Warning key={message}>{message}</Warning>
      ))}
      {cut.bars.length === 0 ? null : <BestCut cut={cut} mayKeep={mayChange} />}
      <Bars cut={cut} marks={marks} />
    </View>
  );
}

function Bars({ cut, marks }: Pick<ItemProps, "cut" | "marks">) {
  const { record } = useJob("record");
  const { system, cutting } = record.job;
  if (cut.bars.length === 0) return null;
  const longestNm = Math.max(...cut.bars.map((bar) => bar.stockNm));
  return (
    <View role="list" aria-label={`Bars of ${cut.name}`}>
      {alike(cut.bars).map(({ bar, count, key }) => (
        <BarPicture
          key={key}
          bar={bar}
          count={count}
          marks={marks}
          kerfNm={cutting.kerfNm}
          longestNm={longestNm}
          system={system}
        />
      ))}
    </View>
  );
}

/** The cut list for the saw: bars and marks, and nothing to press. */
function CutPaper({ order, marks }: { readonly order: Order; readonly marks: ReadonlyMap<string, string> }) {
  const { record } = useJob("record");
  const { title, system, cutting } = record.job;
  return (
    <PrintPaper title="Cut list" under={`${title}. Saw cut ${formatLength(cutting.kerfNm, system)}.`}>
      {order.cuts.map((cut) => (
        <View key={cut.itemCode}>
          <Title level={2}>{cut.name}</Title>
          <TooLong cut={cut} />
          <Bars cut={cut} marks={marks} />
        </View>
      ))}
    </PrintPaper>
  );
}

type Alike = { readonly bar: ItemCut["bars"][number]; readonly count: number; readonly key: string };

/** Bars cut in the same way are drawn once, with how many there are. */
function alike(bars: ItemCut["bars"]): Alike[] {
  const groups = new Map<string, Alike>();
  for (const bar of bars) {
    const key = `${bar.fromYard ? "yard " : ""}${bar.stockNm}: ${bar.pieces.map((piece) => piece.lengthNm).join(" ")}`;
    const known = groups.get(key);
    groups.set(key, { bar: known?.bar ?? bar, count: (known?.count ?? 0) + 1, key });
  }
  return [...groups.values()].toSorted((a, b) => b.bar.stockNm - a.bar.stockNm);
}
