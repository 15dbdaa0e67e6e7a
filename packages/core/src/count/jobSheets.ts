import { isSheet, type SheetPiece, sawnOut } from "../drawing/piece";
import { nestPieces } from "../layouts";
import { areaOf } from "../units";
import { CountedLine } from "./countedLine";
import { type PartCount, withLines } from "./partCount";

/** A line of whole sheets on one part, with the pieces they are cut into. */
type Wanted = {
  readonly count: PartCount;
  readonly line: CountedLine;
  readonly pieces: readonly SheetPiece[];
  /** How often the part is built. */
  readonly times: number;
};

type Group = { readonly wanted: readonly Wanted[] };
type Share = { readonly quantity: number; readonly words: string };
type Shares = ReadonlyMap<string, Share>;

const sheetsOf = (pieces: readonly SheetPiece[]): number =>
  new Set(pieces.map(({ role, sheetNumber }) => `${role} ${sheetNumber}`)).size;

/** A count set by hand stays as it was set: it is nobody's share. What belongs to an option is cut by itself, as it may not be taken. */
function wantedOf(count: PartCount): Wanted[] {
  // Pieces are looked through once for all the lines of a part, and not at all where no line counts sheets.
  let sheets: readonly SheetPiece[] | undefined;
  return count.lines.flatMap((line): Wanted[] => {
    if (
      !(line instanceof CountedLine) ||
      !line.sheetRoles ||
      line.byHand !== undefined ||
      line.missing ||
      line.supply ||
      line.option
    )
      return [];
    const roles = new Set(line.sheetRoles);
    sheets ??= count.pieces.filter(isSheet);
    const pieces = sheets.filter((piece) => roles.has(piece.role));
    const alone = sheetsOf(pieces);
    return alone === 0 ? [] : [{ count, line, pieces, times: Math.round(line.quantity / alone) }];
  });
}

/** Lines of one item, whose sheets lie one way, are cut from the same sheets. */
function groupsOf(counts: readonly PartCount[]): ReadonlyMap<string, Group> {
  const groups = new Map<string, Wanted[]>();
  for (const each of counts.flatMap(wantedOf)) {
    const { sheet } = each.pieces[0] ?? {};
    if (!sheet) continue;
    const key = `${each.line.itemCode} ${sheet.widthNm} ${sheet.heightNm} ${sheet.leastOffcutNm}`;
    const group = groups.get(key);
    if (group) group.push(each);
    else groups.set(key, [each]);
  }
  return new Map([...groups].map(([key, wanted]) => [key, { wanted }]));
}

const areaOfAll = ({ pieces, times }: Wanted): number =>
  times * sawnOut(pieces).reduce((sum, { widthNm, heightNm }) => sum + areaOf(widthNm, heightNm), 0);

/**
 * What is ordered of each line of a group when the pieces of all of them are cut from the same sheets: by their areas, adding up to
 * the sheets there are. Nothing where that saves none.
 */
function sharesOf({ wanted }: Group): Shares {
  const [first] = wanted;
  const sheet = first?.pieces[0]?.sheet;
  const alone = wanted.reduce((sum, { line }) => sum + line.quantity, 0);
  if (!sheet) return new Map();
  const pieces = wanted.flatMap(({ pieces: own, times }) => Array.from({ length: times }, () => sawnOut(own)).flat());
  const together = new Set(nestPieces(pieces, sheet, sheet.leastOffcutNm)).size;
  if (together >= alone) return new Map();
  const whole = wanted.reduce((sum, each) => sum + areaOfAll(each), 0);
  let left = together;
  return new Map(
    wanted.map((each, index) => {
      const last = index === wanted.length - 1;
      const quantity = last ? left : Number(((together * areaOfAll(each)) / whole).toFixed(4));
      left = Number((left - quantity).toFixed(4));
      const words = `its share of the ${together} ordered for the whole job instead of ${alone}`;
      return [each.line.id, { quantity, words }];
    }),
  );
}

function shared(line: CountedLine, { quantity, words }: Share): CountedLine {
  return line.withWorking({ ordered: quantity }, (working) => ({
    ...working,
    steps: [...working.steps, { label: words, value: String(Number(quantity.toFixed(2))) }],
  }));
}

type Before = { readonly counts: readonly PartCount[]; readonly shares: Shares };

/**
 * Sheets that are nested over the whole job: an offcut of one wall covers a strip of the next. What has not changed since the
 * last time is not nested again, and its counts are the same objects.
 */
export class JobSheets {
  private groups = new Map<string, Before>();
  private made = new Map<
    string,
    { readonly from: PartCount; readonly shares: readonly (Share | undefined)[]; readonly to: PartCount }
  >();

  apply(counts: readonly PartCount[]): PartCount[] {
    const shares = new Map<string, Share>();
    const groups = new Map<string, Before>();
    for (const [key, group] of groupsOf(counts)) {
      const of = group.wanted.map(({ count }) => count);
      const before = this.groups.get(key);
      const same = before?.counts.length === of.length && of.every((count, index) => count === before.counts[index]);
      const now: Before = same && before ? before : { counts: of, shares: sharesOf(group) };
      groups.set(key, now);
      for (const [id, share] of now.shares) shares.set(id, share);
    }
    this.groups = groups;
    const made: typeof this.made = new Map();
    const result = counts.map((count) => {
      const own = count.lines.map((line) => shares.get(line.id));
      if (own.every((share) => share === undefined)) return count;
      const known = this.made.get(count.partId);
      const same =
        known?.from === count &&
        known.shares.every(
          (share, index) => share?.words === own[index]?.words && share?.quantity === own[index]?.quantity,
        );
      const to = same
        ? known.to
        : withLines(
            count,
            count.lines.map((line, index) => {
              const share = own[index];
              return share && line instanceof CountedLine ? shared(line, share) : line;
            }),
          );
      made.set(count.partId, { from: count, shares: own, to });
      return to;
    });
    this.made = made;
    return result;
  }
}
