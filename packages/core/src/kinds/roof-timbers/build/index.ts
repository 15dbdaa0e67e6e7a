import type { Assembly } from "../../../assemblies";
import type { FramingPiece } from "../../../drawing/piece";
import type { Layout, Site } from "../../../layouts";
import { problem } from "../../../problems/problem";
import { ownValue } from "../../../records/ownValue";
import { formatLength, NM_PER_MM, pitchWays } from "../../../units";
import { formulaChoices } from "../../roof/build/layOut";
import { cutOf } from "../../roof/build/sticks";
import { timberOf } from "../../roof/build/timberOf";
import { roofWorking } from "../../roof/build/working";
import { choicesOf } from "../../roof/parameters";
import { pitchOfEntry, trueLengthNm } from "../lengths";
import type { RoofTimbers, TimberEntry } from "../schema";

/** Pieces of a row: without a place, each with its lengths. */
function piecesOf(row: TimberEntry, list: RoofTimbers, sectionId: string): FramingPiece[] {
  const pitch = pitchOfEntry(row, list);
  if (row.plan.valueNm === null || pitch === undefined) return [];
  const cutLengthNm = trueLengthNm(row.plan.valueNm, pitch);
  const runMm = row.plan.valueNm / NM_PER_MM;
  const cut = pitch === 0 ? undefined : cutOf({ pitch, runMm, headOffMm: 0, footOffMm: 0, tailMm: 0 });
  return Array.from({ length: row.count }, (_, index) => ({
    id: `${row.id}-${index + 1}`,
    role: row.role,
    sectionId,
    cutLengthNm,
    xNm: 0,
    yNm: 0,
    widthNm: cutLengthNm,
    heightNm: 1,
    cut,
  }));
}

/** Timbers that were listed, counted by the assemblies of a roof. */
const AS_LISTED = problem(
  "as-listed",
  "choices.framedWith",
  "These timbers are counted as they are listed: a list holds no trusses. Draw the roof, or take it by totals, to have them counted.",
);

export function countRoofTimbers(list: RoofTimbers, _assembly: Assembly, { library, context }: Site): Layout {
  const choices = choicesOf(list, context.system);
  const section = timberOf(choices);
  const pieces = list.rows.flatMap((row) => piecesOf(row, list, section(row.role)));
  return {
    pieces,
    draw: () => ({ kind: "none" }),
    laid: {
      lengthsNm: (role) => pieces.filter((piece) => piece.role === role).map(({ cutLengthNm }) => cutLengthNm),
      ask: () => undefined,
      sheetSize: (sizeId) => ownValue(library.sheets, sizeId),
    },
    timberOf: section,
    choices: formulaChoices(choices),
    reckoned: true,
    repeats: 1,
    words: {
      name: list.name,
      pitchWords: list.pitch.value === null ? "as listed" : (pitchWays(list.pitch.value, context.system)[0] ?? ""),
      spacingWords: formatLength(choices.rafterSpacing, context.system),
      dormerWords: "no dormers",
      windowWords: "no roof windows",
      chimneyWords: "no chimneys",
    },
    workingOf: (role, sectionId) =>
      roofWorking(
        pieces.filter((piece) => piece.role === role && (sectionId === "" || piece.sectionId === sectionId)),
        context,
      ),
    problems: choices.framedWith === "trusses" ? [AS_LISTED] : [],
  };
}
