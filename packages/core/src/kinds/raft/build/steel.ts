import type { BarPiece } from "../../../drawing/piece";
import { along, leftOf, type Point } from "../../../geometry";
import { atSpacing, barSize, lappedLengths, linkLengthNm, usualStockNm } from "../../../ground";
import type { GroundChoices } from "../../../ground/choices";
import { type PlateLevels, plateLevels, undersideNm } from "../../../ground/plate/levels";
import type { Plate } from "../../../ground/plate/schema";
import { type BeamOnPlan, plateShape, runHeading, runLengthNm } from "../../../ground/plate/shape";
import type { Nanometres } from "../../../units";
import { levelBar, linkPiece, linkShape as linkSeen } from "./barPiece";

/** The longest that each size of bar is sold in, by its id. */
export type LongestBar = (barId: string) => Nanometres;

export const longestBar =
  (longestSold: ReadonlyMap<string, Nanometres> | undefined): LongestBar =>
  (barId) =>
    longestSold?.get(`rebar/${barId}`) ?? usualStockNm(barId);

type Tied = { readonly choices: GroundChoices; readonly longest: LongestBar; readonly levels: PlateLevels };

/** Bars one behind the other along a run, lapped where it is longer than what is sold. */
export function barsAlong(
  bar: Pick<BarPiece, "id" | "role" | "itemId" | "of">,
  from: Point,
  heading: { readonly x: number; readonly y: number },
  lengthNm: Nanometres,
  heightNm: Nanometres,
  { choices, longest }: Pick<Tied, "choices" | "longest">,
): BarPiece[] {
  const lapNm = Math.round(choices.lapDiameters * barSize(bar.itemId).diameterNm);
  const lengths = lappedLengths(lengthNm, longest(bar.itemId), lapNm);
  let startNm = 0;
  return lengths.map((each, index) => {
    const id = lengths.length === 1 ? bar.id : `${bar.id}-${index + 1}`;
    const placed = levelBar(
      { ...bar, id, shape: "00", cutLengthNm: each, legsNm: [each] },
      along(from, heading, startNm),
      heading,
      each,
      heightNm,
    );
    startNm += each - lapNm;
    return placed;
  });
}

/** Main bars and links of one beam. None where its cover leaves no room for them. */
function beamSteel(beam: BeamOnPlan, { choices, longest, levels }: Tied): BarPiece[] {
  const { cover, mainBar, linkBar, linkSpacing, linkHook, linkShape } = choices;
  const [wideNm, highNm] = [beam.widthNm - 2 * cover, beam.depthNm - 2 * cover];
  const link = barSize(linkBar).diameterNm;
  if (Math.min(wideNm, highNm) <= 2 * link) return [];
  const heading = runHeading(beam.run);
  const runNm = runLengthNm(beam.run);
  // Of an edge beam the run is the outside: its middle lies half its width in.
  const start = along(beam.run.from, leftOf(heading), beam.intoNm > 0 ? 0 : beam.widthNm / 2);
  const middle = (nm: Nanometres): Point => along(start, heading, nm);
  const footNm = undersideNm(levels, beam.depthNm) + cover;
  const main = (row: "top" | "bottom", count: number): BarPiece[] => {
    const held = linkSpacing > 0 ? link : 0;
    const half = barSize(mainBar).diameterNm / 2;
    const heightNm = row === "bottom" ? footNm + held + half : footNm + highNm - held - half;
    const roomNm = wideNm - 2 * held - 2 * half;
    const intoNm = beam.intoNm > 0 ? beam.intoNm - cover : -cover;
    return Array.from({ length: count }, (_, index) => {
      const offNm = count === 1 ? 0 : (roomNm * index) / (count - 1) - roomNm / 2;
      const from = along(middle(-intoNm), leftOf(heading), offNm);
      const bar = { id: `${beam.id}-${row}-${index + 1}`, role: "main-bar", itemId: mainBar, of: beam.name };
      return barsAlong(bar, from, heading, runNm + 2 * intoNm, heightNm, { choices, longest });
    }).flat();
  };
  const links = (): BarPiece[] => {
    if (linkSpacing === 0) return [];
    const alongNm = runNm - 2 * cover;
    const count = atSpacing(alongNm, linkSpacing);
    const cutLengthNm = linkLengthNm([wideNm, highNm], linkHook, link, linkShape);
    const bent = linkShape === "hooks" ? ("link" as const) : ("51" as const);
    const legsNm = [wideNm, highNm, linkHook];
    const seen = linkSeen(linkBar, [wideNm, highNm]);
    return Array.from({ length: count }, (_, index) => {
      const place = middle(cover + (count === 1 ? alongNm / 2 : (alongNm * index) / (count - 1)));
      const bar = { id: `${beam.id}-link-${index + 1}`, role: "link", itemId: linkBar, of: beam.name };
      return linkPiece({ ...bar, shape: bent, cutLengthNm, legsNm }, seen, place, heading, footNm);
    });
  };
  return [...main("top", choices.mainTop), ...main("bottom", choices.mainBottom), ...links()];
}

