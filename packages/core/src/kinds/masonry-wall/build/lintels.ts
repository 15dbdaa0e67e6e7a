import type { Assembly, AssemblyTable } from "../../../assemblies";
import type { StripPiece } from "../../../drawing/piece";
import type { PartContext } from "../../../parts/partKind";
import { type Problem, problem } from "../../../problems/problem";
import { formatLength, type Nanometres } from "../../../units";
import { headNm, openingLeft, openingRight } from "../../../wall/openings";
import type { MasonryChoices } from "../parameters";
import type { MasonryWall } from "../schema";

export type Lintels = { readonly pieces: readonly StripPiece[]; readonly problems: readonly Problem[] };

/** The table a leaf's lintels are chosen from: by the length there has to be, with the item and how high it is. */
export const LINTEL_TABLES = { outer: "lintels", inner: "innerLintels" } as const;

const columnOf = ({ columns }: AssemblyTable, name: string): number => columns.findIndex((each) => each.name === name);

function rowFor(table: AssemblyTable, neededNm: Nanometres) {
  const row = table.rows.toSorted((a, b) => a.upTo - b.upTo).find((each) => each.upTo >= neededNm);
  const item = row?.values[columnOf(table, "item")];
  const heightNm = row?.values[columnOf(table, "height")];
  if (!row || typeof item !== "string") return undefined;
  return { lengthNm: row.upTo, item, heightNm: typeof heightNm === "number" ? heightNm : 0 };
}

/** A lintel over every opening, borne on both sides: the shortest of the table that is long enough. */
export function lintelsOf(
  wall: MasonryWall,
  leaf: keyof typeof LINTEL_TABLES,
  assembly: Assembly,
  { lintels, lintelBearing }: MasonryChoices,
  { system }: PartContext,
): Lintels {
  const table = assembly.tables.find((each) => each.name === LINTEL_TABLES[leaf]);
  const pieces: StripPiece[] = [];
  const problems: Problem[] = [];
  if (!lintels || wall.openings.length === 0 || (leaf === "inner" && !table)) return { pieces, problems };
  if (!table) {
    const message = `“${assembly.name}” has no table of lintels: none is counted.`;
    return { pieces, problems: [problem("no-lintel-table", "assembly", message)] };
  }
  if (columnOf(table, "item") < 0) {
    const message = `The table “${table.label}” has no column “item” that says which lintel it is: none is counted.`;
    return { pieces, problems: [problem("no-lintel-item", "assembly", message)] };
  }
  const say = (nm: Nanometres) => formatLength(nm, system);
  for (const opening of wall.openings) {
    const [leftNm, rightNm] = [openingLeft(opening), openingRight(opening)];
    const neededNm = rightNm - leftNm + 2 * lintelBearing;
    const found = rowFor(table, neededNm);
    if (!found) {
      const message = `${opening.name} needs a lintel of ${say(neededNm)}, longer than any of the table “${table.label}”. Ask the engineer; none is counted for it.`;
      problems.push(problem("no-lintel", `openings.${opening.id}.width`, message));
      continue;
    }
    pieces.push({
      id: `lintel-${leaf}-${opening.id}`,
      role: "lintel",
      itemId: found.item,
      lengthNm: found.lengthNm,
      xNm: Math.round((leftNm + rightNm - found.lengthNm) / 2),
      yNm: headNm(opening),
      widthNm: found.lengthNm,
      heightNm: found.heightNm,
    });
  }
  return { pieces, problems };
}
