import type { FramingPiece } from "../../../../drawing/piece";
import { type NormalLine, whereLinesMeet } from "../../../../geometry";
import { areaOfRing, type XY } from "../../../../geometry/skeleton";
import type { Section } from "../../../../kinds";
import { NM_PER_MM } from "../../../../units";
import { flatStick } from "../sticks";

/** A truss from one foot to the other on plan: its top line along it and up from the plate, in millimetres. */
export type TrussShape = {
  readonly id: string;
  readonly role: string;
  readonly from: XY;
  readonly to: XY;
  /** From the first foot to the second, both at the height of its bottom chord. */
  readonly top: readonly XY[];
  readonly chord: Section;
};

/** A convex ring, against the clock, with every side moved in; nothing where nothing is left. */
function inset(ring: readonly XY[], byMm: number): XY[] | undefined {
  const lines = ring.map(([x, y], index): NormalLine => {
    const [nextX, nextY] = ring[(index + 1) % ring.length] ?? [x, y];
    const length = Math.hypot(nextX - x, nextY - y) || 1;
    const [nx, ny] = [-(nextY - y) / length, (nextX - x) / length];
    return { normal: [nx, ny], offset: nx * x + ny * y + byMm };
  });
  const corners = lines.map((line, index) =>
    whereLinesMeet(lines[(index + lines.length - 1) % lines.length] ?? line, line),
  );
  const found = corners.filter((corner) => corner !== undefined);
  const inner = found.length === ring.length ? found : undefined;
  // One that is too small turns inside out.
  const isIn = inner?.every(([x, y]) =>
    lines.every((line) => line.normal[0] * x + line.normal[1] * y >= line.offset - 1e-6),
  );
  return inner && isIn && areaOfRing(inner) > 0 ? inner : undefined;
}

/** Chords round an open middle: what a truss is seen as; its webs are the maker's. */
export function trussPiece({ id, role, from, to, top, chord }: TrussShape): FramingPiece {
  const ring = top.toReversed();
  const deepMm = chord.depthNm / NM_PER_MM;
  const [first] = ring;
  const inner = inset(ring, deepMm);
  const [innerFirst] = inner ?? [];
  const outline =
    first && inner && innerFirst ? [...ring, first, innerFirst, ...inner.slice(1).toReversed(), innerFirst] : ring;
  return flatStick({ id, role, section: chord }, from, to, outline);
}
