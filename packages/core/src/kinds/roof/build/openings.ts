import type { FramingPiece } from "../../../drawing/piece";
import type { XY } from "../../../geometry/skeleton";
import type { Section } from "../../../kinds";
import { NM_PER_MM } from "../../../units";
import type { RoofForm, StandingFace } from "../form";
import { type BearingRafter, heelMm, overPlateMm } from "../heights";
import type { Roof } from "../schema";
import { HEADER_PLIES } from "./rafters";
import { levelStick, wallStick } from "./sticks";

type Timber = {
  readonly rafter: BearingRafter;
  readonly stud: Section;
  readonly spacingMm: number;
  /** How long plates of a role can be had; longer ones are joined. */
  readonly longestMm: (role: string) => number;
};

const mm = (nm: number): number => nm / NM_PER_MM;

/** Headers where an opening cuts rafters off: double, between the trimmers, outside the opening. */
function headersOf({ faces }: RoofForm, { rafter }: Timber): FramingPiece[] {
  return faces.flatMap((face) =>
    face.holes.flatMap(({ featureId, ring }) => {
      const headers = ring.filter(({ kind }) => kind === "header");
      return headers.flatMap(({ from, to }, nth) => {
        const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
        // The opening is on the left of its sides: its header lies on the right.
        const out: XY = [(to[1] - from[1]) / length, -(to[0] - from[0]) / length];
        return Array.from({ length: HEADER_PLIES }, (_, ply) => {
          const by = (ply + 0.5) * mm(rafter.thicknessNm);
          const end = ([x, y]: readonly [number, number, number]): XY => [x + out[0] * by, y + out[1] * by];
          const id = `header-${featureId}-${nth + 1}-${ply + 1}`;
          const topMm = Math.min(from[2], to[2]) + overPlateMm(rafter, face.pitch);
          return levelStick({ id, role: "rafter-header", section: rafter }, end(from), end(to), { topMm });
        });
      });
    }),
  );
}

type Edge = { readonly from: XY; readonly to: XY };

/** The outline of an upright face in its own axes: along its foot, and up from the roof's plate. */
function edgesOf({ form: { line, rings } }: StandingFace): Edge[] {
  const flat = ([x, y, z]: readonly [number, number, number]): XY => [line.along[0] * x + line.along[1] * y, z];
  return rings.flatMap((ring) => ring.map(({ from, to }) => ({ from: flat(from), to: flat(to) })));
}

const isUpright = ({ from, to }: Edge): boolean => Math.abs(to[0] - from[0]) < 0.5;
const secantOf = ({ from, to }: Edge): number =>
  Math.hypot(to[0] - from[0], to[1] - from[1]) / Math.abs(to[0] - from[0]);
const pitchOf = ({ from, to }: Edge): number => Math.abs((to[1] - from[1]) / (to[0] - from[0]));
const heightAt = ({ from, to }: Edge, at: number): number =>
  from[1] + ((at - from[0]) / (to[0] - from[0])) * (to[1] - from[1]);

/** What the pieces of a wall are, and what lies over its studs: a plate of its own, or the end rafters, so far below the slope. */
type Kind = {
  readonly stud: string;
  readonly plate: string;
  readonly underMm: ((edge: Edge) => number) | undefined;
};
const DORMER: Kind = { stud: "dormer-stud", plate: "dormer-plate", underMm: undefined };

/** A stretch in lengths that can be had, the last of them short. */
function piecesOf({ from, to }: Edge, longestMm: number): Edge[] {
  const lengthMm = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const count = Math.max(1, Math.ceil(lengthMm / longestMm - 1e-9));
  const at = (mm: number): XY => {
    const share = Math.min(1, mm / (lengthMm || 1));
    return [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share];
  };
  return Array.from({ length: count }, (_, index) => ({
    from: at(index === 0 ? 0 : index * longestMm),
    to: at(index === count - 1 ? lengthMm : (index + 1) * longestMm),
  }));
}

