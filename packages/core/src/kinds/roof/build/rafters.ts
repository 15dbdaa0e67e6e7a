import type { FramingPiece } from "../../../drawing/piece";
import type { XY, XYZ } from "../../../geometry/skeleton";
import type { Section } from "../../../kinds";
import { NM_PER_MM } from "../../../units";
import type { RoofFace, RoofForm } from "../form";
import { type BearingRafter, overPlateMm } from "../heights";
import type { SideKind } from "../overhang";
import type { RafterRole } from "../roles";
import { cutOf, notchOf, slopedStick } from "./sticks";

export type Sections = { readonly rafter: BearingRafter; readonly ridge: Section; readonly hip: Section };

/** A crossing of a line up the slope with a side of its face, seen along it. */
export type Hit = {
  readonly at: number;
  readonly kind: SideKind;
  readonly sine: number;
  /** It lies on the boards of another roof, with no valley rafter there. */
  readonly onBoards: boolean;
};

type Sided = { readonly from: XYZ; readonly to: XYZ; readonly kind: SideKind; readonly cutBy?: string };

/** A rafter shorter than this on plan is not cut: it is where a jack has run out beside a hip. */
const SHORTEST_MM = 75;

/** Headers and trimmers of openings are double: common practice. */
export const HEADER_PLIES = 2;

const halfMm = ({ thicknessNm }: Section): number => thicknessNm / NM_PER_MM / 2;

/** Places in a face's own axes: along its eave, and in from it. */
export const inFace = ({ form: { line } }: RoofFace, [x, y]: XYZ | XY): XY => [
  line.along[0] * x + line.along[1] * y,
  line.normal[0] * x + line.normal[1] * y - line.offsetMm,
];

/** Nearer than this to the end of a ridge a rafter runs up to the ridge, not to the hip beside it. */
const AT_RIDGE_MM = 1;

/** Where hips come together, with a ridge or at a point: the rafters that run up to there are commons, alike from every slope. */
function headsOf(face: RoofFace, sides: readonly Sided[]): XY[] {
  return sides.flatMap((side, index): XY[] => {
    const next = sides[(index + 1) % sides.length];
    if (!next || (side.kind !== "hip" && next.kind !== "hip")) return [];
    const meet = [side.kind, next.kind].every((kind) => kind === "hip" || kind === "ridge");
    return meet ? [inFace(face, side.to)] : [];
  });
}

/** Where a line up the slope goes through a ring, from the eave up. */
export function hitsAt(face: RoofFace, sides: readonly Sided[], along: number): Hit[] {
  const heads = headsOf(face, sides).filter(([at]) => Math.abs(at - along) < AT_RIDGE_MM);
  const atHead = (hit: Hit): Hit =>
    hit.kind === "hip" && heads.some(([, at]) => Math.abs(at - hit.at) < AT_RIDGE_MM)
      ? { ...hit, kind: "ridge", sine: 1 }
      : hit;
  return sides
    .flatMap(({ from, to, kind, cutBy }): Hit[] => {
      const [a, b] = [inFace(face, from), inFace(face, to)];
      if (a[0] > along === b[0] > along) return [];
      const share = (along - a[0]) / (b[0] - a[0]);
      const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
      const at = a[1] + share * (b[1] - a[1]);
      return [{ at, kind, sine: Math.abs(b[0] - a[0]) / length, onBoards: cutBy !== undefined }];
    })
    .map(atHead)
    .toSorted((one, other) => one.at - other.at);
}

const LOW: ReadonlySet<SideKind> = new Set(["valley"]);
const HIGH: ReadonlySet<SideKind> = new Set(["hip"]);

function roleOf(foot: SideKind, head: SideKind): RafterRole {
  if (foot === "header" || head === "header") return "trimmed-rafter";
  const [low, high] = [LOW.has(foot), HIGH.has(head)];
  if (low && high) return "cripple-jack";
  if (low) return "valley-jack";
  return high ? "hip-jack" : "common-rafter";
}

/** Half of what a rafter runs against, measured level along the rafter. */
function offMm({ kind, sine, onBoards }: Hit, { rafter, ridge, hip }: Sections): number {
  if (kind === "ridge") return halfMm(ridge);
  // A ledger of the ridge's timber lies on the wall.
  if (kind === "wall-top") return 2 * halfMm(ridge);
  if (kind === "valley" && onBoards) return 0;
  if (kind === "header") return HEADER_PLIES * 2 * halfMm(rafter);
  if (kind === "hip" || kind === "valley") return halfMm(hip) / Math.max(sine, 0.05);
  return 0;
}

