import { directionOf, dot, type Point } from "../../geometry";
import { measured } from "../../parts/dimension";
import {
  feet,
  formatLength,
  inches,
  type MeasuringSystem,
  metres,
  millimetres,
  type Nanometres,
  parseLength,
} from "../../units";
import { runName } from "./names";
import type { Room, RoomRun } from "./schema";
import { gapSizeNm, headings, measuredCorners, measuredRuns } from "./walk";

/** One way a gap could have come about, and the runs as they would be without it. */
export type Explanation = {
  readonly slip: "missing-run" | "counted-twice" | "wrong-turn" | "whole-unit" | "ten" | "swapped-figures";
  /** The run to measure again; the one before the missing run, where one is missing. */
  readonly runId: string;
  readonly message: string;
  /** What a press would do: `Use 12' 3"`. */
  readonly action: string;
  readonly runs: readonly RoomRun[];
};

type Slip = { readonly slip: "whole-unit" | "ten"; readonly sizeNm: Nanometres; readonly words: string };

/** What a tape is misread by. Common practice. */
const SLIPS: Record<MeasuringSystem, readonly Slip[]> = {
  imperial: [
    { slip: "whole-unit", sizeNm: feet(1), words: "a whole foot" },
    { slip: "ten", sizeNm: inches(10), words: "ten inches" },
  ],
  metric: [
    { slip: "whole-unit", sizeNm: metres(1), words: "a whole metre" },
    { slip: "ten", sizeNm: millimetres(100), words: "100 mm" },
    { slip: "ten", sizeNm: millimetres(10), words: "10 mm" },
  ],
};

const endOf = (runs: readonly RoomRun[]): Point => measuredCorners(runs)[runs.length] ?? { xNm: 0, yNm: 0 };

const withRun = (runs: readonly RoomRun[], id: string, change: (run: RoomRun) => RoomRun): RoomRun[] =>
  runs.map((run) => (run.id === id ? change(run) : run));

/**
 * The single slips that would leave the walk closed within the room's tolerance, likeliest first. Empty when no one slip
 * explains the gap: then there are two, or the room is not as drawn.
 */
export function explainGap(room: Room, system: MeasuringSystem): readonly Explanation[] {
  const runs = measuredRuns(room);
  const allowedNm = Math.max(room.tolerance.valueNm ?? 0, millimetres(1));
  const closes = (tried: readonly RoomRun[]) => tried.length >= 3 && gapSizeNm(endOf(tried)) <= allowedNm;
  if (runs.length < 2 || closes(runs)) return [];
  const name = (id: string) => runName(room, id);
  return [
    ...runs.flatMap((run) => swappedFigures(run, runs, system, name)),
    ...runs.flatMap((run) => misread(run, runs, system, name)),
    ...runs.slice(0, -1).flatMap((run) => wrongTurn(run, runs, name)),
    ...runs.flatMap((run) => countedTwice(run, runs, name)),
    ...missingRun(runs, system, name),
  ].filter((explanation) => closes(explanation.runs));
}

type Namer = (id: string) => string;

function relength(
  slip: Explanation["slip"],
  run: RoomRun,
  runs: readonly RoomRun[],
  valueNm: Nanometres,
  words: string,
  system: MeasuringSystem,
  name: Namer,
): Explanation {
  const text = formatLength(valueNm, system);
  return {
    slip,
    runId: run.id,
    message: `${name(run.id)} may be ${words}: ${formatLength(run.length.valueNm ?? 0, system)} where ${text} would close the walk.`,
    action: `Use ${text}`,
    runs: withRun(runs, run.id, (each) => ({ ...each, length: measured(valueNm, text) })),
  };
}

function misread(run: RoomRun, runs: readonly RoomRun[], system: MeasuringSystem, name: Namer): Explanation[] {
  const nowNm = run.length.valueNm ?? 0;
  return SLIPS[system].flatMap(({ slip, sizeNm, words }) =>
    [sizeNm, -sizeNm]
      .filter((changeNm) => nowNm + changeNm > 0)
      .map((changeNm) =>
        relength(slip, run, runs, nowNm + changeNm, `${words} too ${changeNm > 0 ? "short" : "long"}`, system, name),
      ),
  );
}

