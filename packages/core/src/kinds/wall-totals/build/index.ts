import { type Assembly, type FramingRules, fixingsInSheet, type Library } from "../../../assemblies";
import type { Site } from "../../../layouts";
import type { Layout, RoleWorking } from "../../../layouts/layout";
import { ownValue } from "../../../records/ownValue";
import { areaOf, type Nanometres, piecesAtSpacing, plural, spacesIn, toMetres, wholePacks } from "../../../units";
import {
  ALONE,
  type CornerStyle,
  type FramingChoices,
  type FramingRole,
  framingOf,
  type PartContext,
  type Profile,
  sectionOf,
  type WallTotals,
  wallTotalsKind,
} from "../..";
import { boltPlaces, headerFor, type LongestPlate, spliceSpan } from "../../stud-wall/build";
import { type LaidSheets, wallAnswers } from "../../stud-wall/build/answers";
import { framingChoices, type SettledFraming, settledFraming } from "../../stud-wall/build/settledFraming";
import { tooManyInAll } from "../../stud-wall/build/tooManyPieces";
import { boardWords } from "../../stud-wall/build/words";

/** Extra studs at a corner beyond the one the run has there; two of them make the usual three (common practice). */
const CORNER_EXTRA: Record<CornerStyle, number> = { "two-stud": 1, "three-stud": 2, "four-stud": 3 };
const MEETING_EXTRA = 2;

const repeat = (count: number, lengthNm: Nanometres): Nanometres[] => Array.from({ length: count }, () => lengthNm);

/**
 * Pieces reckoned from totals: the run as one wall, two extra studs for each corner, meeting wall and opening (common
 * practice), heads and sills by the openings' usual width. Nothing has a place, so nothing is drawn.
 */
function reckonPieces(
  part: WallTotals,
  framing: FramingChoices,
  rules: FramingRules,
  context: PartContext,
  longestPlate: LongestPlate,
): Map<string, Nanometres[]> {
  const t = sectionOf(context.sections, framing.studSize).thicknessNm;
  const lengthNm = part.length.valueNm ?? 0;
  const heightNm = part.height.valueNm ?? 0;
  const widthNm = part.openingWidth.valueNm ?? 0;
  const studNm = heightNm - (framing.bottomPlates + framing.topPlates) * t;
  const platesOf = (role: FramingRole) =>
    spliceSpan({ startNm: 0, endNm: lengthNm }, longestPlate(role), [], 0).map(({ startNm, endNm }) => endNm - startNm);
  const layers = (role: FramingRole, count: number) =>
    Array.from({ length: Math.max(0, count) }, () => platesOf(role)).flat();
  const treated = framing.treatedPlate ? 1 : 0;
  const jacks = widthNm > framing.twoJacksFrom ? 2 : 1;
  const header = headerFor(rules.headerSchedule, widthNm)?.row;
  const headNm = widthNm + 2 * jacks * t;
  const ladderRows = Math.max(1, spacesIn(studNm, rules.ladderSpacingNm) - 1);
  const ladder = framing.meetingStyle === "ladder";
  const blockRows = framing.blockingEvery === 0 ? 0 : Math.max(0, spacesIn(studNm, framing.blockingEvery) - 1);
  const bays = spacesIn(lengthNm, framing.spacing);
  return new Map<string, Nanometres[]>([
    ["treated-plate", layers("treated-plate", treated)],
    ["bottom-plate", layers("bottom-plate", framing.bottomPlates - treated)],
    ["top-plate", layers("top-plate", 1)],
    ["cap-plate", layers("cap-plate", framing.topPlates - 1)],
    ["stud", repeat(piecesAtSpacing(lengthNm, framing.spacing), studNm)],
    ["corner-stud", repeat(part.corners * CORNER_EXTRA[framing.cornerStyle], studNm)],
    ["meeting-stud", repeat(ladder ? 0 : part.meetings * MEETING_EXTRA, studNm)],
    ["ladder-block", repeat(ladder ? part.meetings * ladderRows : 0, framing.spacing - t)],
    ["king", repeat(part.openings * 2 * framing.kingsPerSide, studNm)],
    ["header", framing.bearing && header ? repeat(part.openings * header.plies, headNm) : []],
    [
      "header-packing",
      framing.bearing && header && framing.headerPacking ? repeat(part.openings * (header.plies - 1), headNm) : [],
    ],
    ["flat-plate", framing.bearing ? [] : repeat(part.openings * rules.flatPlates, headNm)],
    ["sill", repeat(part.openings * framing.sillPlies, widthNm)],
    ["blocking", repeat(blockRows * bays, framing.spacing - t)],
    ...hardwareOf(part, framing, rules, platesOf(treated === 1 ? "treated-plate" : "bottom-plate"), studNm),
  ]);
}

