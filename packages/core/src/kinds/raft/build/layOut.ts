import type { Assembly } from "../../../assemblies";
import type { Piece } from "../../../drawing/piece";
import { polygonArea } from "../../../geometry";
import { MESH_SHEETS } from "../../../ground";
import { type GroundChoices, groundChoicesOf } from "../../../ground/choices";
import { drawPlate } from "../../../ground/plate/draw";
import { plateLevels } from "../../../ground/plate/levels";
import { formworkFaces, platePrisms } from "../../../ground/plate/prisms";
import type { Plate } from "../../../ground/plate/schema";
import { plateShape, runLengthNm } from "../../../ground/plate/shape";
import { plateTold } from "../../../ground/plate/warnings";
import type { Layout, Site } from "../../../layouts";
import type { PartContext } from "../../../parts/partKind";
import { formatLength, plural, toMetres } from "../../../units";
import { laidInGround } from "./ground";
import { chairRows, chairsUnder, meshOver } from "./mesh";
import { type LongestBar, plateSteel } from "./steel";

/** About how many bars, links, sheets and chairs there will be, before any is placed. */
function expectedBars(plate: Plate, choices: GroundChoices): number {
  const shape = plateShape(plate);
  if (!shape) return 0;
  const runM = [...shape.edgeBeams, ...shape.ribs].reduce((sum, { run }) => sum + toMetres(runLengthNm(run)), 0);
  const perMetre = choices.linkSpacing > 0 ? 1 / toMetres(choices.linkSpacing) : 0;
  const area = polygonArea(shape.polygon);
  const mesh = MESH_SHEETS[choices.meshSheet];
  const step = (nm: number) => Math.max(0.001, toMetres(nm - choices.meshLap));
  const sheets = (choices.meshLayers * area) / (step(mesh.lengthNm) * step(mesh.widthNm));
  return runM * (perMetre + choices.mainTop + choices.mainBottom) + area / toMetres(choices.chairSpacing) ** 2 + sheets;
}

function steelOf(plate: Plate, choices: GroundChoices, longest: LongestBar): Piece[] {
  const shape = plateShape(plate);
  if (!shape) return [];
  const { topNm } = plateLevels(plate, choices);
  return [
    ...plateSteel(plate, choices, longest),
    ...meshOver(shape.polygon, choices, topNm),
    ...chairsUnder(shape.polygon, choices, topNm),
    ...chairRows(shape.polygon, choices, topNm),
  ];
}

/** Lays out a slab or a raft. */
export function layOutPlate(plate: Plate, _assembly: Assembly, site: Site): Layout {
  const { context } = site;
  const choices = groundChoicesOf(plate, context.system);
  return laidInGround(
    {
      name: plate.name,
      choices,
      prisms: platePrisms(plate, choices),
      faces: formworkFaces(plate, choices),
      expectedBars: expectedBars(plate, choices),
      steel: (longest) => steelOf(plate, choices, longest),
      polygon: plateShape(plate)?.polygon ?? [],
      repeats: 1,
      words: plateWords(plate, choices, context),
      told: plateTold(plate, choices, context.system),
      draw: () => drawPlate(plate, context),
    },
    site,
  );
}

const MANY = ["no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"] as const;
export const manyWords = (count: number): string => MANY[count] ?? String(count);

function plateWords(plate: Plate, choices: GroundChoices, { system }: PartContext): Record<string, string> {
  const shape = plateShape(plate);
  const ribs = new Set(shape?.ribs.map(({ name }) => name)).size;
  const say = (nm: number) => formatLength(nm, system);
  const size = shape?.edges.length === 4 ? `${say(sideNm(plate, 0))} × ${say(sideNm(plate, 1))}` : "as drawn";
  const edge = `edge beams ${say(plate.beamWidth.valueNm ?? 0)} wide and ${say(plate.beamDepth.valueNm ?? 0)} deep`;
  return {
    name: plate.name,
    size,
    thicknessWords: say(plate.thickness.valueNm ?? 0),
    edgeWords: plate.edgeForm === "plain" ? "as thick at its edges" : edge,
    ribWords: ribs === 0 ? "no ribs" : `${manyWords(ribs)} ${plural(ribs, "rib", "ribs")} between`,
    toeWords: plate.edgeForm === "toe" ? `a toe ${say(plate.toeWidth.valueNm ?? 0)} wide` : "no toe",
    fillWords: say(choices.fill),
    blindingWords: say(choices.blinding),
    insulationWords: say(choices.insulation),
    screedWords: say(choices.screed),
    meshWords: choices.meshLayers === 2 ? "two layers of mesh" : "one layer of mesh",
  };
}

const sideNm = ({ edges }: Plate, index: number): number => edges[index]?.length.valueNm ?? 0;
