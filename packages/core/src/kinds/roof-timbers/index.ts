import { newBase } from "../../parts/base";
import { isAssumed } from "../../parts/choicesSlot";
import type { DimensionSlot } from "../../parts/dimension";
import { countSlot, type Figure, type FigureSlot, noFigure } from "../../parts/figure";
import { changeById, figureSetters } from "../../parts/figures";
import { atMost } from "../../parts/limits";
import { noDrawing, noOutline } from "../../parts/looseDrawing";
import { figurePoints, pointsOfFigures } from "../../parts/openPointsOf";
import type { Measure, OpenPoint, PartContext, PartKind } from "../../parts/partKind";
import type { QuantityValues } from "../../parts/quantity";
import { type Problem, problem } from "../../problems/problem";
import { formatLength, metres } from "../../units";
import { LEAST_PITCH, MOST_PITCH } from "../roof/figures";
import { ROOF_FUNCTIONS } from "../roof/functions";
import { ROOF_PARAMETERS } from "../roof/parameters";
import { ROOF_QUANTITIES, ROOF_ROWS } from "../roof/quantities";
import { ROOF_ROLES } from "../roof/roles";
import { roofSlot } from "../roof/slot";
import { pitchOfEntry, trueLengthNm } from "./lengths";
import { MOST_ALIKE, type RoofTimbers, roofTimbersSchema, type TimberEntry } from "./schema";

const LONGEST_NM = metres(30);

const wordsOf = ({ role }: Pick<TimberEntry, "role">): string =>
  (ROOF_ROLES.find(({ id }) => id === role)?.words ?? role).replace(/^./, (letter) => letter.toUpperCase());

/** `Hip rafters 2`: the second row of them. */
export function timberName({ rows }: Pick<RoofTimbers, "rows">, id: string): string {
  const row = rows.find((each) => each.id === id);
  if (!row) return "Timbers";
  const alike = rows.filter(({ role }) => role === row.role);
  return alike.length === 1 ? wordsOf(row) : `${wordsOf(row)} ${alike.indexOf(row) + 1}`;
}

const dimensions = (list: RoofTimbers): DimensionSlot[] =>
  list.rows.map(({ id, plan }) => {
    return { path: `rows.${id}.plan`, label: "Length on plan", of: timberName(list, id), dimension: plan };
  });

const pitchSlot = (path: string, label: string, of: string, figure: Figure): FigureSlot => {
  return { path, label, of, measure: "pitch", figure, least: LEAST_PITCH, most: MOST_PITCH };
};

/** How many comes after the length on the pad, the pitch for all of them last. */
const figures = (list: RoofTimbers): readonly FigureSlot[] => [
  ...list.rows.flatMap((row): FigureSlot[] => {
    const of = timberName(list, row.id);
    return [
      countSlot(`rows.${row.id}.count`, "How many", row.count, { least: 1, most: MOST_ALIKE, of }),
      ...(row.pitch.value === null ? [] : [pitchSlot(`rows.${row.id}.pitch`, "Its own pitch", of, row.pitch)]),
    ];
  }),
  pitchSlot("pitch", "Pitch of the slopes", "", list.pitch),
];

function problems(list: RoofTimbers, { system }: PartContext): Problem[] {
  const lengths = dimensions(list).flatMap(({ path, of, dimension }) =>
    dimension.valueNm !== null && dimension.valueNm <= 0
      ? [problem("not-positive", path, `${of}: the length on plan is more than zero.`)]
      : atMost(path, `${of}: the length on plan`, dimension, LONGEST_NM, system),
  );
  const stands = (value: number | null) => value === null || (value >= LEAST_PITCH && value <= MOST_PITCH);
  const wrong = list.rows.filter(({ pitch }) => !stands(pitch.value));
  return [
    ...lengths,
    ...(stands(list.pitch.value) ? [] : [problem("pitch", "pitch", "The pitch is from 1 in 100 to 80°.")]),
    ...wrong.map(({ id }) => problem("pitch", `rows.${id}.pitch`, `${timberName(list, id)}: from 1 in 100 to 80°.`)),
  ];
}