const bevel = ({ kind, sine }: Hit): number =>
  kind === "hip" || kind === "valley" ? (Math.acos(Math.min(1, sine)) * 180) / Math.PI : 0;

export const pairs = (hits: readonly Hit[]): (readonly [Hit, Hit])[] =>
  hits.flatMap((foot, index) => {
    const head = hits[index + 1];
    return index % 2 === 0 && head ? [[foot, head] as const] : [];
  });

/** Where a line up the slope lies on it: from eave to top, less what openings take out. */
function runsAt(face: RoofFace, along: number): (readonly [Hit, Hit])[] {
  const whole = pairs(hitsAt(face, face.wallSides, along));
  return face.holes.reduce((runs, { ring }) => {
    const gaps = pairs(hitsAt(face, ring, along));
    return gaps.reduce(
      (left, [low, high]) =>
        left.flatMap(([foot, head]) => {
          if (high.at <= foot.at || low.at >= head.at) return [[foot, head] as const];
          const below = low.at > foot.at ? [[foot, low] as const] : [];
          return high.at < head.at ? [...below, [high, head] as const] : below;
        }),
      runs,
    );
  }, whole);
}

/** Whether a line up the slope passes the walls by, or meets no more of them than their corner. */
const passesWalls = (face: RoofFace, along: number): boolean => {
  const places = face.wallSides.map(({ from }) => inFace(face, from)[0]);
  return along < Math.min(...places) + SHORTEST_MM || along > Math.max(...places) - SHORTEST_MM;
};

/** Past the corner of the walls, in the overhang of a hip: from the eave to the hip, on no plate. */
const tailsAt = (face: RoofFace, along: number): (readonly [Hit, Hit])[] =>
  passesWalls(face, along)
    ? pairs(hitsAt(face, face.sides, along)).filter(([foot, head]) => foot.kind === "eave" && head.kind === "hip")
    : [];

const isCut = ([foot, head]: readonly [Hit, Hit]): boolean => head.at - foot.at >= SHORTEST_MM;

/** Beyond the plate on plan: to the eave, further where it is carried down. */
function tailAt(face: RoofFace, foot: Hit, along: number): number {
  const out = hitsAt(face, face.sides, along)
    .filter((hit) => hit.at < foot.at - 0.01)
    .at(-1);
  const carried = face.carried.flatMap(({ ring }) => hitsAt(face, ring, along).slice(0, 1));
  const lowest = Math.min(out?.at ?? foot.at, ...carried.map(({ at }) => at));
  return foot.at - lowest;
}

/** Beyond the high edge of a lean-to that stands free, on plan: out to its overhang. */
function topOutAt(face: RoofFace, head: Hit, along: number): number {
  if (head.kind !== "rake") return 0;
  const out = hitsAt(face, face.sides, along).find((hit) => hit.at > head.at + 0.01);
  return out ? out.at - head.at : 0;
}

/** Every rafter of a face whose middle lies at a place along it. */
export function raftersAt(face: RoofFace, along: number, sections: Sections, id: string): FramingPiece[] {
  const { pitch, form } = face;
  const pieces: FramingPiece[] = [];
  const overWalls = runsAt(face, along).filter(isCut);
  // An opening may take all of a rafter out: that leaves none, where past the walls there is a tail alone.
  const runs = overWalls.length > 0 ? overWalls : tailsAt(face, along).filter(isCut);
  for (const [foot, head] of runs) {
    const bears = foot.kind === "eave" && runs === overWalls;
    const tailMm = bears ? tailAt(face, foot, along) : 0;
    const [headOffMm, footOffMm] = [offMm(head, sections), offMm(foot, sections)];
    const runMm = head.at - foot.at;
    if (runMm - headOffMm - footOffMm < SHORTEST_MM) continue;
    const { normal, along: way, offsetMm, fromHeightMm, runPerRise } = form.line;
    const v = offsetMm + foot.at;
    const place: XYZ = [
      way[0] * along + normal[0] * v,
      way[1] * along + normal[1] * v,
      fromHeightMm + foot.at / runPerRise,
    ];
    const onPlate = fromHeightMm < 0.1 || face.dormerId !== undefined;
    const notch = bears && onPlate ? notchOf(sections.rafter, pitch) : undefined;
    pieces.push(
      slopedStick({
        id: pieces.length === 0 ? id : `${id}.${pieces.length + 1}`,
        role: roleOf(foot.kind, head.kind),
        section: sections.rafter,
        foot: place,
        direction: normal,
        pitch,
        fromMm: footOffMm - tailMm,
        toMm: runMm - headOffMm + topOutAt(face, head, along),
        overMm: overPlateMm(sections.rafter, pitch),
        notch,
        cut: cutOf({
          pitch,
          runMm,
          headOffMm,
          footOffMm,
          tailMm,
          headBevelDegrees: bevel(head),
          footBevelDegrees: bevel(foot),
          notch,
        }),
      }),
    );
  }
  return pieces;
}