/** Bolts in each piece of the lowest plate, a hold-down at each end of the run, clips up each two-stud corner. */
function hardwareOf(
  { corners }: WallTotals,
  framing: FramingChoices,
  rules: FramingRules,
  lowest: readonly Nanometres[],
  studNm: Nanometres,
): [string, Nanometres[]][] {
  const bolts = lowest.reduce((sum, lengthNm) => sum + boltPlaces(lengthNm, rules).length, 0);
  const clips = framing.cornerStyle === "two-stud" ? corners * piecesAtSpacing(studNm, rules.clipSpacingNm) : 0;
  return [
    ["anchor-bolt", repeat(framing.anchorBolts ? bolts : 0, 0)],
    ["hold-down", repeat(framing.holdDowns ? 2 : 0, 0)],
    ["board-clip", repeat(clips, 0)],
  ];
}

function reckonedSheets(
  part: WallTotals,
  framing: FramingChoices,
  assembly: Assembly,
  library: Library,
  role: string,
  sheetOf: SettledFraming["sheetOf"],
): LaidSheets | undefined {
  const { sheathed, boardsNear, boardsFar, spacing } = framing;
  const byRole = new Map([
    ["sheathing", sheathed ? 1 : 0],
    ["board-near", boardsNear],
    ["board-far", boardsFar],
  ]);
  const layers = byRole.get(role) ?? 0;
  const rule = role === "sheathing" ? assembly.framing?.sheathing : assembly.framing?.boards;
  const size = rule && ownValue(library.sheets, sheetOf(rule.size));
  const quantities = wallTotalsKind.quantities(part, ALONE);
  if (layers === 0 || !size) return undefined;
  const coverM2 = (quantities.netArea ?? 0) * layers;
  const bought = wholePacks(coverM2, areaOf(size.widthNm, size.heightNm));
  const inside = Math.max(0, spacesIn(size.widthNm, spacing) - 1);
  return {
    bought,
    coverM2,
    fixings: (edgeNm, fieldNm) => bought * fixingsInSheet(size, inside, edgeNm, fieldNm),
  };
}

const levelProfile = ({ length, height }: WallTotals): Profile => [
  { xNm: 0, yNm: height.valueNm ?? 0 },
  { xNm: length.valueNm ?? 0, yNm: height.valueNm ?? 0 },
];

/** Walls by totals, for the same assemblies as a drawn wall. */
export function reckonWallTotals(part: WallTotals, assembly: Assembly, { library, context }: Site): Layout {
  const framing = framingOf(part, context.system);
  const { longestPlate, sheetOf } = settledFraming(part, framing, assembly, library);
  const tooMany = tooManyInAll(part, framing);
  const lengths =
    assembly.framing && !tooMany
      ? reckonPieces(part, framing, assembly.framing, context, longestPlate)
      : new Map<string, Nanometres[]>();
  const thicknessNm = sectionOf(context.sections, framing.studSize).thicknessNm;
  const runNm = [...lengths.values()].flat().reduce((sum, nm) => sum + nm, 0);
  const laid = {
    lengthsNm: (role: string) => lengths.get(role) ?? [],
    sheetSize: (sizeId: string) => ownValue(library.sheets, sizeId),
    ask: wallAnswers({
      sheets: (role) => reckonedSheets(part, framing, assembly, library, role, sheetOf),
      frameM2: toMetres(runNm) * toMetres(thicknessNm),
      profile: levelProfile(part),
    }),
  };
  return {
    pieces: [],
    draw: () => ({ kind: "none" }),
    laid,
    choices: framingChoices(framing),
    reckoned: true,
    repeats: 1,
    words: {
      name: part.name,
      plates: ["no", "a single", "a double", "a triple"][framing.topPlates] ?? "",
      boardWords: boardWords(framing),
      openingWords: plural(part.openings, "one opening", `${part.openings} openings`),
    },
    workingOf: (role) => reckonedWorking(role, part, lengths),
    problems: tooMany ? [tooMany] : [],
  };
}

const EXTRA: Partial<Record<string, { readonly what: string; readonly count: (part: WallTotals) => number }>> = {
  "corner-stud": { what: "corners", count: (part) => part.corners },
  "meeting-stud": { what: "meeting walls", count: (part) => part.meetings },
  king: { what: "openings", count: (part) => part.openings },
};

function reckonedWorking(
  role: string,
  part: WallTotals,
  lengths: ReadonlyMap<string, readonly Nanometres[]>,
): RoleWorking | undefined {
  const count = lengths.get(role)?.length ?? 0;
  const extra = EXTRA[role];
  const from = [{ path: "length", label: "Length" }];
  if (!extra) {
    return { formula: "reckoned from the totals, not laid out", withNumbers: `reckoned: ${count}`, steps: [], from };
  }
  const places = extra.count(part);
  const each = places === 0 ? 0 : count / places;
  return {
    formula: `${each} for each of the ${extra.what}, reckoned`,
    withNumbers: `${places} × ${each} = ${count}`,
    steps: [{ label: extra.what, value: String(places) }],
    from: [{ path: "", label: extra.what }],
  };
}
