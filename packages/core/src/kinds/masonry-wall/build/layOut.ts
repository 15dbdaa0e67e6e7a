import { type Assembly, slotValues, type Value } from "../../../assemblies";
import { type CoursePiece, isCourse, type Piece, type StripPiece } from "../../../drawing/piece";
import type { Rectangle } from "../../../geometry/rectangle";
import type { Layout, Site } from "../../../layouts";
import type { PartContext } from "../../../parts/partKind";
import { type Problem, problem } from "../../../problems/problem";
import { ownValue } from "../../../records/ownValue";
import type { Nanometres } from "../../../units";
import { drawWall } from "../../../wall/draw";
import { openingRectangle } from "../../../wall/openings";
import { profileOf } from "../../../wall/profile";
import { type LeafPlan, leavesOf } from "../leaves";
import { MASONRY_PARAMETERS, type MasonryChoices } from "../parameters";
import type { MasonryWall } from "../schema";
import { choicesOf } from "../slot";
import { amountsOf, type LeafAmounts, perSquareMetre, rakingCutM } from "./amounts";
import { masonryAnswers } from "./answers";
import { layLeaf, type RoleOf } from "./layLeaf";
import { lintelsOf } from "./lintels";
import { soldiersOf } from "./soldiers";
import { stoneAmounts } from "./stone";
import { closersOf, dampCoursesOf, movementJointsOf, reinforcementOf } from "./strips";
import { tieProblems, tiesOf, weepHolesOf } from "./ties";
import { masonryWordsOf } from "./words";
import { masonryWorking } from "./working";

/** More units than any wall of a house has, counted as often as it is built: a slip of a size lays millions. */
export const MOST_UNITS = 100_000;

/** Lays out one wall of masonry: its leaves course by course, and all that goes in and between them. */
export function layOutMasonryWall(wall: MasonryWall, assembly: Assembly, site: Site): Layout {
  const { context, library } = site;
  const choices = choicesOf(wall, context.system);
  const leaves = leavesOf(wall, context);
  const tooMany = tooManyUnits(wall, leaves);
  const lintels = leaves.map(({ leaf }) => lintelsOf(wall, leaf, assembly, choices, context));
  const laid = tooMany ? [] : leaves.map((plan, index) => layOne(wall, plan, choices, lintels[index]?.pieces ?? []));
  const amounts = new Map(laid.map(({ plan, amounts: each }) => [plan.leaf, each]));
  const outer = amounts.get("outer");
  const stone =
    choices.buildUp === "stone" && leaves[0] && outer ? stoneAmounts(outer.areaM2, leaves[0], choices) : undefined;
  const courses = laid.flatMap((each) => each.pieces);
  const others: Piece[] = tooMany
    ? []
    : [...lintels.flatMap((each) => each.pieces), ...goesWith(wall, leaves, choices)];
  const pieces = [...courses, ...others];
  return {
    pieces,
    draw: () => drawn(wall, pieces, context),
    laid: {
      ...lengthsOf(pieces),
      ask: masonryAnswers({
        leaves: stone ? new Map() : amounts,
        stone,
        method: choices.method,
        rakingCutM: rakingCutM(wall),
      }),
      sheetSize: (sizeId) => ownValue(library.sheets, sizeId),
    },
    choices: formulaChoices(choices),
    reckoned: false,
    byArea: choices.method === "by-area" || stone !== undefined,
    compared: stone
      ? []
      : laid.map(({ plan, amounts: { laidOut, byArea } }) => ({ what: unitWords(plan, leaves), laidOut, byArea })),
    repeats: wall.repeats,
    words: masonryWordsOf(wall, context),
    workingOf: (role) => masonryWorking(role, pieces),
    problems: [
      ...(tooMany ? [tooMany] : []),
      ...lintels.flatMap((each) => each.problems),
      ...laid.flatMap((each) => each.problems),
      ...bondProblems(choices),
      ...tieProblems(choices, context.system),
    ],
  };
}

/** Values of the choices as formulas take them. */
export const formulaChoices = (choices: MasonryChoices): ReadonlyMap<string, Value> =>
  slotValues(MASONRY_PARAMETERS, choices);

