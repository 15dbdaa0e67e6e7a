import {
  confirmedChoice,
  feet,
  JOB_FILE_FORMAT,
  measured,
  newRoomOpening,
  type Part,
  partContext,
  type Room,
  roomDefaults,
  startJob,
} from "@wide-porch/core";
import { library, starterCompanySettings } from "@wide-porch/library";

/** Prints a made-up job file: 40 rooms in rows, joined, with 200 walls between and round them; half the rooms are L-shaped. */
const COLUMNS = 8;
const ROWS = 5;
const context = partContext("imperial", library);
const id = (column: number, row: number): string => `00000000-0000-4000-8000-0000000${column}00${row}00`.slice(0, 36);

/** Runs as feet and the turn after each. The third wall of an L turns in and out again. */
const RECTANGLE: readonly (readonly [number, number])[] = [
  [12, -90],
  [10, -90],
  [12, -90],
  [10, -90],
];
const ELL: readonly (readonly [number, number])[] = [
  [12, -90],
  [10, -90],
  [5, -90],
  [2, 90],
  [7, -90],
  [8, -90],
];

function room(column: number, row: number): Room {
  const start = roomDefaults(id(column, row), `Room ${row * COLUMNS + column + 1}`, context);
  const [first] = start.runs;
  if (!first) throw new Error("largePlan: a new room has a first wall");
  const walk = (column + row) % 2 === 0 ? RECTANGLE : ELL;
  const runs = walk.map(([length, turn], index) => ({
    ...first,
    id: `run-${index + 1}`,
    length: measured(feet(length), `${length}'`),
    turnDegrees: confirmedChoice(turn),
  }));
  const shaped: Room = { ...start, runs, finished: true, ceiling: { ...start.ceiling, fromRunId: "run-1" } };
  const door = newRoomOpening(shaped, "run-1", "door", "door", context);
  const opened = door && column > 0 ? { ...shaped, openings: [door] } : shaped;
  const offset = measured(0, "0");
  const joined = { how: "joined" as const, offset };
  if (column > 0)
    return {
      ...opened,
      place: { ...joined, toRoomId: id(column - 1, row), toRunId: "run-2", runId: walk === ELL ? "run-6" : "run-4" },
    };
  return { ...opened, place: { how: "free", xNm: 0, yNm: -row * feet(12), turnDegrees: 0 } };
}

const parts: Part[] = Array.from({ length: ROWS * COLUMNS }, (_, index) =>
  room(index % COLUMNS, Math.floor(index / COLUMNS)),
);
const job = startJob(
  { title: "Forty rooms", customerName: "Benchmark", site: "Invented", system: "imperial", currency: "USD" },
  starterCompanySettings,
);
process.stdout.write(JSON.stringify({ format: JOB_FILE_FORMAT, schemaVersion: 1, job, parts, quotes: [] }));
