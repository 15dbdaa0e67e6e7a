import { overlapArea } from "../../../geometry";
import type { XY, XYZ } from "../../../geometry/skeleton";
import { NM_PER_MM } from "../../../units";
import type { Hole, PlacedFeature, RoofFace, RoofForm, StandingFace } from "../formTypes";
import type { PlainSide, RoofSide, SideKind } from "../overhang";
import { type DormerOverhang, dormerOf } from "./dormers";
import { on, placeFeature } from "./place";
import { isDormer, type RoofFeature } from "./schema";

const pointOf = ([x, y]: XY | XYZ) => ({ xNm: Math.round(x * NM_PER_MM), yNm: Math.round(y * NM_PER_MM) });

/** A closed ring of places on a face, each with what the side from it to the next is. */
export function ringOn(face: RoofFace, corners: readonly (readonly [XY, SideKind])[]): PlainSide[] {
  return corners.map(([place, kind], index) => {
    const [next] = corners[(index + 1) % corners.length] ?? [place];
    return { from: on(face, place), to: on(face, next), kind, against: -1 };
  });
}

/** Far below any eave: a notch takes the overhang with it. */
const BELOW_MM = 4000;

/** What is cut out of the slope, its corners against the clock seen from above. */
function holeRing(placed: PlacedFeature): PlainSide[] {
  const { feature, face, fromU, toU, fromD, toD, at, wallMm } = placed;
  const lowD = feature.kind === "notch" ? -BELOW_MM : fromD;
  const corner = (u: number, d: number, kind: SideKind): readonly [XY, SideKind] => [at(u, d), kind];
  if (feature.kind !== "gable-dormer")
    return ringOn(face, [
      corner(fromU, lowD, feature.kind === "notch" ? "trim" : "header"),
      corner(toU, lowD, "trim"),
      corner(toU, toD, "header"),
      corner(fromU, toD, "trim"),
    ]);
  const cheekD = fromD + wallMm / face.pitch;
  return ringOn(face, [
    corner(fromU, fromD, "header"),
    corner(toU, fromD, "trim"),
    corner(toU, cheekD, "valley"),
    corner((fromU + toU) / 2, toD, "valley"),
    corner(fromU, cheekD, "trim"),
  ]);
}

function holeOf(placed: PlacedFeature): Hole {
  const ring = holeRing(placed);
  const outline = placed.face.sides.map(({ from }) => pointOf(from));
  const planAreaM2 = overlapArea(
    outline,
    ring.map(({ from }) => pointOf(from)),
  );
  const { feature, fromU, toU } = placed;
  return { featureId: feature.id, kind: feature.kind, ring, planAreaM2, widthMm: toU - fromU };
}

/** The stretch that an eave comes further down over, below the wall line and its overhang. */
function carriedRing({ face, fromU, toU, fromD, at }: PlacedFeature, overhangMm: number): PlainSide[] {
  const low = fromD - overhangMm;
  return ringOn(face, [
    [at(fromU, low), "eave"],
    [at(toU, low), "rake"],
    [at(toU, -overhangMm), "seam"],
    [at(fromU, -overhangMm), "rake"],
  ]);
}

/** An eave has none where a notch is: no fascia and no gutter are counted across it. */
function withoutNotches(face: RoofFace, notches: readonly PlacedFeature[]): RoofSide[] {
  const { along } = face.form.line;
  const alongOf = ([x, y]: XY | XYZ): number => along[0] * x + along[1] * y;
  return notches
    .reduce((sides: readonly RoofSide[], { fromU, toU, at }) => {
      const [left, right] = [alongOf(at(fromU, 0)), alongOf(at(toU, 0))];
      return sides.flatMap((side): RoofSide[] => {
        if (side.kind !== "eave") return [side];
        const [from, to] = [alongOf(side.from), alongOf(side.to)];
        const share = (place: number) => Math.min(1, Math.max(0, (place - from) / (to - from)));
        const [a, b] = [share(left), share(right)];
        if (to - from < 1e-6 || b - a < 1e-9) return [side];
        const place = (of: number): XYZ => [
          side.from[0] + of * (side.to[0] - side.from[0]),
          side.from[1] + of * (side.to[1] - side.from[1]),
          side.from[2] + of * (side.to[2] - side.from[2]),
        ];
        const pieces: RoofSide[] = [
          { ...side, to: place(a) },
          { ...side, from: place(a), to: place(b), kind: "seam" },
          { ...side, from: place(b) },
        ];
        return pieces.filter((each) => Math.hypot(each.to[0] - each.from[0], each.to[1] - each.from[1]) > 1e-6);
      });
    }, face.sides)
    .slice();
}

const MM2_PER_M2 = 1e6;

/** A face with its holes and what it is carried down by; areas are of what is left. */
function changed(face: RoofFace, own: readonly PlacedFeature[], overhangMm: number): RoofFace {
  const holes = own.filter(({ feature }) => feature.kind !== "carried-eave").map(holeOf);
  const carried = own
    .filter(({ feature }) => feature.kind === "carried-eave")
    .map((placed) => ({
      ring: carriedRing(placed, overhangMm),
      planAreaM2: ((placed.toU - placed.fromU) * -placed.fromD) / MM2_PER_M2,
    }));
  const planAreaM2 =
    face.planAreaM2 -
    holes.reduce((sum, hole) => sum + hole.planAreaM2, 0) +
    carried.reduce((sum, each) => sum + each.planAreaM2, 0);
  const sides = withoutNotches(
    face,
    own.filter(({ feature }) => feature.kind === "notch"),
  );
  return { ...face, sides, holes, carried, planAreaM2, areaM2: planAreaM2 * Math.hypot(1, face.pitch) };
}

export type WithFeatures = {
  readonly faces: readonly RoofFace[];
  readonly standing: readonly StandingFace[];
  readonly placed: readonly PlacedFeature[];
};

/** The form with every feature that can be placed cut in; those that cannot are told among the roof's problems. */
export function withFeatures(
  form: RoofForm,
  features: readonly RoofFeature[],
  edgeFrom: ReadonlyMap<string, XY>,
  overhang: DormerOverhang & { readonly ofEdge: (edgeId: string) => number },
): WithFeatures {
  const placed = features.flatMap((feature) => {
    const found = placeFeature(feature, form, edgeFrom);
    return found.ok ? [found.placed] : [];
  });
  const dormers = placed
    .filter(({ feature }) => isDormer(feature))
    .map((each, index) => dormerOf(each, 10_000 + 10 * index, overhang));
  const faces = form.faces.map((face) => {
    const own = placed.filter((each) => each.face === face);
    return own.length === 0 ? face : changed(face, own, overhang.ofEdge(face.edgeId));
  });
  return {
    faces: [...faces, ...dormers.flatMap((dormer) => dormer.faces)],
    standing: [...form.standing, ...dormers.flatMap((dormer) => dormer.standing)],
    placed,
  };
}