const unitWords = ({ leaf, unit }: LeafPlan, leaves: readonly LeafPlan[]): string =>
  leaves.length > 1 ? `${unit.name}, ${leaf} leaf` : unit.name;

type LaidLeaf = {
  readonly plan: LeafPlan;
  readonly pieces: readonly CoursePiece[];
  readonly amounts: LeafAmounts;
  readonly problems: readonly Problem[];
};

function layOne(wall: MasonryWall, plan: LeafPlan, choices: MasonryChoices, lintels: readonly StripPiece[]): LaidLeaf {
  const displacing: readonly Rectangle[] = choices.lintelsDisplace ? lintels.filter((each) => each.heightNm > 0) : [];
  const soldiers = soldiersOf(wall, plan, choices, displacing);
  const holes = [...wall.openings.map(openingRectangle), ...displacing, ...soldiers.holes];
  const face = { profile: profileOf(wall), holes };
  const roleOf: RoleOf = (is) => (choices.buildUp === "stone" ? "stone" : `${plan.leaf}-${is}`);
  const pieces = [...layLeaf(plan, face, choices, roleOf), ...soldiers.pieces];
  return { plan, pieces, amounts: amountsOf(wall, plan, pieces), problems: soldiers.problems };
}

/** What ties, drains, parts and strengthens the leaves. */
function goesWith(wall: MasonryWall, leaves: readonly LeafPlan[], choices: MasonryChoices): Piece[] {
  const cavity = choices.buildUp === "cavity";
  const tied = cavity || choices.buildUp === "veneer";
  return [
    ...(choices.dampCourse ? dampCoursesOf(wall, leaves) : []),
    ...(tied ? [...tiesOf(wall, choices), ...weepHolesOf(wall, choices)] : []),
    ...(cavity ? closersOf(wall) : []),
    ...reinforcementOf(wall, leaves, choices),
    ...movementJointsOf(wall, choices),
  ];
}

function tooManyUnits(wall: MasonryWall, leaves: readonly LeafPlan[]): Problem | undefined {
  const height = Math.max(...profileOf(wall).map((point) => point.yNm));
  const about = leaves.reduce(
    (sum, leaf) => sum + ((leaf.toNm - leaf.fromNm) / 1e9) * (height / 1e9) * perSquareMetre(leaf) * leaf.deep,
    0,
  );
  if (about * wall.repeats <= MOST_UNITS) return undefined;
  const said = Number((about * wall.repeats).toPrecision(2)).toLocaleString("en");
  const message = `${wall.name} would be about ${said} units; more than ${MOST_UNITS.toLocaleString("en")} are not laid out. Check its size and how often it is built.`;
  return problem("too-many-pieces", "", message);
}

/** A bond that shows headers needs two units from face to face. */
function bondProblems({ bond, buildUp }: MasonryChoices): Problem[] {
  if (buildUp === "bonded" || buildUp === "stone" || bond === "stretcher" || bond === "stack") return [];
  const message = `Headers need a wall two units thick: ${bond === "english" ? "English" : "Flemish"} bond is laid as stretchers here.`;
  return [problem("bond-needs-two", "choices.bond", message)];
}

function lengthsOf(pieces: readonly Piece[]) {
  const lengths = new Map<string, Nanometres[]>();
  const counts = new Map<string, number>();
  for (const piece of pieces) {
    const count = isCourse(piece) ? piece.count : 1;
    counts.set(piece.role, (counts.get(piece.role) ?? 0) + count);
    if (isCourse(piece)) continue;
    const lengthNm = "lengthNm" in piece ? piece.lengthNm : piece.heightNm;
    const known = lengths.get(piece.role);
    if (known) known.push(lengthNm);
    else lengths.set(piece.role, [lengthNm]);
  }
  return {
    lengthsNm: (role: string) => lengths.get(role) ?? [],
    countOf: (role: string) => counts.get(role) ?? 0,
  };
}

/** The face that is seen: the outer leaf and what shows in it; the inner one lies behind. */
function drawn(wall: MasonryWall, pieces: readonly Piece[], context: PartContext) {
  const drawing = drawWall(wall, context);
  const seen = pieces.filter((piece) => !piece.role.startsWith("inner-"));
  return { ...drawing, rectangles: [...drawing.rectangles, ...seen] };
}
