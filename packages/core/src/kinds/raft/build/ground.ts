import { slotValues } from "../../../assemblies";
import type { Drawing, PlanShape } from "../../../drawing/drawing";
import { isBar, isLayer, isSheet, type LayerPiece, type Piece } from "../../../drawing/piece";
import type { Polygon } from "../../../geometry";
import { MESH_SHEETS } from "../../../ground";
import { GROUND_PARAMETERS, type GroundChoices } from "../../../ground/choices";
import { layerPiece, type Prism } from "../../../ground/prism";
import type { Layout, Site } from "../../../layouts";
import type { PartContext } from "../../../parts/partKind";
import { type Problem, problem } from "../../../problems/problem";
import { ownValue } from "../../../records/ownValue";
import { formatLength, type Nanometres, toMetres } from "../../../units";
import { groundAnswers } from "./answers";
import { type LongestBar, longestBar } from "./steel";
import { groundWorking } from "./working";

/** More bars than any foundation of a house has: a slip of the unit ties millions. */
export const MOST_BARS = 20_000;

/** A face that is boarded: how long it is, between which heights, and how large. */
export type Face = {
  readonly id: string;
  readonly ring: Polygon;
  readonly lengthNm: Nanometres;
  readonly fromNm: Nanometres;
  readonly toNm: Nanometres;
};

/** Boarded faces as pieces: as long as they run, as large as their face. */
const facePiece = ({ id, ring, lengthNm, fromNm, toNm }: Face): LayerPiece => ({
  ...layerPiece({ id, role: "formwork", ring, fromNm, toNm }),
  areaM2: toMetres(lengthNm) * toMetres(toNm - fromNm),
});

/** What of a part lies in the ground, before it is said how formulas read it. */
export type InGround = {
  readonly name: string;
  readonly choices: GroundChoices;
  readonly prisms: readonly Prism[];
  readonly faces: readonly Face[];
  /** About how many bars, links and sheets there will be; they are placed where that is not too many. */
  readonly expectedBars: number;
  readonly steel: (longest: LongestBar) => readonly Piece[];
  /** What the membrane and the mesh go over. */
  readonly polygon: Polygon;
  readonly repeats: number;
  readonly words: Readonly<Record<string, string>>;
  readonly told: readonly Problem[];
  readonly draw: () => Drawing;
};

/** A part in the ground as its formulas stand on it: every layer, every bar, every sheet with its place. */
export function laidInGround(ground: InGround, { context, library }: Site): Layout {
  const { choices, prisms, faces } = ground;
  const longest = longestBar(library.longestSold);
  const many = ground.expectedBars > MOST_BARS;
  const steel = many ? [] : ground.steel(longest);
  const pieces: Piece[] = [...prisms.map(layerPiece), ...faces.map(facePiece), ...steel];
  const byRole = (role: string) => pieces.filter((piece) => piece.role === role);
  return {
    pieces,
    draw: () => withPieces(ground.draw(), pieces),
    laid: {
      lengthsNm: (role) =>
        role === "formwork"
          ? faces.map(({ lengthNm }) => lengthNm)
          : byRole(role).map((piece) => (isBar(piece) ? piece.cutLengthNm : 0)),
      ask: groundAnswers({ pieces, polygon: ground.polygon, mesh: MESH_SHEETS[choices.meshSheet] }),
      sheetSize: (sizeId) => ownValue(library.sheets, sizeId),
    },
    choices: slotValues(GROUND_PARAMETERS, choices),
    reckoned: false,
    byArea: choices.meshBy === "by-area",
    roundsAlone: choices.rounding === "alone",
    repeats: ground.repeats,
    words: ground.words,
    workingOf: (role) => groundWorking(byRole(role), context),
    problems: [...(many ? [tooMany(ground.name)] : []), ...ground.told, ...longTold(steel, choices, longest, context)],
  };
}

const tooMany = (name: string): Problem =>
  problem(
    "too-many-pieces",
    "",
    `${name} would take more than ${MOST_BARS.toLocaleString("en")} bars, links and sheets: its steel is not counted. Check the unit of its figures.`,
  );

/** Bars longer than any that is sold, where they do not lap. */
function longTold(
  steel: readonly Piece[],
  { lapDiameters }: GroundChoices,
  longest: LongestBar,
  { system }: PartContext,
): Problem[] {
  const long = steel.filter(isBar).filter((bar) => bar.role !== "chair-row" && bar.cutLengthNm > longest(bar.itemId));
  const [first] = long;
  if (!first) return [];
  const most = Math.max(...long.map(({ cutLengthNm }) => cutLengthNm));
  const sold = formatLength(longest(first.itemId), system);
  const message = `Bars of ${formatLength(most, system)} are longer than any sold (${sold}), and a lap of ${lapDiameters} diameters does not join them: they cannot be cut.`;
  return [problem("bar-too-long", "choices.lapDiameters", message)];
}

/** A plan with every bar and sheet on it, and layers that show when they are lit. */
function withPieces(drawing: Drawing, pieces: readonly Piece[]): Drawing {
  if (drawing.kind !== "plan") return drawing;
  const drawn = new Set(drawing.shapes.map(({ id }) => id));
  const shapes = pieces.flatMap((piece): PlanShape[] => {
    if (drawn.has(piece.id)) return [];
    if (isBar(piece)) return [{ id: piece.id, role: "bar", points: piece.points, closed: false }];
    if (isLayer(piece)) return [{ id: piece.id, role: "layer", points: piece.points, closed: true }];
    const { xNm, yNm, widthNm, heightNm } = piece;
    const corner = (x: number, y: number) => ({ xNm: xNm + x * widthNm, yNm: yNm + y * heightNm });
    const points = [corner(0, 0), corner(1, 0), corner(1, 1), corner(0, 1)];
    return [{ id: piece.id, role: isSheet(piece) ? "mesh" : "bar", points, closed: true }];
  });
  return { ...drawing, shapes: [...drawing.shapes, ...shapes] };
}
