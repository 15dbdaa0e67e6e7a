import type { FramingPiece } from "../../../drawing/piece";
import type { XY } from "../../../geometry/skeleton";
import type { Section } from "../../../kinds";
import { NM_PER_MM } from "../../../units";
import type { RoofFace, RoofForm } from "../form";
import { levelStick } from "./sticks";

const MM_PER_M = 1000;

/** Two rafters over one ridge, foot to foot on plan. */
type Pair = {
  readonly id: string;
  readonly faceIds: readonly string[];
  readonly from: XY;
  readonly to: XY;
  readonly riseMm: number;
};

/** Where the foot of a rafter's line is on plan, and the way it goes up; both are in the frame it lies in. */
function lineOfRafter({
  inSpace,
  cut,
}: FramingPiece): { foot: XY; way: XY; runMm: number; footMm: number } | undefined {
  if (!inSpace || !cut) return undefined;
  const { origin, along } = inSpace.frame;
  return {
    foot: [origin[0] * MM_PER_M, -origin[2] * MM_PER_M],
    way: [along[0], -along[2]],
    runMm: cut.runNm / NM_PER_MM,
    footMm: origin[1] * MM_PER_M,
  };
}

const bearing = ({ role, cut }: FramingPiece): boolean => role === "common-rafter" && (cut?.seatNm ?? 0) > 0;

type Lined = {
  readonly rafter: FramingPiece;
  readonly faceId: string;
  readonly foot: XY;
  readonly way: XY;
  readonly runMm: number;
};

const headOf = ({ foot, way, runMm }: Lined): XY => [foot[0] + way[0] * runMm, foot[1] + way[1] * runMm];

/** Common rafters that come up to the same place of a ridge from both sides, and bear on plates. */
function pairsOf(rafters: ReadonlyMap<string, readonly FramingPiece[]>, form: RoofForm): Pair[] {
  return form.lines
    .filter(({ kind }) => kind === "ridge")
    .flatMap((ridge): Pair[] => {
      const all = ridge.faceIds.flatMap((faceId) =>
        (rafters.get(faceId) ?? []).filter(bearing).flatMap((rafter): Lined[] => {
          const line = lineOfRafter(rafter);
          return line ? [{ rafter, faceId, ...line }] : [];
        }),
      );
      const [first] = all;
      if (!first) return [];
      const facing = (one: Lined, other: Lined): boolean => one.way[0] * other.way[0] + one.way[1] * other.way[1] > 0;
      const [near, far] = [all.filter((each) => facing(each, first)), all.filter((each) => !facing(each, first))];
      return near.flatMap((one): Pair[] => {
        const head = headOf(one);
        const across = far.find((other) => {
          const [x, y] = headOf(other);
          return Math.hypot(x - head[0], y - head[1]) < 25;
        });
        if (!across) return [];
        const riseMm = one.runMm * (one.rafter.cut?.pitch ?? 0);
        return [{ id: one.rafter.id, faceIds: [one.faceId, across.faceId], from: one.foot, to: across.foot, riseMm }];
      });
    });
}

/** Slopes that bear on plates and whose rafters meet no others over a ridge: nothing ties their feet together. */
export function untiedFaces(rafters: ReadonlyMap<string, readonly FramingPiece[]>, form: RoofForm): RoofFace[] {
  const tied = new Set(pairsOf(rafters, form).flatMap(({ faceIds }) => faceIds));
  return form.faces.filter(
    ({ id, dormerId }) =>
      dormerId === undefined && !tied.has(id) && (rafters.get(id) ?? []).some(({ cut }) => (cut?.seatNm ?? 0) > 0),
  );
}

type Ties = {
  readonly ceilingJoist: Section | undefined;
  readonly collar: { readonly section: Section; readonly every: number } | undefined;
};

/** A third down from the ridge: collar ties lie in the upper third of the roof (IRC R802.3.1, from memory). */
const COLLAR_SHARE = 2 / 3;

/** Ceiling joists from plate to plate beside each pair of rafters, and collar ties at every so many pairs. */
export function layTies(
  rafters: ReadonlyMap<string, readonly FramingPiece[]>,
  form: RoofForm,
  { ceilingJoist, collar }: Ties,
): FramingPiece[] {
  const pairs = pairsOf(rafters, form);
  const joists = ceilingJoist
    ? pairs.map(({ id, from, to }) =>
        levelStick({ id: `joist-${id}`, role: "ceiling-joist", section: ceilingJoist }, from, to, { footMm: 0 }),
      )
    : [];
  if (!collar || collar.every === 0) return joists;
  const between = (a: XY, b: XY, share: number): XY => [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share];
  const ties = pairs
    .filter((_, index) => index % collar.every === 0)
    .map(({ id, from, to, riseMm }) => {
      const share = COLLAR_SHARE / 2;
      const ends = [between(from, to, share), between(from, to, 1 - share)] as const;
      return levelStick({ id: `collar-${id}`, role: "collar-tie", section: collar.section }, ends[0], ends[1], {
        footMm: riseMm * COLLAR_SHARE,
      });
    });
  return [...joists, ...ties];
}
