import type { FramingPiece } from "../../../../drawing/piece";
import type { XY } from "../../../../geometry/skeleton";
import { NM_PER_MM } from "../../../../units";
import type { RoofFace, RoofForm } from "../../form";
import { hitsAt, pairs, placesOn } from "../rafters";
import { jacksOf } from "./hips";
import type { Trusses } from "./options";
import { endOf, type Ridge, ridgesOf, sidesAt } from "./ridges";
import { trussAt } from "./trussAt";
import { trussPiece } from "./trussPiece";

export type LaidTrusses = {
  readonly pieces: readonly FramingPiece[];
  /** Slopes that trusses carry; the others are framed with rafters. */
  readonly carried: ReadonlySet<string>;
  /** Places where main trusses come over a wing's mouth: a wall or a girder is needed there. */
  readonly mouths: number;
};

/** Trusses over one ridge, and over the hips it ends in. */
function overRidge(
  ridge: Ridge,
  form: RoofForm,
  of: Trusses,
): { pieces: FramingPiece[]; carried: string[]; mouths: number } {
  const { from, to } = ridge;
  const lengthMm = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const way: XY = [(to[0] - from[0]) / lengthMm, (to[1] - from[1]) / lengthMm];
  const back: XY = [-way[0], -way[1]];
  const beside = [sidesAt(ridge, 0), sidesAt(ridge, lengthMm)] as const;
  const ends = [endOf(beside[0], from, back, form), endOf(beside[1], to, way, form)] as const;
  const half = of.chord.thicknessNm / NM_PER_MM / 2;
  const at = (s: number): XY => [from[0] + way[0] * s, from[1] + way[1] * s];
  const reach = ends.map((end) => (end.how === "hip" ? Math.max(0, end.reachMm - of.setbackMm) : 0));
  const [start, stop] = [-(reach[0] ?? 0), lengthMm + (reach[1] ?? 0)];
  const first = ends[0].how === "gable" ? start + half : start;
  const last = ends[1].how === "gable" ? stop - half : stop;
  const { spacingMm } = of.layout;
  // A wing is laid out from its gable.
  const onlyLast = ends[0].how !== "gable" && ends[1].how === "gable";
  const fromEnd = of.layout.fromEnd !== onlyLast;
  const steps = Math.max(0, Math.floor((last - first) / spacingMm - 1e-9));
  const stepped = Array.from({ length: steps + 1 }, (_, step) =>
    fromEnd ? last - step * spacingMm : first + step * spacingMm,
  );
  const places = [...new Set([...stepped, fromEnd ? first : last])].toSorted((a, b) => a - b);
  let mouths = 0;
  const trusses = places.flatMap((s, index): FramingPiece[] => {
    const found = trussAt(sidesAt(ridge, s), form.faces, at(s), from[2]);
    if (!found) return [];
    if (found.mouth) mouths += 1;
    const end = index === 0 ? ends[0] : index === places.length - 1 ? ends[1] : undefined;
    const role = end?.how === "gable" ? "truss-gable" : end?.how === "hip" ? "truss-girder" : found.role;
    const plies = role === "truss-girder" ? of.girderPlies : 1;
    return Array.from({ length: plies }, (_, ply) =>
      trussPiece({
        id: `truss-${ridge.id}-${index + 1}${ply === 0 ? "" : `.${ply + 1}`}`,
        role,
        chord: of.chord,
        ...found.shape,
      }),
    );
  });
  const jacks = ends.flatMap((end, index) =>
    end.how === "hip"
      ? jacksOf(
          { sides: beside[index] ?? beside[0], form, of },
          end,
          at(index === 0 ? start : stop),
          index === 0 ? back : way,
        )
      : [],
  );
  const hips = ends.flatMap((end) => (end.how === "hip" ? [end.face.id] : []));
  return {
    pieces: [...trusses, ...jacks],
    carried: [...ridge.stretches.flatMap(({ sides }) => sides.map(({ id }) => id)), ...hips],
    mouths,
  };
}

/** Slopes up to a wall at their top, and to no ridge. */
function overLeanTo(face: RoofFace, form: RoofForm, { layout, chord }: Trusses): FramingPiece[] {
  const half = chord.thicknessNm / NM_PER_MM / 2;
  const { line } = face.form;
  return placesOn(form, face, layout, half).flatMap((along, index) => {
    const [foot, head] = pairs(hitsAt(face, face.wallSides, along)).at(-1) ?? [];
    if (!foot || !head || foot.kind !== "eave") return [];
    const at = (d: number): XY => [
      line.along[0] * along + line.normal[0] * (line.offsetMm + d),
      line.along[1] * along + line.normal[1] * (line.offsetMm + d),
    ];
    const runMm = head.at - foot.at;
    const top: XY[] = [
      [0, 0],
      [runMm, runMm / line.runPerRise],
      [runMm, 0],
    ];
    return [
      trussPiece({
        id: `truss-${face.id}-${index + 1}`,
        role: "truss-mono",
        from: at(foot.at),
        to: at(head.at),
        top,
        chord,
      }),
    ];
  });
}

/** Trusses of a roof, by ridge; slopes that no rule here carries are left to rafters. */
export function layTrusses(form: RoofForm, of: Trusses): LaidTrusses {
  const over = ridgesOf(form).map((ridge) => overRidge(ridge, form, of));
  const carried = new Set(over.flatMap((each) => each.carried));
  // Below a change of pitch a slope belongs to the trusses of the one above it.
  for (const face of form.faces)
    if (
      form.faces.some(
        ({ id, edgeId, form: { step } }) => edgeId === face.edgeId && step > face.form.step && carried.has(id),
      )
    )
      carried.add(face.id);
  const leanTos = form.faces.filter(
    ({ id, dormerId, wallSides }) =>
      !carried.has(id) && dormerId === undefined && wallSides.some(({ kind }) => kind === "wall-top"),
  );
  const mono = leanTos.flatMap((face) => overLeanTo(face, form, of));
  for (const { id } of leanTos) carried.add(id);
  // Two ridges may end in one hip: its jacks are there once.
  const once = new Map(
    [...over.flatMap(({ pieces }) => pieces), ...mono].toReversed().map((piece) => [piece.id, piece]),
  );
  return {
    pieces: [...once.values()].toReversed(),
    carried,
    mouths: over.reduce((sum, each) => sum + each.mouths, 0),
  };
}
