import type { FramingPiece } from "../../../../drawing/piece";
import type { XY } from "../../../../geometry/skeleton";
import { NM_PER_MM } from "../../../../units";
import type { RoofFace, RoofForm } from "../../form";
import { hitsAt, inFace, pairs, placesOn } from "../rafters";
import type { Trusses } from "./options";
import type { End, Sides } from "./ridges";
import { LEVEL_MM } from "./trussAt";
import { trussPiece } from "./trussPiece";

type Placing = { readonly sides: Sides; readonly form: RoofForm; readonly of: Trusses };

/** Jacks of a hip: from its wall and from both sides to the girder, and one along each hip. */
export function jacksOf(
  { sides, form, of }: Placing,
  end: Extract<End, { how: "hip" }>,
  girder: XY,
  out: XY,
): FramingPiece[] {
  const { face, reachMm } = end;
  const toGirder = Math.min(of.setbackMm, reachMm);
  const half = of.chord.thicknessNm / NM_PER_MM / 2;
  const jack = (id: string, of_: RoofFace, along: number, foot: number, runMm: number): FramingPiece[] => {
    if (runMm < 4 * half) return [];
    const { line } = of_.form;
    const at = (d: number): XY => [
      line.along[0] * along + line.normal[0] * (line.offsetMm + d),
      line.along[1] * along + line.normal[1] * (line.offsetMm + d),
    ];
    const rise = runMm / line.runPerRise;
    return [
      trussPiece({
        id,
        role: "truss-jack",
        from: at(foot),
        to: at(foot + runMm),
        top: [
          [0, 0],
          [runMm, rise],
          [runMm, 0],
        ],
        chord: of.chord,
      }),
    ];
  };
  const own = placesOn(form, face, of.layout, half).flatMap((along, index) =>
    pairs(hitsAt(face, face.wallSides, along)).flatMap(([foot, head]) =>
      foot.kind === "eave"
        ? jack(`jack-${face.id}-${index + 1}`, face, along, foot.at, Math.min(head.at - foot.at, toGirder))
        : [],
    ),
  );
  const beside = sides.flatMap((side) => {
    const girderAlong = inFace(side, girder)[0];
    const way = side.form.line.along[0] * out[0] + side.form.line.along[1] * out[1] > 0 ? 1 : -1;
    const count = Math.floor(toGirder / of.layout.spacingMm);
    return Array.from({ length: count }, (_, index) => index + 1).flatMap((step) => {
      const along = girderAlong + way * step * of.layout.spacingMm;
      const [foot, head] = pairs(hitsAt(side, side.wallSides, along)).at(-1) ?? [];
      if (!foot || !head || foot.kind !== "eave" || head.kind !== "hip") return [];
      return jack(`jack-${side.id}-${face.id}-${step}`, side, along, foot.at, head.at - foot.at);
    });
  });
  return [...own, ...beside, ...cornersOf(face, toGirder, of)];
}

/** Along each hip from the corner of the walls to the girder. */
function cornersOf(face: RoofFace, toGirder: number, { chord }: Trusses): FramingPiece[] {
  return face.wallSides
    .filter(({ kind }) => kind === "hip")
    .flatMap(({ from, to }, index) => {
      const [low, high] = from[2] < to[2] ? [from, to] : [to, from];
      const share = Math.min(1, toGirder / face.form.line.runPerRise / Math.max(1e-6, high[2]));
      const end: XY = [low[0] + (high[0] - low[0]) * share, low[1] + (high[1] - low[1]) * share];
      const runMm = Math.hypot(end[0] - low[0], end[1] - low[1]);
      if (low[2] > LEVEL_MM || runMm < 1) return [];
      const top: XY[] = [
        [0, 0],
        [runMm, high[2] * share],
        [runMm, 0],
      ];
      return [
        trussPiece({
          id: `corner-${face.id}-${index + 1}`,
          role: "truss-corner",
          from: [low[0], low[1]],
          to: end,
          top,
          chord,
        }),
      ];
    });
}