/** A plate along its foot, and along what is over it where no rafter is, studs between them at the spacing and at both ends. */
function studsOf(wall: StandingFace, { stud, spacingMm, longestMm }: Timber, kind: Kind): FramingPiece[] {
  const edges = edgesOf(wall).filter((edge) => !isUpright(edge));
  const thick = mm(stud.thicknessNm);
  const plated = kind.underMm ? edges.filter((edge) => isFoot(edge, edges)) : edges;
  const underMm = kind.underMm ?? ((edge: Edge) => thick * secantOf(edge));
  const places = edges.flatMap(({ from, to }) => [from[0], to[0]]);
  const [least, most] = [Math.min(...places), Math.max(...places)];
  const longest = longestMm(kind.plate);
  const within = plated.flatMap((edge) => piecesOf(edge, longest).map((piece) => ({ piece, edge })));
  const plates = within.map(({ piece, edge }, index) => {
    const inwards = isFoot(edge, edges) ? thick * secantOf(edge) : -thick * secantOf(edge);
    const outline: XY[] = [
      piece.from,
      piece.to,
      [piece.to[0], piece.to[1] + inwards],
      [piece.from[0], piece.from[1] + inwards],
    ];
    const lengthMm = Math.abs(piece.to[0] - piece.from[0]) * secantOf(edge);
    return wallStick({ id: `plate-${wall.id}-${index + 1}`, role: kind.plate, section: stud }, wall, outline, lengthMm);
  });
  const count = Math.floor((most - least - thick) / spacingMm + 1e-9);
  const between = Array.from({ length: count }, (_, step) => least + (step + 1) * spacingMm);
  const middles = [least + thick / 2, ...between.filter((at) => at < most - 1.5 * thick), most - thick / 2];
  const studs = middles.flatMap((at, index) => {
    const over = edges.filter(({ from, to }) => (at - from[0]) * (at - to[0]) <= 0);
    const foot = over.filter((edge) => isFoot(edge, edges)).map((edge) => heightAt(edge, at) + thick * secantOf(edge));
    const top = over.filter((edge) => !isFoot(edge, edges)).map((edge) => heightAt(edge, at) - underMm(edge));
    // Beside the outline, and where it is of no height, nothing is over or under a place.
    if (foot.length === 0 || top.length === 0) return [];
    const [low, high] = [Math.max(...foot), Math.min(...top)];
    if (!(high - low > thick)) return [];
    const outline: XY[] = [
      [at - thick / 2, low],
      [at + thick / 2, low],
      [at + thick / 2, high],
      [at - thick / 2, high],
    ];
    return [
      wallStick({ id: `stud-${wall.id}-${index + 1}`, role: kind.stud, section: stud }, wall, outline, high - low),
    ];
  });
  return [...plates, ...studs];
}

/** Whether an edge of an upright outline lies below the others. */
function isFoot(edge: Edge, edges: readonly Edge[]): boolean {
  const at = (edge.from[0] + edge.to[0]) / 2;
  const over = edges.filter((other) => other !== edge && (at - other.from[0]) * (at - other.to[0]) <= 0);
  return over.every((other) => heightAt(other, at) > heightAt(edge, at));
}

/** Headers round openings, and the walls of dormers. */
export const layOpenings = (form: RoofForm, timber: Timber): FramingPiece[] => [
  ...headersOf(form, timber),
  ...form.standing.filter(({ dormerId }) => dormerId !== undefined).flatMap((wall) => studsOf(wall, timber, DORMER)),
];

/** The triangles over the plate of walls that end as gables: a plate along the foot, studs up to the end rafters. */
export function layGables(roof: Roof, form: RoofForm, timber: Timber): FramingPiece[] {
  const gabled = new Set(roof.edges.flatMap(({ id, end }) => (end === "gable" || end === "half-hip" ? [id] : [])));
  // An end rafter's underside lies below the slope by its notch.
  const underMm = (edge: Edge) => heelMm(timber.rafter, pitchOf(edge));
  const kind: Kind = { stud: "gable-stud", plate: "gable-plate", underMm };
  return form.standing
    .filter(({ dormerId, edgeId }) => dormerId === undefined && gabled.has(edgeId))
    .flatMap((wall) => studsOf(wall, timber, kind));
}
