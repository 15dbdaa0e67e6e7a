import { ORIGIN, straightened } from "../../geometry";
import {
  cornersOf,
  edgeLetter,
  outlineOf,
  type OutlineEdgeOnPlan as Placed,
  placedAt,
  type WalkedOutline,
} from "../../parts/walkedOutline";
import { inches, type Nanometres } from "../../units";
import { courtyardName, courtyardRing } from "./courtyards";
import type { Courtyard, Roof, RoofEdge } from "./schema";
import { newEdge } from "./starts";

/** An edge where it lies, the inside on its left. */
export type RoofEdgeOnPlan = Placed<RoofEdge>;

type Walked = WalkedOutline<RoofEdge>;
export type RoofOutline =
  | Exclude<Walked, { ok: true }>
  | (Extract<Walked, { ok: true }> & {
      /** Round each courtyard that has its figures, the roof on their left. */
      readonly courts: readonly (readonly RoofEdgeOnPlan[])[];
      /** How far its corners were moved to make straight, parallel and square what a tape cannot tell from it. */
      readonly straightenedNm: Nanometres;
    });

/** Two readings of a tape, each a sixteenth of an inch out (common practice). */
const SAME_TO_A_TAPE_NM = inches(1 / 8);

export const walkedCorners = cornersOf;

/** What an outline follows from. */
type Outlined = Pick<Roof, "edges"> & Partial<Pick<Roof, "courtyards">>;

/** The eaves round a courtyard; none while it lacks a figure. */
function courtEdges(court: Courtyard, inwards: 1 | -1): RoofEdgeOnPlan[][] {
  const ring = courtyardRing(court, inwards);
  if (!ring) return [];
  return [
    ring.map((from, index) => {
      const edge = newEdge(`court-${court.id}-${index + 1}`, "eave");
      return { edge, from, to: ring[(index + 1) % ring.length] ?? from };
    }),
  ];
}

/** The outline against the clock, with its courtyards; the last corner is put on the first. */
export function outlineOfRoof({ edges, courtyards = [] }: Outlined): RoofOutline {
  const outline = outlineOf(edges);
  if (!outline.ok) return outline;
  const { ring, movedNm } = straightened(outline.polygon, SAME_TO_A_TAPE_NM);
  const placed = outline.edges.map(({ edge }, index) => {
    const from = ring[index] ?? ORIGIN;
    return { edge, from, to: ring[(index + 1) % ring.length] ?? from };
  });
  return {
    ...outline,
    edges: placed,
    polygon: ring,
    straightenedNm: movedNm,
    courts: courtyards.flatMap((court) => courtEdges(court, outline.inwards)),
  };
}

/** Each edge where it lies on the plan of its storey; nothing while the outline does not close. */
export function roofOutlineOnPlan({ edges, place }: Pick<Roof, "edges" | "place">): RoofEdgeOnPlan[] {
  const outline = outlineOfRoof({ edges });
  return outline.ok ? placedAt(outline.edges, place) : [];
}

/** `Edge A`, in the order they are walked. */
export const edgeName = ({ edges, courtyards = [] }: Outlined, id: string): string => {
  const [, courtId, side] = /^court-(.+)-(\d)$/.exec(id) ?? [];
  if (courtId !== undefined) return `${courtyardName({ courtyards }, courtId)}, side ${side}`;
  return `Edge ${edgeLetter(edges, id)}`.trim();
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
