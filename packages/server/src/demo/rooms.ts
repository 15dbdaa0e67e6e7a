import {
  confirmedChoice,
  enterDimension,
  measured,
  newFeature,
  newRoomOpening,
  type PartContext,
  parseLength,
  type Room,
  type RoomOpening,
  rectangleDefaults,
  roomDefaults,
  roomKind,
  walkOn,
  withTurn,
} from "@wide-porch/core";

export type DemoOpening = {
  readonly in: string;
  readonly kind: RoomOpening["kind"];
  readonly name?: string;
  readonly position: string;
  readonly width: string;
  readonly height: string;
  readonly sill?: string;
  readonly rise?: string;
};

export type DemoFeature = {
  readonly in: string;
  readonly kind: "recess" | "bump";
  readonly name: string;
  readonly position: string;
  readonly width: string;
  readonly depth: string;
  readonly thickness: string;
};

export type DemoRoom = {
  readonly key: string;
  readonly name: string;
  readonly storey: string;
  /** Runs as read off the tape, with the turn at the end of each; two figures for a rectangle. */
  readonly walk: readonly (readonly [typed: string, turnDegrees?: number])[];
  readonly height: string;
  readonly thickness?: string;
  readonly belongsTo?: string;
  readonly joined?: { readonly run: string; readonly to: string; readonly toRun: string; readonly offset: string };
  readonly features?: readonly DemoFeature[];
  readonly openings?: readonly DemoOpening[];
};

function enter(room: Room, path: string, typed: string, context: PartContext): Room {
  const result = enterDimension(roomKind, room, path, typed, context);
  if (result.problem) throw new Error(`demo room: ${room.name}, ${path}: ${result.problem.message}`);
  return result.part;
}

function lengthOf(typed: string, context: PartContext): number {
  const length = parseLength(typed, context.system);
  if (!length.ok) throw new Error(`demo room: ${typed}: ${length.problem.message}`);
  return length.value;
}

function walked(demo: DemoRoom, id: string, context: PartContext): Room {
  if (demo.walk.length === 2) {
    return demo.walk.reduce(
      (room, [typed], index) => enter(room, `runs.${index === 0 ? "a" : "b"}.length`, typed, context),
      rectangleDefaults(id, demo.name, context),
    );
  }
  return demo.walk.reduce(
    (room, [typed, turn = -90], index) => {
      const runId = room.runs[room.runs.length - 1]?.id ?? "";
      const turned = withTurn(enter(room, `runs.${runId}.length`, typed, context), runId, turn);
      return walkOn(turned, `run-${String.fromCharCode(98 + index)}`, context);
    },
    roomDefaults(id, demo.name, context),
  );
}

function withFeature(room: Room, demo: DemoFeature, index: number, context: PartContext): Room {
  const id = `feature-${index + 1}`;
  const start = newFeature(room, demo.in, demo.kind, id, context);
  if (!start) throw new Error(`demo room: ${room.name} has no room for ${demo.name}`);
  const set = (typed: string) => measured(lengthOf(typed, context), typed);
  const feature = {
    ...start,
    name: demo.name,
    position: set(demo.position),
    width: set(demo.width),
    depth: set(demo.depth),
    thickness: set(demo.thickness),
  };
  return enter({ ...room, features: [...room.features, feature] }, `features.${id}.depth`, demo.depth, context);
}

function withOpening(room: Room, demo: DemoOpening, index: number, context: PartContext): Room {
  const id = `opening-${index + 1}`;
  const start = newRoomOpening(room, demo.in, demo.kind, id, context);
  if (!start) throw new Error(`demo room: ${room.name} has no room for an opening`);
  const set = (typed: string | undefined) => (typed === undefined ? {} : measured(lengthOf(typed, context), typed));
  const opening: RoomOpening = {
    ...start,
    name: demo.name ?? start.name,
    position: { ...start.position, ...set(demo.position) },
    width: { ...start.width, ...set(demo.width) },
    height: { ...start.height, ...set(demo.height) },
    sill: { ...start.sill, ...set(demo.sill), assumed: false },
    rise: { ...start.rise, ...set(demo.rise), assumed: false },
  };
  return enter({ ...room, openings: [...room.openings, opening] }, `openings.${id}.width`, demo.width, context);
}

/** Rooms as they would be entered on site. Throws when an entry would be refused. */
export function demoRooms(demos: readonly DemoRoom[], newId: () => string, context: PartContext): Room[] {
  const ids = new Map(demos.map((demo) => [demo.key, newId()]));
  const idOf = (key: string): string => ids.get(key) ?? "";
  return demos.map((demo) => {
    const start = walked(demo, idOf(demo.key), context);
    const thickness = demo.thickness ?? "4 1/2";
    const named: Room = {
      ...start,
      storey: demo.storey,
      belongsTo: demo.belongsTo ? idOf(demo.belongsTo) : null,
      runs: start.runs.map((run) => ({
        ...run,
        turnDegrees: confirmedChoice(run.turnDegrees.value),
        length: { ...run.length, assumed: false },
        thickness: measured(lengthOf(thickness, context), thickness),
      })),
      ceiling: { ...start.ceiling, shape: confirmedChoice<Room["ceiling"]["shape"]["value"]>("level") },
    };
    const tall = enter(named, "ceiling.height", demo.height, context);
    const featured = (demo.features ?? []).reduce((room, each, index) => withFeature(room, each, index, context), tall);
    const opened = (demo.openings ?? []).reduce(
      (room, each, index) => withOpening(room, each, index, context),
      featured,
    );
    const { joined } = demo;
    if (!joined) return opened;
    const offset = measured(lengthOf(joined.offset, context), joined.offset);
    const place = {
      how: "joined" as const,
      toRoomId: idOf(joined.to),
      toRunId: joined.toRun,
      runId: joined.run,
      offset,
    };
    return { ...opened, place };
  });
}
