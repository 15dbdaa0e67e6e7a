import type { CountLine } from "../count";
import { type Problem, problem } from "../problems/problem";
import { ownValue } from "../records/ownValue";
import { formatLength, type MeasuringSystem, plural, soMany } from "../units";
import { type CutList, type CutSettings, cutsOf, type NeededPiece, type Stock } from "./cutting";
import { barsFromKept, type CuttingSettings } from "./cuttingSettings";
import { neededPieces } from "./neededPieces";
import { lengthLine, type Ordered } from "./orderItem";
import type { ItemCut, OrderLine } from "./orderLine";
import type { PriceItem } from "./priceItem";
import { piecesToCut, stockOf } from "./toCut";

/** Cuts pieces from stock. */
export type Cutter = (pieces: readonly NeededPiece[], stock: readonly Stock[], settings: CutSettings) => CutList;

/** Pieces cut from stock lengths: by the list that was kept for as long as it can be cut, else by a new one. */
export function orderCut(
  item: PriceItem,
  lines: readonly CountLine[],
  system: MeasuringSystem,
  cutting: CuttingSettings,
  cut: Cutter,
): Ordered & { readonly cut: ItemCut } {
  const pieces = piecesToCut(item, lines);
  const stock = stockOf(item, cutting);
  const kept = keptList(item, pieces, stock, cutting);
  const list = kept?.list ?? cut(pieces, stock, cutting);
  const spare = pieces.length - neededPieces(lines).length;
  return {
    lines: barLines(item, lines, list, spare, system),
    cut: { ...list, itemCode: item.code, name: item.name, kept: kept?.list !== undefined },
    problems: [...(kept?.problems ?? []), ...tooLongProblems(item, list, system)],
  };
}

type Kept = { readonly list: CutList | undefined; readonly problems: readonly Problem[] };

/** The kept list with the pieces as they are named now; undefined where none was kept. One that has had its day is told. */
function keptList(
  item: PriceItem,
  pieces: readonly NeededPiece[],
  stock: readonly Stock[],
  cutting: CuttingSettings,
): Kept | undefined {
  const kept = ownValue(cutting.kept, item.code);
  if (!kept) return undefined;
  const { fitting, tooLong } = cutsOf(pieces, stock, cutting);
  const found = barsFromKept(kept, fitting, stock, cutting);
  if (!found.ok) {
    const message = `The cut list kept for ${item.name} is in force no longer: ${found.why}. A new one is made.`;
    return { list: undefined, problems: [problem("kept-list-let-go", item.code, message)] };
  }
  const bought = found.bars.filter((bar) => !bar.fromYard);
  const costs = new Map(stock.filter((each) => each.count === undefined).map((each) => [each.lengthNm, each.cost]));
  const list: CutList = {
    bars: found.bars,
    tooLong,
    cost: bought.reduce((sum, bar) => sum + (costs.get(bar.stockNm) ?? 0), 0),
    boughtNm: bought.reduce((sum, bar) => sum + bar.stockNm, 0),
    bound: 0,
  };
  return { list, problems: [] };
}

function barLines(
  item: PriceItem,
  lines: readonly CountLine[],
  list: CutList,
  spare: number,
  system: MeasuringSystem,
): OrderLine[] {
  if (item.buying.by !== "length") return [];
  const needed = lines.reduce((sum, line) => sum + line.cutLengthsNm.length, 0);
  const waste = spare === 0 ? "" : `${soMany(spare, "piece", "pieces")} to spare`;
  return item.buying.stock.flatMap((stock): OrderLine[] => {
    const ofLength = list.bars.filter((bar) => bar.stockNm === stock.lengthNm && !bar.fromYard);
    if (ofLength.length === 0) return [];
    const pieceCount = ofLength.reduce((sum, bar) => sum + bar.pieces.length, 0);
    const said = {
      itemCode: item.code,
      countLineIds: lines.map((line) => line.id),
      need: `${soMany(needed, "piece", "pieces")}`,
      waste,
      note: `${soMany(pieceCount, "piece", "pieces")} cut from ${ofLength.length}`,
    };
    return [lengthLine(item, stock, ofLength.length, system, said)];
  });
}

/** One for each length that no stock reaches. */
function tooLongProblems(item: PriceItem, { tooLong }: CutList, system: MeasuringSystem): Problem[] {
  const lengths = [...new Set(tooLong.map((piece) => piece.lengthNm))];
  return lengths.map((lengthNm) => {
    const count = tooLong.filter((piece) => piece.lengthNm === lengthNm).length;
    const pieces = plural(count, "A piece", `${count} pieces`);
    const message = `${pieces} of ${item.name} ${plural(count, "is", "are")} ${formatLength(lengthNm, system)}, longer than any stock. Use an engineered section.`;
    return problem("longer-than-stock", item.code, message);
  });
}