/** Neighbouring figures of the entry, the other way round: 12'6 for 21'6. */
function swappedFigures(run: RoomRun, runs: readonly RoomRun[], system: MeasuringSystem, name: Namer): Explanation[] {
  const typed = run.length.typed || formatLength(run.length.valueNm ?? 0, system);
  return Array.from({ length: typed.length - 1 }).flatMap((_, index) => {
    const [a = "", b = ""] = [typed[index], typed[index + 1]];
    if (!/\d/.test(a) || !/\d/.test(b) || a === b) return [];
    const read = parseLength(typed.slice(0, index) + b + a + typed.slice(index + 2), system);
    if (!read.ok || read.value <= 0) return [];
    return [relength("swapped-figures", run, runs, read.value, "two figures the wrong way round", system, name)];
  });
}

function wrongTurn(run: RoomRun, runs: readonly RoomRun[], name: Namer): Explanation[] {
  const turn = run.turnDegrees.value;
  if (turn === 0) return [];
  const next = runs[runs.indexOf(run) + 1];
  const way = turn > 0 ? "right" : "left";
  return [
    {
      slip: "wrong-turn",
      runId: run.id,
      message: `The turn from ${name(run.id)} into ${name(next?.id ?? "")} may go to the ${way}.`,
      action: `Turn ${way}`,
      runs: withRun(runs, run.id, (each) => ({ ...each, turnDegrees: { value: -turn, assumed: false } })),
    },
  ];
}

/** The run left out: with its own turn too, or with both turns made into one. */
function countedTwice(run: RoomRun, runs: readonly RoomRun[], name: Namer): Explanation[] {
  const before = runs[runs.indexOf(run) - 1];
  const rest = runs.filter((each) => each !== run);
  const both = before ? toTurn(before.turnDegrees.value + run.turnDegrees.value) : 0;
  // With no turn of its own, both ways are the same.
  const joined =
    before && run.turnDegrees.value !== 0
      ? [withRun(rest, before.id, (each) => ({ ...each, turnDegrees: { value: both, assumed: false } }))]
      : [];
  return [rest, ...joined].map((without) => ({
    slip: "counted-twice",
    runId: run.id,
    message: `${name(run.id)} may have been counted twice: without it the walk closes.`,
    action: `Take out ${name(run.id)}`,
    runs: without,
  }));
}

const toTurn = (degrees: number): number => ((degrees + 540) % 360) - 180;

/** An id made from a run's that no run has. */
function freeId(runs: readonly RoomRun[], id: string): string {
  const candidate = `${id.slice(0, 36)}+`;
  return runs.some((run) => run.id === candidate) ? freeId(runs, candidate) : candidate;
}

/**
 * A run with the gap's own length and way, kept square to the runs on both sides of it: at the end of the walk, or
 * between two runs that it turns away from.
 */
function missingRun(runs: readonly RoomRun[], system: MeasuringSystem, name: Namer): Explanation[] {
  const gap = endOf(runs);
  const ways = headings(runs);
  const way = Math.round((Math.atan2(-gap.yNm, -gap.xNm) * 180) / Math.PI / 90) * 90;
  const lengthNm = Math.round(-dot(gap, directionOf(way)));
  if (lengthNm <= 0) return [];
  const text = formatLength(lengthNm, system);
  return runs.flatMap((run, index) => {
    const turnIn = toTurn(way - (ways[index] ?? 0));
    const turnOut = toTurn((ways[index + 1] ?? 0) - way);
    if (Math.abs(turnIn) !== 90 || Math.abs(turnOut) !== 90) return [];
    const added: RoomRun = {
      ...run,
      id: freeId(runs, run.id),
      length: measured(lengthNm, text),
      turnDegrees: { value: turnOut, assumed: true },
    };
    return [
      {
        slip: "missing-run" as const,
        runId: run.id,
        message: `A wall of ${text} may be missing after ${name(run.id)}.`,
        action: `Add ${text}`,
        runs: [
          ...runs.slice(0, index),
          { ...run, turnDegrees: { value: turnIn, assumed: false } },
          added,
          ...runs.slice(index + 1),
        ],
      },
    ];
  });
}
