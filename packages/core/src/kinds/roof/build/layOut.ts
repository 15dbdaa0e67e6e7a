import type { Assembly, Value } from "../../../assemblies";
import type { Layout, Site } from "../../../layouts";
import { problem } from "../../../problems/problem";
import { ownValue } from "../../../records/ownValue";
import { formatLength, pitchWays, toMetres } from "../../../units";
import { sheetWorking } from "../../stud-wall/build/sheets";
import { drawRoof } from "../draw";
import type { FeatureKind } from "../features/schema";
import { formOf } from "../form";
import { meetingProblems } from "../meeting/problems";
import { overhangsMeet, unreachedHeights } from "../overlaps";
import { choicesOf, type RoofChoices } from "../parameters";
import { beamsNeeded, fasciasApart, flatFrame, longTails, straightenedOutline } from "../problems";
import type { Roof } from "../schema";
import { frameRoof } from "./frame";
import { longestSold, withinStock } from "./longest";
import { PANEL_ROLE, panelShapes } from "./panels/layPanels";
import { NO_PANELS, panelAnswers, panelsOf } from "./panels/panelsOf";
import { timberOf } from "./timberOf";
import { roofWorking } from "./working";

/** Past this nobody has counted: a slip of the unit. */
const MOST_TIMBERS = 20_000;

/** What formulas know of a roof's choices; lengths in metres. */
export const formulaChoices = (choices: RoofChoices): ReadonlyMap<string, Value> =>
  new Map<string, Value>([
    ...Object.entries(choices),
    ["rafterSpacing", toMetres(choices.rafterSpacing)],
    ["lookoutSpacing", toMetres(choices.lookoutSpacing)],
    ["strutSpacing", toMetres(choices.strutSpacing)],
    ["trussSpacing", toMetres(choices.trussSpacing)],
    ["girderSetback", toMetres(choices.girderSetback)],
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
  const framed = frameRoof(roof, chosen, longest, site);
  const { choices, problems } = withinStock(framed.pieces, chosen, longest, site.context);
  const { pieces, problems: told } = choices === chosen ? framed : frameRoof(roof, choices, longest, site);
  return { choices, problems: [...problems, ...told], pieces };
}

const TOO_MANY = problem(
  "too-many-pieces",
  "",
  "This roof comes to more rafters than there can be. Check the unit of its edges.",
);

export function layOutRoof(roof: Roof, assembly: Assembly, site: Site): Layout {
  const { context, library } = site;
  const chosen = choicesOf(roof, context.system);
  const tooMany = expected(roof, chosen) > MOST_TIMBERS;
  const { pieces, choices, problems } = tooMany
    ? { pieces: [], choices: chosen, problems: [TOO_MANY] }
    : layTimber(roof, chosen, assembly, site);
  const byRole = (role: string) => pieces.filter((piece) => piece.role === role);
  const known = formulaChoices(choices);
  const panels = tooMany ? NO_PANELS : panelsOf(roof, choices, known, assembly, site);
  const laidPanels = choices.panelsBy === "laid-out" ? panels.laid : undefined;
  const formed = formOf(roof);
  const steepest = formed.ok ? formed.form.faces.map((face) => face.pitch) : [];
  const pitches = [...new Set(steepest)].toSorted((a, b) => a - b).map((each) => pitchWays(each, context.system)[0]);
  return {
    pieces: [...pieces, ...(laidPanels?.pieces ?? [])],
    compared: panels.compared,
    draw: () => {
      const drawing = drawRoof(roof, context);
      if (drawing.kind !== "plan") return drawing;
      const timber = pieces.map(({ id, points = [] }) => ({ id, role: "timber" as const, points, closed: true }));
      const sheets = laidPanels && formed.ok ? panelShapes(formed.form, laidPanels) : [];
      return { ...drawing, shapes: [...drawing.shapes, ...timber, ...sheets] };
    },
    laid: {
      lengthsNm: (role) => byRole(role).map((piece) => piece.cutLengthNm),
      ask: panelAnswers(laidPanels, PANEL_ROLE),
      sheetSize: (sizeId) => ownValue(library.sheets, sizeId),
    },
    timberOf: timberOf(choices),
    choices: known,
    reckoned: false,
    repeats: 1,
    words: {
      name: roof.name,
      pitchWords: pitches.join(" and "),
      ...featureWords(roof),
      spacingWords: formatLength(choices.rafterSpacing, context.system),
    },
    workingOf: (role, sectionId) =>
      role === PANEL_ROLE
        ? sheetWorking(role, laidPanels?.pieces ?? [], context)
        : roofWorking(
            pieces.filter((piece) => piece.role === role && (sectionId === "" || piece.sectionId === sectionId)),
            context,
          ),
    problems: [
      ...problems,
      ...panels.problems,
      ...straightenedOutline(roof, context.system),
      ...beamsNeeded(roof),
      ...flatFrame(roof, context.system),
      ...unreachedHeights(roof, context.system),
      ...overhangsMeet(roof, context.system),
      ...fasciasApart(roof, context.system),
      ...longTails(roof, context.system),
      ...meetingProblems(roof),
    ],
  };
}
