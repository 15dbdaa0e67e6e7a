import type { PartCount } from "../count/partCount";
import { type FramingPiece, isFraming } from "../drawing/piece";
import type { Nanometres } from "../units";
import type { PriceItem } from "./priceItem";

/** Timber that is cut alike: how many, and its lengths side by side. */
export type TimberRow = {
  readonly role: string;
  readonly sectionId: string;
  readonly itemCode: string;
  /** Rise over run of the piece itself; nothing for what lies level. */
  readonly pitch: number | undefined;
  readonly count: number;
  /** On plan, from plate to what it runs against, its tail left out; nothing for what lies level. */
  readonly planNm: Nanometres | undefined;
  /** As it is cut. */
  readonly trueNm: Nanometres;
  /** The shortest length sold that it can be cut from; nothing where none is that long, or the item has no lengths. */
  readonly boughtNm: Nanometres | undefined;
  /** One of them, for its cuts. */
  readonly piece: FramingPiece;
  readonly pieceIds: readonly string[];
};

/** Lengths nearer than this are cut alike. */
const ALIKE_NM = 100_000;

const keyOf = ({ role, sectionId, cutLengthNm, cut }: FramingPiece): string => {
  const near = (nm: Nanometres) => Math.round(nm / ALIKE_NM);
  const cuts = cut
    ? [near(cut.runNm), near(cut.tailNm), cut.pitch, cut.headBevelDegrees, cut.footBevelDegrees].map((each) =>
        each.toFixed(3),
      )
    : [];
  return [role, sectionId, near(cutLengthNm), ...cuts].join("/");
};

const shortestSold = (item: PriceItem | undefined, lengthNm: Nanometres): Nanometres | undefined => {
  if (item?.buying.by !== "length") return undefined;
  const long = item.buying.stock.map((each) => each.lengthNm).filter((each) => each >= lengthNm);
  return long.length === 0 ? undefined : Math.min(...long);
};

/** Every piece of timber of a part by kind, longest first, each with its lengths on plan, as cut and as bought. */
export function timberList(count: Pick<PartCount, "pieces" | "lines">, priceList: readonly PriceItem[]): TimberRow[] {
  const codes = new Map(
    count.lines.flatMap((line) =>
      (line.buying === "cut" ? line.pieceIds : []).map((id) => [id, line.itemCode] as const),
    ),
  );
  const items = new Map(priceList.map((item) => [item.code, item]));
  const groups = new Map<string, FramingPiece[]>();
  for (const piece of count.pieces.filter(isFraming)) {
    const key = keyOf(piece);
    groups.set(key, [...(groups.get(key) ?? []), piece]);
  }
  const roles = [...new Set(count.pieces.map(({ role }) => role))];
  const rows = [...groups.values()].flatMap((pieces): TimberRow[] => {
    const [piece] = pieces;
    if (!piece) return [];
    const itemCode = codes.get(piece.id) ?? "";
    const { role, sectionId, cut, cutLengthNm: trueNm } = piece;
    return [
      {
        role,
        sectionId,
        itemCode,
        pitch: cut?.pitch,
        count: pieces.length,
        planNm: cut?.runNm,
        trueNm,
        boughtNm: shortestSold(items.get(itemCode), trueNm),
        piece,
        pieceIds: pieces.map(({ id }) => id),
      },
    ];
  });
  return rows.toSorted((a, b) => roles.indexOf(a.role) - roles.indexOf(b.role) || b.trueNm - a.trueNm);
}