/** Bars along each toe and across it, into the beam. */
function toeSteel(plate: Plate, tied: Tied): BarPiece[] {
  const { choices, levels } = tied;
  const shape = plateShape(plate);
  if (!shape) return [];
  const { cover, toeBar, toeBars, toeCrossSpacing } = choices;
  const toeNm = plate.toeWidth.valueNm ?? 0;
  const bottomNm = undersideNm(levels, plate.beamDepth.valueNm ?? 0);
  const diameter = barSize(toeBar).diameterNm;
  return shape.toes.flatMap(({ edgeId, from, to }): BarPiece[] => {
    const heading = runHeading({ from, to });
    const inward = leftOf(heading);
    const lengthNm = runLengthNm({ from, to }) - 2 * cover;
    const roomNm = toeNm - cover;
    if (lengthNm <= 0 || roomNm <= 0) return [];
    const of = `Toe ${shape.edgeBeams.find(({ id }) => id === edgeId)?.name.replace("Beam ", "") ?? ""}`.trim();
    const start = along(from, heading, cover);
    const longs = Array.from({ length: toeBars }, (_, index) => {
      const inNm = cover + (toeBars === 1 ? roomNm / 2 : (roomNm * index) / toeBars);
      const bar = { id: `toe-${edgeId}-bar-${index + 1}`, role: "toe-bar", itemId: toeBar, of };
      return barsAlong(bar, along(start, inward, inNm), heading, lengthNm, bottomNm + cover + diameter * 1.5, tied);
    }).flat();
    const count = toeCrossSpacing === 0 ? 0 : atSpacing(lengthNm, toeCrossSpacing);
    const crossNm = toeNm + (plate.beamWidth.valueNm ?? 0) - 2 * cover;
    const crosses = Array.from({ length: count }, (_, index) => {
      const place = along(start, heading, count === 1 ? lengthNm / 2 : (lengthNm * index) / (count - 1));
      const bar = { id: `toe-${edgeId}-cross-${index + 1}`, role: "toe-cross-bar", itemId: toeBar, of };
      const straight = { ...bar, shape: "00" as const, cutLengthNm: crossNm, legsNm: [crossNm] };
      return levelBar(straight, along(place, inward, cover), inward, crossNm, bottomNm + cover + diameter / 2);
    });
    return [...longs, ...crosses];
  });
}

/** Every bar of a plate, each where it lies. */
export function plateSteel(plate: Plate, choices: GroundChoices, longest: LongestBar): BarPiece[] {
  const shape = plateShape(plate);
  if (!shape) return [];
  const tied = { choices, longest, levels: plateLevels(plate, choices) };
  return [
    ...[...shape.edgeBeams, ...shape.ribs].flatMap((beam) => beamSteel(beam, tied)),
    ...(plate.edgeForm === "toe" ? toeSteel(plate, tied) : []),
  ];
}