/** Rafters that lie beside an opening, two at each side; they take the place of those that would lie there anyway. */
function trimmersOf(face: RoofFace, rafter: Section): { readonly id: string; readonly at: number }[] {
  const thickMm = 2 * halfMm(rafter);
  return face.holes.flatMap(({ featureId, ring }) => {
    const places = ring.map(({ from }) => inFace(face, from)[0]);
    const [left, right] = [Math.min(...places), Math.max(...places)];
    return Array.from({ length: HEADER_PLIES }, (_, ply) => (ply + 0.5) * thickMm).flatMap((out, ply) => [
      { id: `trimmer-${featureId}-left-${ply + 1}`, at: left - out },
      { id: `trimmer-${featureId}-right-${ply + 1}`, at: right + out },
    ]);
  });
}

/** Where the layout of each slope begins, along its foot: joints of panels lie on rafters so many spacings from there. */
export function layoutStarts(form: RoofForm, fromEnd: boolean): (face: RoofFace) => number {
  const axes = axesOf(form);
  return (face) => {
    const { along } = face.form.line;
    const axis = axes.find(({ direction }) => Math.abs(direction[0] * along[1] - direction[1] * along[0]) < 1e-6);
    if (!axis) return Math.min(...face.sides.map(({ from }) => inFace(face, from)[0]));
    const begin = fromEnd ? axis.to : axis.from;
    return axis.direction[0] * along[0] + axis.direction[1] * along[1] > 0 ? begin : -begin;
  };
}

/** Middles of what is laid out over a slope at a spacing. */
export const placesOn = (form: RoofForm, face: RoofFace, layout: RafterLayout, halfWidthMm: number): number[] =>
  placesAlong(face, axesOf(form), layout, halfWidthMm);

export type RafterLayout = { readonly spacingMm: number; readonly fromEnd: boolean };

/** The direction a face and all that run with or against it are laid out along, and where that begins. */
type Axis = { readonly direction: XY; readonly from: number; readonly to: number };

function axesOf({ faces }: RoofForm): Axis[] {
  const axes: Axis[] = [];
  for (const { form, wallSides } of faces) {
    if (wallSides.length === 0) continue;
    const { along } = form.line;
    const places = (direction: XY) => wallSides.map(({ from }) => from[0] * direction[0] + from[1] * direction[1]);
    const known = axes.findIndex(({ direction }) => Math.abs(direction[0] * along[1] - direction[1] * along[0]) < 1e-6);
    const axis = axes[known];
    const spread = places(axis?.direction ?? along);
    const [from, to] = [Math.min(...spread), Math.max(...spread)];
    if (!axis) axes.push({ direction: along, from, to });
    else axes[known] = { ...axis, from: Math.min(axis.from, from), to: Math.max(axis.to, to) };
  }
  return axes;
}

/** Whether the wall line of a face ends, at a place along it, in a rake, a wall or an open end: a rafter lies there. */
function endsUpright(face: RoofFace, at: number): boolean {
  return face.wallSides.some(({ from, to, kind }) => {
    const [a, b] = [inFace(face, from), inFace(face, to)];
    const upright = Math.abs(a[0] - at) < 0.1 && Math.abs(b[0] - at) < 0.1 && Math.abs(b[1] - a[1]) > SHORTEST_MM;
    return upright && (kind === "rake" || kind === "wall-side" || kind === "open" || kind === "cheek");
  });
}

