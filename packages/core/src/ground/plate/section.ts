import type { ElevationDrawing } from "../../drawing/drawing";
import { along, between, headingFrom, leftOf } from "../../geometry";
import type { PartContext } from "../../parts/partKind";
import { formatLength, millimetres, type Nanometres } from "../../units";
import { barSize } from "../bars";
import type { GroundChoices } from "../choices";
import { groundChoicesOf } from "../choices";
import { type SectionFigure, type SectionMark, sectionThrough } from "../section";
import { plateLevels, undersideNm } from "./levels";
import { platePrisms } from "./prisms";
import { hasBeams, type Plate } from "./schema";
import { type PlateShape, plateShape } from "./shape";

/** So much of the slab is shown beside its edge. */
const BESIDE_NM = millimetres(700);

type Say = (nm: Nanometres) => string;

/**
 * The edge of a plate cut through, by its figures and by what is chosen: along its first edge with a toe, else Edge A. Undefined
 * while its outline does not close.
 */
export function plateSection(plate: Plate, { system }: PartContext): ElevationDrawing | undefined {
  const shape = plateShape(plate);
  const toe = shape?.toes[0];
  const edge = shape?.edges.find((each) => each.edge.id === toe?.edgeId) ?? shape?.edges[0];
  if (!shape || !edge) return undefined;
  const choices = groundChoicesOf(plate, system);
  const heading = leftOf(headingFrom(edge.from, edge.to) ?? { x: 1, y: 0 });
  const at = along(between(edge.from, edge.to), heading, 0);
  const say: Say = (nm) => formatLength(nm, system);
  const beamNm = hasBeams(plate) ? Math.max(0, plate.beamWidth.valueNm ?? 0) : 0;
  const toeNm = toe ? Math.max(0, plate.toeWidth.valueNm ?? 0) : 0;
  const outsideNm = toeNm + Math.max(choices.workingSpace, millimetres(250));
  const window = { fromNm: -outsideNm, toNm: beamNm + BESIDE_NM };
  return sectionThrough(
    platePrisms(plate, choices),
    { at, heading },
    window,
    figuresOf(plate, choices, { beamNm, toeNm }, say),
    beamNm > 0 ? steelMarks(plate, shape, choices, beamNm) : [],
  );
}

type Widths = { readonly beamNm: Nanometres; readonly toeNm: Nanometres };

function figuresOf(plate: Plate, choices: GroundChoices, { beamNm, toeNm }: Widths, say: Say): SectionFigure[] {
  const levels = plateLevels(plate, choices);
  const bottomNm = undersideNm(levels, Math.max(0, plate.beamDepth.valueNm ?? 0));
  const toeDepth = Math.max(0, plate.toeDepth.valueNm ?? 0);
  const up = (id: string, fromNm: Nanometres, toNm: Nanometres, row: number): SectionFigure => {
    return { id, path: id, direction: "up", fromNm, toNm, row, text: say(toNm - fromNm) };
  };
  const across = (id: string, fromNm: Nanometres, toNm: Nanometres): SectionFigure => {
    return { id, path: id, direction: "along", fromNm, toNm, row: 1, text: say(toNm - fromNm) };
  };
  return [
    up("thickness", levels.slabNm, levels.topNm, 1),
    ...(beamNm > 0 ? [across("beamWidth", 0, beamNm), up("beamDepth", bottomNm, levels.topNm, 0)] : []),
    ...(toeNm > 0 ? [across("toeWidth", -toeNm, 0), up("toeDepth", bottomNm, bottomNm + toeDepth, 1)] : []),
    ...(levels.topNm > 0 ? [up("top", 0, levels.topNm, 0)] : []),
  ];
}

/** Main bars end on and the link round them, where they lie in the edge beam. */
function steelMarks(plate: Plate, shape: PlateShape, choices: GroundChoices, beamNm: Nanometres): SectionMark[] {
  const [beam] = shape.edgeBeams;
  if (!beam) return [];
  const { topNm } = plateLevels(plate, choices);
  const { cover, linkSpacing, mainTop, mainBottom } = choices;
  const [widthNm, heightNm] = [beamNm - 2 * cover, beam.depthNm - 2 * cover];
  if (widthNm <= 0 || heightNm <= 0) return [];
  const bottomNm = topNm - beam.depthNm + cover;
  const linkNm = linkSpacing > 0 ? barSize(choices.linkBar).diameterNm : 0;
  const side = (id: string, xNm: Nanometres, yNm: Nanometres, wide: Nanometres, high: Nanometres): SectionMark => {
    return { id: `section-link-${id}`, role: "link", xNm, yNm, widthNm: wide, heightNm: high };
  };
  const links =
    linkNm === 0
      ? []
      : [
          side("left", cover, bottomNm, linkNm, heightNm),
          side("right", cover + widthNm - linkNm, bottomNm, linkNm, heightNm),
          side("bottom", cover, bottomNm, widthNm, linkNm),
          side("top", cover, bottomNm + heightNm - linkNm, widthNm, linkNm),
        ];
  const barNm = barSize(choices.mainBar).diameterNm;
  const roomNm = widthNm - 2 * linkNm - barNm;
  const row = (id: string, count: number, yNm: Nanometres): SectionMark[] =>
    Array.from({ length: count }, (_, index) => ({
      id: `section-bar-${id}-${index}`,
      role: "main-bar",
      xNm: cover + linkNm + (count === 1 ? roomNm / 2 : (roomNm * index) / (count - 1)),
      yNm,
      widthNm: barNm,
      heightNm: barNm,
    }));
  return [
    ...links,
    ...row("bottom", mainBottom, bottomNm + linkNm),
    ...row("top", mainTop, bottomNm + heightNm - linkNm - barNm),
  ];
}
