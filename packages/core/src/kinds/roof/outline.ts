import { crossings, distance, ORIGIN, type Point, type Polygon, plus, signedArea, turned } from "../../geometry";
import { assumedChoice } from "../../parts/dimension";
import { millimetres, type Nanometres } from "../../units";
import { measuredCorners } from "../room/walk";
import { courtyardName, courtyardRing } from "./courtyards";
import type { Courtyard, Roof, RoofEdge } from "./schema";
import { newEdge } from "./starts";

/** Below this a gap is the rounding of a slanting edge, not a measurement. */
const NO_GAP_NM = millimetres(2);

/** An edge where it lies, the inside on its left. */
export type PlacedEdge = { readonly edge: RoofEdge; readonly from: Point; readonly to: Point };

export type RoofOutline =
  | {
      readonly ok: true;
      readonly edges: readonly PlacedEdge[];
      readonly polygon: Polygon;
      /** Round each courtyard that has its figures, the roof on their left. */
      readonly courts: readonly (readonly PlacedEdge[])[];
      /** Whether the inside lies up or down the page of Edge A. */
      readonly inwards: 1 | -1;
    }
  | { readonly ok: false; readonly why: "unmeasured" }
  | { readonly ok: false; readonly why: "gap"; readonly gap: Point }
  | { readonly ok: false; readonly why: "crosses"; readonly edges: readonly [RoofEdge, RoofEdge] };

/** The corners as they were walked: one more than edges. An unmeasured edge is of no length. */
export const walkedCorners = (edges: readonly RoofEdge[]): Point[] =>
  measuredCorners(
    edges.map(({ id, length, turnDegrees }) => ({
      id,
      length,
      turnDegrees: assumedChoice(turnDegrees),
      thickness: length,
    })),
  );

/** What an outline follows from. */
type Outlined = Pick<Roof, "edges"> & Partial<Pick<Roof, "courtyards">>;

/** The eaves round a courtyard; none while it lacks a figure. */
function courtEdges(court: Courtyard, inwards: 1 | -1): PlacedEdge[][] {
  const ring = courtyardRing(court, inwards);
  if (!ring) return [];
  return [
    ring.map((from, index) => {
      const edge = newEdge(`court-${court.id}-${index + 1}`, "eave");
      return { edge, from, to: ring[(index + 1) % ring.length] ?? from };
    }),
  ];
}

/** The outline against the clock; the last corner is put on the first. */
export function outlineOfRoof({ edges, courtyards = [] }: Outlined): RoofOutline {
  if (edges.some(({ length }) => length.valueNm === null)) return { ok: false, why: "unmeasured" };
  const walked = walkedCorners(edges);
  const gap = walked[walked.length - 1] ?? ORIGIN;
  if (distance(gap, ORIGIN) > NO_GAP_NM) return { ok: false, why: "gap", gap };
  const corners = walked.slice(0, -1);
  const [crossed] = crossings(corners);
  if (crossed) {
    const [first, second] = [edges[crossed[0]], edges[crossed[1]]];
    if (first && second) return { ok: false, why: "crosses", edges: [first, second] };
  }
  const placed = edges.map((edge, index): PlacedEdge => {
    const from = corners[index] ?? ORIGIN;
    return { edge, from, to: corners[(index + 1) % corners.length] ?? ORIGIN };
  });
  const against = signedArea(corners) >= 0;
  const ordered = against ? placed : placed.toReversed().map(({ edge, from, to }) => ({ edge, from: to, to: from }));
  const inwards = against ? 1 : -1;
  const courts = courtyards.flatMap((court) => courtEdges(court, inwards));
  return { ok: true, edges: ordered, polygon: ordered.map(({ from }) => from), courts, inwards };
}

/** Each edge where it lies on the plan of its storey; nothing while the outline does not close. */
export function roofOutlineOnPlan(roof: Pick<Roof, "edges" | "place">): PlacedEdge[] {
  const outline = outlineOfRoof(roof);
  if (!outline.ok) return [];
  const onPlan = (point: Point): Point => plus(turned(point, roof.place.turnDegrees), roof.place);
  return outline.edges.map(({ edge, from, to }) => ({ edge, from: onPlan(from), to: onPlan(to) }));
}

/** `Edge A`, in the order they are walked. */
export const edgeName = ({ edges, courtyards = [] }: Outlined, id: string): string => {
  const [, courtId, side] = /^court-(.+)-(\d)$/.exec(id) ?? [];
  if (courtId !== undefined) return `${courtyardName({ courtyards }, courtId)}, side ${side}`;
  const index = edges.findIndex((edge) => edge.id === id);
  const letter = String.fromCharCode(65 + (index % 26));
  return index < 0 ? "Edge" : `Edge ${letter}${index < 26 ? "" : Math.floor(index / 26) + 1}`;
};

const slopes = ({ end }: RoofEdge): boolean => end === "eave" || end === "half-hip";

/** Two edges whose walls are within a hundredth of a degree of one line. */
const goesStraightOn = ({ turnDegrees }: RoofEdge): boolean => Math.abs(turnDegrees) < 0.01;

/** The sloping edges that go on in one line with an edge, itself among them; none where it stands alone. */
export function inLineWith({ edges }: Pick<Roof, "edges">, edge: RoofEdge): RoofEdge[] {
  const index = edges.findIndex(({ id }) => id === edge.id);
  if (index < 0 || !slopes(edge)) return [];
  const at = (offset: number) => edges[(index + offset + edges.length) % edges.length];
  const line = [edge];
  for (let step = 1; step < edges.length; step += 1) {
    const [last, next] = [at(step - 1), at(step)];
    if (!last || !next || !goesStraightOn(last) || !slopes(next)) break;
    line.push(next);
  }
  for (let step = 1; step < edges.length; step += 1) {
    const before = at(-step);
    if (!before || !goesStraightOn(before) || !slopes(before)) break;
    line.unshift(before);
  }
  return line.length > 1 ? line : [];
}

/** As entered for the edge or for the roof, rise over run. */
export const enteredPitch = (roof: Pick<Roof, "pitch">, edge: RoofEdge): number =>
  edge.pitch.value ?? roof.pitch.value ?? 0;

function pitchOf(roof: Roof, edge: RoofEdge): number {
  const entered = enteredPitch(roof, edge);
  if (roof.inLine === "step") return entered;
  const line = inLineWith(roof, edge).map((each) => enteredPitch(roof, each));
  if (line.length === 0) return entered;
  return roof.inLine === "flatter" ? Math.min(...line) : Math.max(...line);
}

/** What each edge's pitch and overhang are, its own or the roof's. Pitch as rise over run, overhang level. */
export function slopeOf(roof: Roof, edge: RoofEdge): { pitch: number; overhangNm: Nanometres } {
  const pitch = pitchOf(roof, edge);
  const stands = edge.end === "gable" || edge.end === "half-hip";
  const usual = stands ? roof.rakeOverhang : roof.overhang;
  const measured = edge.overhang.valueNm ?? usual.valueNm ?? 0;
  if (edge.end === "wall" || edge.end === "open" || edge.end === "roof") return { pitch, overhangNm: 0 };
  const along = roof.overhangMeasured === "slope" && !stands;
  return { pitch, overhangNm: along ? Math.round(measured / Math.hypot(1, pitch)) : measured };
}
