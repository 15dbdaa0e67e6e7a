import type { XY, XYZ } from "../../../../geometry/skeleton";
import type { RoofFace, RoofForm } from "../../form";
import type { PlainSide } from "../../overhang";

export type Sides = readonly [RoofFace, RoofFace];
type Stretch = { readonly id: string; readonly from: XYZ; readonly to: XYZ; readonly sides: Sides };

/** A ridge on the line of the walls; where a slope goes over from one edge of the outline to the next in line, its sides change along it. */
export type Ridge = {
  readonly id: string;
  readonly from: XYZ;
  readonly to: XYZ;
  readonly stretches: readonly Stretch[];
};

const near = (a: XYZ, b: XYZ): boolean => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]) < 1;

function stretchesOf({ faces }: RoofForm): Stretch[] {
  const own = faces.filter(({ dormerId }) => dormerId === undefined);
  return own.flatMap((face) =>
    face.wallSides.flatMap(({ kind, against, from, to }, index): Stretch[] => {
      const beyond = own.find(({ form }) => form.index === against);
      if (kind !== "ridge" || !beyond || beyond.form.index < face.form.index) return [];
      return [{ id: `${face.id}-${index + 1}`, from, to, sides: [face, beyond] }];
    }),
  );
}

const turned = ({ sides: [a, b], from, to, id }: Stretch): Stretch => ({ id, from: to, to: from, sides: [b, a] });

function inLine(a: Pick<Ridge, "from" | "to">, b: Stretch): boolean {
  const across = (a.to[0] - a.from[0]) * (b.to[1] - b.from[1]) - (a.to[1] - a.from[1]) * (b.to[0] - b.from[0]);
  return Math.abs(across) < planLength(a) * planLength(b) * 1e-6;
}
const planLength = ({ from, to }: Pick<Ridge, "from" | "to">): number => Math.hypot(to[0] - from[0], to[1] - from[1]);

/** Stretches in one line, put together end to end. */
export function ridgesOf(form: RoofForm): Ridge[] {
  const ridges: Ridge[] = [];
  for (const stretch of stretchesOf(form)) {
    const at = ridges.findIndex(
      (ridge) =>
        inLine(ridge, stretch) &&
        [ridge.from, ridge.to].some((end) => near(end, stretch.from) || near(end, stretch.to)),
    );
    const ridge = ridges[at];
    if (!ridge) {
      ridges.push({ id: stretch.id, from: stretch.from, to: stretch.to, stretches: [stretch] });
      continue;
    }
    const before = near(stretch.from, ridge.from) || near(stretch.to, ridge.from);
    const same = before ? near(stretch.to, ridge.from) : near(stretch.from, ridge.to);
    const next = same ? stretch : turned(stretch);
    ridges[at] = before
      ? { ...ridge, from: next.from, stretches: [next, ...ridge.stretches] }
      : { ...ridge, to: next.to, stretches: [...ridge.stretches, next] };
  }
  return ridges;
}

/** The slopes beside a ridge so far along it; past its ends those of its first and last stretch. */
export function sidesAt({ from, stretches }: Ridge, s: number): Sides {
  const found = stretches.find(({ to }) => Math.hypot(to[0] - from[0], to[1] - from[1]) >= s) ?? stretches.at(-1);
  if (!found) throw new Error(`sidesAt: a ridge without stretches, at ${s}`);
  return found.sides;
}

/** How a ridge ends: over a gable, or with a hip whose wall lies so far on. */
export type End =
  | { readonly how: "gable" }
  | { readonly how: "hip"; readonly face: RoofFace; readonly reachMm: number }
  | { readonly how: "other" };

const UPRIGHT: ReadonlySet<PlainSide["kind"]> = new Set(["rake", "open", "wall-side"]);
export function endOf(sides: Sides, at: XYZ, out: XY, form: RoofForm): End {
  const upright = sides.some(({ wallSides }) =>
    wallSides.some((side) => UPRIGHT.has(side.kind) && (near(side.from, at) || near(side.to, at))),
  );
  if (upright) return { how: "gable" };
  const hipped = form.faces.find(
    (face) =>
      face.dormerId === undefined &&
      !sides.includes(face) &&
      face.form.line.normal[0] * -out[0] + face.form.line.normal[1] * -out[1] > 0.999 &&
      face.wallSides.some(({ from }) => near(from, at)) &&
      face.wallSides.some(({ kind }) => kind === "eave"),
  );
  if (!hipped) return { how: "other" };
  return { how: "hip", face: hipped, reachMm: at[2] * hipped.form.line.runPerRise };
}
