import type { Assembly, Value } from "../../../assemblies";
import type { FramingPiece } from "../../../drawing/piece";
import { sectionOf } from "../../../kinds";
import type { LaidPart, Site } from "../../../layouts";
import { problem } from "../../../problems/problem";
import { ownValue } from "../../../records/ownValue";
import { formatLength, pitchWays, toMetres } from "../../../units";
import { drawRoof } from "../draw";
import type { FeatureKind } from "../features/schema";
import { formOf, toMm } from "../form";
import { meetingProblems } from "../meeting/problems";
import { overhangsMeet, unreachedHeights } from "../overlaps";
import { choicesOf, type RoofChoices } from "../parameters";
import { beamsNeeded, fasciasApart, flatFrame } from "../problems";
import type { Roof } from "../schema";
import { layLines } from "./lines";
import { type Longest, longestSold, withinStock } from "./longest";
import { layGables, layOpenings } from "./openings";
import { layOverhangs } from "./overhangs";
import { layPurlins } from "./purlins";
import { layRafters } from "./rafters";
import { layTies } from "./ties";
import { timberOf } from "./timberOf";
import { roofWorking } from "./working";

/** Past this nobody has counted: a slip of the unit. */
const MOST_PIECES = 20_000;

/** Rafters, ridges, hips, valleys, ties and overhangs of a roof, each where it lies. */
function piecesOf(roof: Roof, choices: RoofChoices, longest: Longest, { context }: Site): FramingPiece[] {
  const formed = formOf(roof);
  if (!formed.ok) return [];
  const { form } = formed;
  const section = (id: string) => sectionOf(context.sections, id);
  const sections = {
    rafter: section(choices.rafterSection),
    ridge: section(choices.ridgeSection),
    hip: section(choices.hipSection),
  };
  const spacingMm = toMm(choices.rafterSpacing);
  const rafters = layRafters(form, { spacingMm, fromEnd: choices.layoutFrom === "end" }, sections);
  const ties = layTies(rafters, form, {
    ceilingJoist: choices.ceilingJoists ? section(choices.joistSection) : undefined,
    collar: { section: section(choices.collarSection), every: choices.collarEvery },
  });
  const overhangs = layOverhangs(roof, form, {
    section: sections.rafter,
    spacingMm: toMm(choices.lookoutSpacing),
    rafterSpacingMm: spacingMm,
  });
  const purlins = layPurlins(form, {
    rafter: sections.rafter,
    purlin: section(choices.purlinSection),
    strut: section(choices.gableStudSection),
    rows: choices.purlinRows,
    strutsMm: toMm(choices.strutSpacing),
    stock: { longestMm: toMm(longest("purlin", choices.purlinSection)), spacingMm },
  });
  const walls = { rafter: sections.rafter, stud: section(choices.gableStudSection), spacingMm };
  const openings = layOpenings(form, walls);
  const gables = choices.gableStuds ? layGables(roof, form, walls) : [];
  const ridgeMm = toMm(longest("ridge", choices.ridgeSection));
  return [
    ...ties,
    ...layLines(form, sections, { longestMm: ridgeMm, spacingMm }),
    ...[...rafters.values()].flat(),
    ...purlins,
    ...overhangs,
    ...openings,
    ...gables,
  ];
}

/** What formulas know of a roof's choices; lengths in metres. */
export const formulaChoices = (choices: RoofChoices): ReadonlyMap<string, Value> =>
  new Map<string, Value>([
    ...Object.entries(choices),
    ["rafterSpacing", toMetres(choices.rafterSpacing)],
    ["lookoutSpacing", toMetres(choices.lookoutSpacing)],
    ["strutSpacing", toMetres(choices.strutSpacing)],
  ]);

/** About how many rafters a roof comes to, before any is laid. */
const expected = (roof: Roof, { rafterSpacing }: RoofChoices): number => {
  const formed = formOf(roof);
  return formed.ok
    ? formed.form.faces.reduce((sum, face) => sum + (face.areaM2 / toMetres(rafterSpacing)) * 0.5, 0)
    : 0;
};

const MANY = ["no", "one", "two", "three", "four", "five", "six"] as const;
const countWords = (count: number, one: string, many: string): string =>
  `${MANY[count] ?? count} ${count === 1 ? one : many}`;

/** What the quote calls the features there are: `two dormers`. */
function featureWords({ features }: Roof): Record<string, string> {
  const of = (...kinds: readonly FeatureKind[]) => features.filter(({ kind }) => kinds.includes(kind)).length;
  return {
    dormerWords: countWords(of("gable-dormer", "shed-dormer"), "dormer", "dormers"),
    windowWords: countWords(of("roof-window"), "roof window", "roof windows"),
    chimneyWords: countWords(of("chimney"), "chimney", "chimneys"),
  };
}

/** As it was chosen; what is too long for any timber sold is laid out once more in the engineered section. */
function layTimber(roof: Roof, chosen: RoofChoices, assembly: Assembly, site: Site) {
  const longest = longestSold(assembly, site.library);
  const pieces = piecesOf(roof, chosen, longest, site);
  const { choices, problems } = withinStock(pieces, chosen, longest, site.context);
  return { choices, problems, pieces: choices === chosen ? pieces : piecesOf(roof, choices, longest, site) };
}

const TOO_MANY = problem(
  "too-many-pieces",
  "",
  "This roof comes to more rafters than there can be. Check the unit of its edges.",
);

export function layOutRoof(roof: Roof, assembly: Assembly, site: Site): LaidPart {
  const { context, library } = site;
  const chosen = choicesOf(roof, context.system);
  const tooMany = expected(roof, chosen) > MOST_PIECES;
  const { pieces, choices, problems } = tooMany
    ? { pieces: [], choices: chosen, problems: [TOO_MANY] }
    : layTimber(roof, chosen, assembly, site);
  const byRole = (role: string) => pieces.filter((piece) => piece.role === role);
  const formed = formOf(roof);
  const steepest = formed.ok ? formed.form.faces.map((face) => face.pitch) : [];
  const pitches = [...new Set(steepest)].toSorted((a, b) => a - b).map((each) => pitchWays(each, context.system)[0]);
  return {
    pieces,
    draw: () => {
      const drawing = drawRoof(roof, context);
      if (drawing.kind !== "plan") return drawing;
      const timber = pieces.map(({ id, points = [] }) => ({ id, role: "timber" as const, points, closed: true }));
      return { ...drawing, shapes: [...drawing.shapes, ...timber] };
    },
    laid: {
      lengthsNm: (role) => byRole(role).map((piece) => piece.cutLengthNm),
      ask: () => undefined,
      sheetSize: (sizeId) => ownValue(library.sheets, sizeId),
    },
    timberOf: timberOf(choices),
    choices: formulaChoices(choices),
    reckoned: false,
    repeats: 1,
    words: {
      name: roof.name,
      pitchWords: pitches.join(" and "),
      ...featureWords(roof),
      spacingWords: formatLength(choices.rafterSpacing, context.system),
    },
    workingOf: (role, sectionId) =>
      roofWorking(
        pieces.filter((piece) => piece.role === role && (sectionId === "" || piece.sectionId === sectionId)),
        context,
      ),
    problems: [
      ...problems,
      ...beamsNeeded(roof),
      ...flatFrame(roof, context.system),
      ...unreachedHeights(roof, context.system),
      ...overhangsMeet(roof, context.system),
      ...fasciasApart(roof, context.system),
      ...meetingProblems(roof),
    ],
  };
}