const isParted = (face: RoofFace, at: number): boolean =>
  face.wallSides.some(
    ({ from, to, kind }) =>
      kind === "seam" && Math.abs(inFace(face, from)[0] - at) < 0.1 && Math.abs(inFace(face, to)[0] - at) < 0.1,
  );

/** Rafters of a dormer are laid out from its front, those of one slope from its left end. */
function fromFront(face: RoofFace, [least, most]: readonly [number, number], spacingMm: number): number[] {
  const front = face.wallSides.filter(({ kind }) => kind === "rake").map(({ from }) => inFace(face, from)[0]);
  const begin = front.length === 1 && front[0] !== undefined ? front[0] : least;
  const way = begin - least < most - begin ? 1 : -1;
  const steps = Math.floor((most - least) / spacingMm + 1e-9);
  return Array.from({ length: steps + 1 }, (_, step) => begin + way * step * spacingMm);
}

/** Middles of the rafters of a face along it: at the spacing from where the layout begins, and where it ends upright. */
function placesAlong(
  face: RoofFace,
  axes: readonly Axis[],
  { spacingMm, fromEnd }: RafterLayout,
  halfWidthMm: number,
): number[] {
  const { along } = face.form.line;
  const axis = axes.find(({ direction }) => Math.abs(direction[0] * along[1] - direction[1] * along[0]) < 1e-6);
  const spread = face.wallSides.map(({ from }) => inFace(face, from)[0]);
  const [least, most] = [Math.min(...spread), Math.max(...spread)];
  if (!axis || face.wallSides.length === 0) return [];
  const sameWay = axis.direction[0] * along[0] + axis.direction[1] * along[1] > 0;
  const begin = fromEnd ? axis.to : axis.from;
  const way = fromEnd ? -1 : 1;
  const steps = Math.floor((axis.to - axis.from) / spacingMm + 1e-9);
  const ends = [
    ...(endsUpright(face, least) ? [least + halfWidthMm] : []),
    ...(endsUpright(face, most) ? [most - halfWidthMm] : []),
  ];
  const outer = face.sides.map(({ from }) => inFace(face, from)[0]);
  const beyond = Math.ceil(Math.max(0, least - Math.min(...outer), Math.max(...outer) - most) / spacingMm);
  const stepped = Array.from({ length: steps + 1 + 2 * beyond }, (_, index) => {
    const place = begin + way * (index - beyond) * spacingMm;
    return sameWay ? place : -place;
  });
  const clear = (at: number) => ends.every((end) => Math.abs(end - at) > 2 * halfWidthMm);
  const places = face.dormerId === undefined ? stepped : fromFront(face, [least, most], spacingMm);
  // A slope parted beside what comes up through it goes on at the seam: a rafter there belongs to the part that begins with it.
  const from = isParted(face, least) ? least : Math.min(least, ...(endsUpright(face, least) ? [] : outer)) + 1;
  const to = isParted(face, most) ? most : Math.max(most, ...(endsUpright(face, most) ? [] : outer)) - 1;
  const between = places.filter((at) => at >= from && at < to && clear(at));
  return [...ends, ...between].toSorted((a, b) => a - b);
}

/** The rafters of every slope, opposite each other over a ridge. Ids follow the slope and the place. */
export function layRafters(
  form: RoofForm,
  layout: RafterLayout,
  sections: Sections,
  wanted: (face: RoofFace) => boolean = () => true,
): Map<string, FramingPiece[]> {
  const axes = axesOf(form);
  return new Map(
    form.faces.filter(wanted).map((face) => {
      const trimmers = trimmersOf(face, sections.rafter);
      const clear = (at: number) =>
        trimmers.every(({ at: other }) => Math.abs(other - at) > 2 * halfMm(sections.rafter) - 0.1);
      const places = placesAlong(face, axes, layout, halfMm(sections.rafter)).filter(clear);
      const beside = trimmers.flatMap(({ id, at }) =>
        raftersAt(face, at, sections, id).map((piece) => ({ ...piece, role: "trimmer-rafter" })),
      );
      return [
        face.id,
        [...beside, ...places.flatMap((at, index) => raftersAt(face, at, sections, `rafter-${face.id}-${index + 1}`))],
      ];
    }),
  );
}
