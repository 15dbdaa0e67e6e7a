import type { Point } from "../../geometry";
import { type RisingEdge, type SlopeStep, straightSkeleton, type XY } from "../../geometry/skeleton";
import { type Nanometres, NM_PER_MM } from "../../units";
import { areaOfSides, assembleForm, linesOf } from "./assemble";
import { withFeatures } from "./features/apply";
import { wholeFeatures } from "./features/place";
import type { Formed, RoofForm } from "./formTypes";
import { hipFromMm } from "./halfHip";
import { meetForm } from "./meeting/meet";
import { runOn } from "./meeting/runOn";
import type { Meets, RunsOn } from "./meeting/types";
import { outlineOfRoof, type RoofEdgeOnPlan, slopeOf } from "./outline";
import { heightOn } from "./overhang";
import { type Roof, runsIntoRoof } from "./schema";

export * from "./formTypes";

export const toMm = (nm: Nanometres): number => nm / NM_PER_MM;
const xyOf = ({ xNm, yNm }: Point): XY => [toMm(xNm), toMm(yNm)];

/** An edge's slopes from the plate up: nothing where it stands. */
function stepsOf(roof: Roof, edges: readonly RoofEdgeOnPlan[], index: number): RisingEdge["steps"] {
  const edge = edges[index]?.edge;
  const stands: SlopeStep = { fromHeightMm: 0, runPerRise: 0 };
  if (edge?.end !== "eave" && edge?.end !== "half-hip") return [stands];
  const { pitch } = slopeOf(roof, edge);
  const from = hipFromMm(roof, edges, index);
  if (!Number.isFinite(from)) return [stands];
  const slopes: SlopeStep[] = [{ fromHeightMm: from, runPerRise: 1 / pitch }];
  const { breakHeight, upperPitch } = roof;
  if (breakHeight.valueNm !== null && upperPitch.value) {
    const upper = { fromHeightMm: toMm(breakHeight.valueNm), runPerRise: 1 / upperPitch.value };
    if (upper.fromHeightMm <= from) slopes[0] = { ...upper, fromHeightMm: from };
    else slopes.push(upper);
  }
  const [first, ...rest] = slopes;
  return first && first.fromHeightMm <= 0 ? [{ ...first, fromHeightMm: 0 }, ...rest] : [stands, ...slopes];
}

type Known = { readonly roof: Roof; readonly formed: Formed };
const known = new WeakMap<Roof["edges"], Known>();
const knownMet = new WeakMap<Meets, Known>();

const FORMING = [
  "pitch",
  "overhang",
  "rakeOverhang",
  "overhangMeasured",
  "inLine",
  "breakHeight",
  "upperPitch",
  "flatHeight",
  "features",
  "courtyards",
] as const;

const isAsBefore = (before: Known | undefined, roof: Roof): before is Known =>
  before !== undefined && before.roof.edges === roof.edges && FORMING.every((name) => before.roof[name] === roof[name]);

/** The form of a roof by itself, whatever it meets. */
export function ownFormOf(roof: Roof): Formed {
  const before = known.get(roof.edges);
  if (isAsBefore(before, roof)) return before.formed;
  const formed = makeForm(roof, NOWHERE);
  known.set(roof.edges, { roof, formed });
  return formed;
}

/** The form of a roof as it stands in its house, or why it has none. The same figures give the same object. */
export function formOf(roof: Roof): Formed {
  const { meets } = roof;
  if (!meets) return ownFormOf(roof);
  const before = knownMet.get(meets);
  if (isAsBefore(before, roof)) return before.formed;
  const formed = meetOthers(roof, meets);
  knownMet.set(meets, { roof, formed });
  return formed;
}

function meetOthers(roof: Roof, meets: Meets): Formed {
  const alone = Object.keys(meets.runsOnMm).length === 0 ? ownFormOf(roof) : makeForm(roof, meets.runsOnMm);
  const outline = outlineOfRoof(roof);
  if (!alone.ok || !outline.ok) return alone;
  const running = roof.edges.filter(runsIntoRoof).map(({ id }) => id);
  const form = meetForm(alone.form, meets, { outline: outline.polygon, running });
  return form ? { ok: true, form } : { ok: false, why: "cut-away" };
}

const NOWHERE: RunsOn = {};

function makeForm(roof: Roof, runsOnMm: RunsOn): Formed {
  const outline = outlineOfRoof(roof);
  if (!outline.ok) return { ok: false, why: outline.why === "unmeasured" ? "unmeasured" : "outline" };
  if (roof.pitch.value === null && outline.edges.some(({ edge }) => edge.end === "eave" && edge.pitch.value === null))
    return { ok: false, why: "unmeasured" };
  const loops = [runOn(outline.edges, runsOnMm), ...outline.courts];
  const rising = loops.map((loop) =>
    loop.map((placed, index): RisingEdge => {
      return { from: xyOf(placed.from), to: xyOf(placed.to), steps: stepsOf(roof, loop, index) };
    }),
  );
  const flatAt = roof.flatHeight.valueNm === null ? undefined : toMm(roof.flatHeight.valueNm);
  const skeleton = straightSkeleton(rising, flatAt);
  if (!skeleton.ok) return { ok: false, why: skeleton.why };
  const form = assembleForm(roof, loops, skeleton.faces, skeleton.flats);
  if (!isSound(form)) return { ok: false, why: "failed-check" };
  return { ok: true, form: roof.features.length === 0 ? form : featured(roof, form, outline.edges) };
}

/** With dormers, openings and the like in its slopes, and its lines as they then are. */
function featured(roof: Roof, form: RoofForm, edges: readonly RoofEdgeOnPlan[]): RoofForm {
  const edgeFrom = new Map(edges.map(({ edge, from }) => [edge.id, xyOf(from)]));
  const overhangOf = (edgeId: string) => {
    const edge = roof.edges.find(({ id }) => id === edgeId);
    return edge ? toMm(slopeOf(roof, edge).overhangNm) : 0;
  };
  const { faces, standing, placed } = withFeatures(form, wholeFeatures(roof), edgeFrom, {
    eaveMm: toMm(roof.overhang.valueNm ?? 0),
    rakeMm: toMm(roof.rakeOverhang.valueNm ?? 0),
    ofEdge: overhangOf,
  });
  return { ...form, faces, standing, lines: linesOf(faces), features: placed };
}

/** The check every form passes before it is shown: its faces tile the outline, and each lies in its plane. */
function isSound({ faces, flatAreaM2, outlineAreaM2 }: RoofForm): boolean {
  const tiled = faces.reduce((sum, face) => sum + areaOfSides(face.wallSides), flatAreaM2);
  const flat = faces.every((face) =>
    face.wallSides.every(({ from }) => Math.abs(heightOn(face.form, [from[0], from[1]]) - from[2]) < 0.5),
  );
  return flat && Math.abs(tiled - outlineAreaM2) <= 1e-6 * outlineAreaM2 + 1e-6;
}