function measures(list: RoofTimbers, { system }: PartContext): Measure[] {
  return list.rows.flatMap((row): Measure[] => {
    const pitch = pitchOfEntry(row, list);
    if (row.plan.valueNm === null || pitch === undefined) return [];
    const [plan, text] = [
      formatLength(row.plan.valueNm, system),
      formatLength(trueLengthNm(row.plan.valueNm, pitch), system),
    ];
    const secant = Number(Math.hypot(1, pitch).toFixed(4));
    const working = {
      sentence: `${timberName(list, row.id)}, along the slope.`,
      formula: "length on plan × secant of its pitch",
      withNumbers: `${plan} × ${secant} = ${text}`,
      steps: [{ label: "How many", value: String(row.count) }],
    };
    return [{ id: row.id, name: "True length", of: timberName(list, row.id), text, working, shapeIds: [] }];
  });
}

const LISTED: OpenPoint = {
  path: "",
  kind: "assumed",
  message: "Timbers by their lengths on plan: tails and what is taken off at ridges and hips are not in them",
};

const openPoints = (list: RoofTimbers, { system }: PartContext): OpenPoint[] => [
  ...(list.rows.length === 0 ? [{ path: "", kind: "missing" as const, message: "No timbers are listed yet" }] : []),
  ...pointsOfFigures(
    figures(list).filter(({ measure }) => measure === "pitch"),
    system,
  ),
  ...figurePoints(dimensions(list), system),
  ...ROOF_PARAMETERS.filter(({ name }) => name === "rafterSection" && isAssumed(list, name)).map(
    ({ path, label }): OpenPoint => ({ path, kind: "assumed", message: `${label} is assumed` }),
  ),
  ...(list.rows.length > 0 ? [LISTED] : []),
];

/** Nothing but timber is known: what is covered and drained counts nothing. */
const NOTHING: QuantityValues = Object.fromEntries(ROOF_QUANTITIES.map(({ name }) => [name, 0]));

/** Roof timbers by plan length. */
export const roofTimbersKind: PartKind<RoofTimbers> = {
  kind: "roof-timbers",
  // Hundreds of rows as they were read off.
  mostBytes: 256 * 1024,
  label: "Roof timbers",
  plural: "Roof timbers",
  order: 1,
  schema: roofTimbersSchema,
  migrations: [],
  defaults: (id, name) => ({
    kind: "roof-timbers",
    schemaVersion: 1,
    ...newBase(id, name),
    pitch: noFigure,
    rows: [],
    assembly: { id: "rafter-roof", version: 1 },
    choices: {},
  }),
  measures,
  quantityNames: ROOF_QUANTITIES,
  quantities: () => NOTHING,
  rows: ROOF_ROWS,
  rowsOf: () => ({ slopes: [], eaveRuns: [] }),
  roles: ROOF_ROLES,
  functions: ROOF_FUNCTIONS,
  assembliesFor: "roof",
  slot: roofSlot(),
  outline: noOutline,
  draw: noDrawing,
  problems,
  openPoints,
  dimensions,
  figures,
  withFigure: (list, path, value, typed) => {
    const figure: Figure = { value, typed, assumed: false };
    if (path === "pitch") return { ...list, pitch: figure };
    const [, id, name] = /^rows\.([^.]+)\.(count|pitch)$/.exec(path) ?? [];
    if (!id) throw new Error(`roof timbers: "${path}" is not one of its figures`);
    const change = (row: TimberEntry): TimberEntry =>
      name === "count" ? { ...row, count: value } : { ...row, pitch: figure };
    return { ...list, rows: changeById(list.rows, id, change) };
  },
  ...figureSetters<RoofTimbers>((list, path, to) => {
    const [, id] = /^rows\.([^.]+)\.plan$/.exec(path) ?? [];
    if (!id || !list.rows.some((row) => row.id === id))
      throw new Error(`roof timbers: "${path}" is not one of its figures`);
    return { ...list, rows: changeById(list.rows, id, (row) => ({ ...row, plan: to(row.plan) })) };
  }),
  nameOfItem: (list, id) => (list.rows.some((row) => row.id === id) ? timberName(list, id) : undefined),
};

export { withOwnPitch, withoutTimber, withTimber } from "./rows";
export { LISTED_TIMBERS, type ListedTimber, MOST_TIMBER_ROWS, type RoofTimbers } from "./schema";
