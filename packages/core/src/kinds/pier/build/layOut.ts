import type { Assembly } from "../../../assemblies";
import type { CoursePiece } from "../../../drawing/piece";
import type { Layout, Site } from "../../../layouts";
import { coursesNm } from "../../../parts/masonryUnit";
import { ownValue } from "../../../records/ownValue";
import { areaOf, formatLength, type Nanometres, toMetres } from "../../../units";
import { perSquareMetre, volumeOf } from "../../masonry-wall/build/amounts";
import { masonryAnswers } from "../../masonry-wall/build/answers";
import { formulaChoices } from "../../masonry-wall/build/layOut";
import { masonryWorking } from "../../masonry-wall/build/working";
import { choicesOf } from "../../masonry-wall/slot";
import { coursesUpTo, drawPier, type Pier, type PierUnit, pierUnitOf, unitsACourse } from "../index";

/** Area of the masonry on plan: all of a solid pier, the ring of a hollow one. */
function planM2({ length, width, hollow }: Pier, { unit }: PierUnit): number {
  const [a, b, t] = [length.valueNm ?? 0, width.valueNm ?? 0, unit.thicknessNm];
  return hollow ? areaOf(2 * (a + b - 2 * t), t) : areaOf(a, b);
}

type Face = Pick<CoursePiece, "count" | "unitNm" | "xNm" | "widthNm">;

/**
 * One course as it is seen square on. Every second one is turned and begins with a header, so that no joint lies over another;
 * one that is too thin to be turned is stacked.
 */
function faceOf(pier: Pier, { unit, perpendNm }: PierUnit, count: number, turned: boolean): Face[] {
  const [lengthNm, widthNm] = [pier.length.valueNm ?? 0, pier.width.valueNm ?? 0];
  const headerNm = unit.thicknessNm;
  const restNm = lengthNm - headerNm - perpendNm;
  const canTurn = restNm > 0 && widthNm >= unit.lengthNm && count > 1;
  const courseOf = (units: number, xNm: Nanometres, alongNm: Nanometres): Face => ({
    count: units,
    unitNm: Math.min(unit.lengthNm, alongNm),
    xNm,
    widthNm: alongNm,
  });
  if (!turned || !canTurn) return [courseOf(count, 0, lengthNm)];
  const header = { count: 1, unitNm: headerNm, xNm: 0, widthNm: headerNm };
  return [courseOf(count - 1, headerNm + perpendNm, restNm), header];
}

/** Lays a pier course by course: as many units in each as go round it, or fill it. */
export function layOutPier(pier: Pier, _assembly: Assembly, { context, library }: Site): Layout {
  const choices = choicesOf(pier, context.system);
  const of = pierUnitOf(pier, context);
  const { unit, bedNm, perpendNm } = of;
  const [lengthNm, widthNm, heightNm] = [pier.length.valueNm ?? 0, pier.width.valueNm ?? 0, pier.height.valueNm ?? 0];
  const each = unitsACourse(lengthNm, widthNm, pier.hollow, of);
  const courses = coursesUpTo(heightNm, of);
  const faces = [0, 1].map((turn) => faceOf(pier, of, each, turn === 1));
  const pieces = Array.from({ length: courses }, (_, course): CoursePiece[] => {
    const bottomNm = coursesNm(unit, bedNm, course) + bedNm;
    const topNm = Math.min(heightNm, coursesNm(unit, bedNm, course + 1));
    return (faces[course % 2] ?? []).map((face, index) => ({
      id: `pier-${course + 1}${index === 0 ? "" : "-header"}`,
      role: "outer-unit",
      itemId: unit.id,
      tone: unit.material,
      ...face,
      jointNm: perpendNm,
      yNm: bottomNm,
      heightNm: Math.max(0, topNm - bottomNm),
    }));
  }).flat();
  const units = each * courses;
  const volumeM3 = planM2(pier, of) * toMetres(heightNm);
  const byArea = (planM2(pier, of) / toMetres(unit.thicknessNm)) * toMetres(heightNm) * perSquareMetre(of);
  const mortarOf = (count: number) => Math.max(0, volumeM3 - count * volumeOf(unit));
  const amounts = {
    areaM2: 2 * areaOf(lengthNm + widthNm, heightNm),
    whole: units,
    half: 0,
    cut: 0,
    laidOut: units,
    byArea,
    mortarLaidOutM3: mortarOf(units),
    mortarByAreaM3: mortarOf(byArea),
  };
  return {
    pieces,
    draw: () => {
      const drawing = drawPier(pier, context);
      return drawing.kind === "elevation" ? { ...drawing, rectangles: [...drawing.rectangles, ...pieces] } : drawing;
    },
    laid: {
      lengthsNm: () => [],
      countOf: (role) => (role === "outer-unit" ? units : 0),
      ask: masonryAnswers({
        leaves: new Map([["outer", amounts]]),
        stone: undefined,
        method: choices.method,
        rakingCutM: 0,
      }),
      sheetSize: (sizeId) => ownValue(library.sheets, sizeId),
    },
    choices: formulaChoices(choices),
    reckoned: false,
    byArea: choices.method === "by-area",
    repeats: pier.count,
    compared: [{ what: unit.name, laidOut: units, byArea }],
    words: {
      name: pier.name,
      unitWords: unit.name.replace(/^[A-Z]/, (first) => first.toLowerCase()),
      size: `${formatLength(lengthNm, context.system)} × ${formatLength(widthNm, context.system)}`,
      hollowWords: pier.hollow ? "hollow" : "solid",
    },
    workingOf: (role) => masonryWorking(role, pieces),
    problems: [],
  };
}
