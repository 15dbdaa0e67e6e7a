import type { Assembly } from "../../../assemblies";
import type { Layout, RoleWorking, Site } from "../../../layouts";
import { problem } from "../../../problems/problem";
import { ownValue } from "../../../records/ownValue";
import { formatLength, metres, type Nanometres, piecesAtSpacing, pitchWays } from "../../../units";
import { formulaChoices } from "../../roof/build/layOut";
import { longestSold } from "../../roof/build/longest";
import { timberOf } from "../../roof/build/timberOf";
import { choicesOf } from "../../roof/parameters";
import { meanSlopeM } from "../quantities";
import type { RoofTotals } from "../schema";

const MOST_TIMBERS = 20_000;

const TOO_MANY = problem(
  "too-many-pieces",
  "eaves",
  "These eaves come to more rafters than there can be. Check the unit.",
);
const NO_EAVES = problem("no-eaves", "eaves", "No eaves are entered: no rafters, gutters or fascias are reckoned.");

const ALL_COMMON = problem(
  "all-common",
  "choices.framedWith",
  "Trusses are all reckoned of one kind, over half of the eaves: draw the roof for girders, jacks and loose ones.",
);

const repeat = (count: number, lengthNm: Nanometres): Nanometres[] => Array.from({ length: count }, () => lengthNm);

/** A run in stock lengths, the last of them short. */
function lengthsOf(runNm: Nanometres, longestNm: Nanometres): Nanometres[] {
  if (runNm <= 0) return [];
  if (!Number.isFinite(longestNm)) return [runNm];
  const whole = Math.floor(runNm / longestNm);
  const rest = runNm - whole * longestNm;
  return rest > 0 ? [...repeat(whole, longestNm), rest] : repeat(whole, longestNm);
}

/** Over half of the eaves from wall to wall; up to a wall, where a roof has neither ridge nor hip, over all of them. */
function trussesOf(part: RoofTotals, spacingNm: Nanometres): Map<string, Nanometres[]> {
  const eavesNm = part.eaves.valueNm ?? 0;
  if (eavesNm === 0) return new Map();
  const mono = !part.ridges.valueNm && !part.hips.valueNm && Boolean(part.wallTops.valueNm);
  const count = piecesAtSpacing(mono ? eavesNm : Math.max(1, Math.round(eavesNm / 2)), spacingNm);
  const runM = meanSlopeM(part) / Math.hypot(1, part.pitch.value ?? 0);
  const spanNm = Math.max(1, metres(mono ? runM : 2 * runM));
  return new Map([[mono ? "truss-mono" : "truss-common", count > MOST_TIMBERS ? [] : repeat(count, spanNm)]]);
}

/**
 * Rafters reckoned along the eaves at the spacing, each as long as the roof's area over its eaves: right in all for hips too, where long and
 * short ones go together. Ridges, hips and valleys by their lengths.
 */
export function reckonRoofTotals(part: RoofTotals, assembly: Assembly, { library, context }: Site): Layout {
  const choices = choicesOf(part, context.system);
  const eavesNm = part.eaves.valueNm ?? 0;
  const count =
    eavesNm === 0
      ? 0
      : piecesAtSpacing(eavesNm, choices.framedWith === "trusses" ? choices.trussSpacing : choices.rafterSpacing);
  const tooMany = count > MOST_TIMBERS;
  const longest = longestSold(assembly, library);
  const run = (role: string, sectionId: string, nm: Nanometres | null) => lengthsOf(nm ?? 0, longest(role, sectionId));
  const trussed = choices.framedWith === "trusses";
  const lengths = trussed
    ? trussesOf(part, choices.trussSpacing)
    : new Map<string, Nanometres[]>([
        ["common-rafter", tooMany ? [] : repeat(count, Math.max(1, metres(meanSlopeM(part))))],
        ["ridge", run("ridge", choices.ridgeSection, part.ridges.valueNm)],
        ["hip-rafter", run("hip-rafter", choices.hipSection, part.hips.valueNm)],
        ["ledger", run("ledger", choices.ridgeSection, part.wallTops.valueNm)],
        ["valley-rafter", run("valley-rafter", choices.hipSection, part.valleys.valueNm)],
      ]);
  return {
    pieces: [],
    draw: () => ({ kind: "none" }),
    laid: {
      lengthsNm: (role) => lengths.get(role) ?? [],
      ask: () => undefined,
      sheetSize: (sizeId) => ownValue(library.sheets, sizeId),
    },
    timberOf: timberOf(choices),
    choices: formulaChoices(choices),
    reckoned: true,
    repeats: 1,
    words: {
      name: part.name,
      pitchWords: pitchWays(part.pitch.value ?? 0, context.system)[0] ?? "",
      spacingWords: formatLength(choices.rafterSpacing, context.system),
      dormerWords: "no dormers",
      windowWords: "no roof windows",
      chimneyWords: "no chimneys",
    },
    workingOf: (role) => reckonedWorking(lengths.get(role)?.length ?? 0),
    problems: [
      ...(tooMany ? [TOO_MANY] : []),
      ...(eavesNm === 0 ? [NO_EAVES] : []),
      ...(trussed && eavesNm > 0 ? [ALL_COMMON] : []),
    ],
  };
}

const reckonedWorking = (count: number): RoleWorking => ({
  formula: "reckoned from the totals, not laid out",
  withNumbers: `reckoned: ${count}`,
  steps: [],
  from: [{ path: "eaves", label: "Eaves in all" }],
});
