import { randomUUID } from "node:crypto";
import { lengthKind, measured, type Part, partContext, type Room, rectangleDefaults, roomKind } from "@wide-porch/core";
import { library } from "@wide-porch/library";
import { z } from "zod";
import type { Device, Network } from "./device";
import type { KillableServer } from "./server";

const context = partContext("imperial", library);
const FOOT = 304_800_000;

/** Numbers that look random and are the same for the same seed (mulberry32, public domain). */
export function numbersFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

const NETWORKS: readonly Network[] = ["there", "there", "cut", "answers-lost", "repeats"];

/** An entry that can be told from every other: a bulkhead by an id of its own. */
function withEntry(part: Part, id: string, feet: number): Part {
  if (part.kind !== "room") return { ...part, notes: id };
  const side = measured(FOOT, "1'");
  const drop = { id, kind: "tray" as const, name: `Tray ${id}`, length: side, width: side, depth: side };
  const wall = roomKind.withDimension(part, "runs.a.length", feet * FOOT, `${feet}'`, context);
  return { ...wall, ceiling: { ...wall.ceiling, drops: [...wall.ceiling.drops, drop] } };
}

const entriesOf = (part: Part): readonly string[] => {
  if (part.kind === "room") return part.ceiling.drops.map((drop) => drop.id);
  return part.notes ? [part.notes] : [];
};

function newRoom(): Room {
  const room = rectangleDefaults(randomUUID(), "Room", context);
  return roomKind.withDimension(
    roomKind.withDimension(room, "runs.a.length", 12 * FOOT, "12'", context),
    "runs.b.length",
    10 * FOOT,
    "10'",
    context,
  );
}

export type Outcome = { readonly entries: number; readonly lost: readonly string[]; readonly equal: boolean };

const historySchema = z.object({ items: z.array(z.object({ part: z.unknown() })) });
const jobSchema = z.object({ id: z.string() });

type Run = {
  readonly devices: readonly [Device, Device];
  readonly random: () => number;
  readonly made: { readonly partId: string; readonly entry: string; readonly isNote: boolean }[];
};

const pick = <T>(random: () => number, items: readonly T[]): T | undefined =>
  items[Math.floor(random() * items.length)];

/** One thing that happens on one device. */
async function step({ devices, random, made }: Run, number: number): Promise<void> {
  const device = devices[random() < 0.5 ? 0 : 1];
  const chance = random();
  const part = pick(random, device.seen().parts)?.part;
  if (chance < 0.5 && part) {
    const entry = `entry-${number}`;
    device.put(withEntry(part, entry, 8 + Math.floor(random() * 20)));
    made.push({ partId: part.id, entry, isNote: part.kind !== "room" });
  } else if (chance < 0.56) {
    const added = { ...lengthKind.defaults(randomUUID(), "Rail", context), notes: `entry-${number}` };
    device.put(added);
    made.push({ partId: added.id, entry: `entry-${number}`, isNote: true });
  } else if (chance < 0.61 && part) {
    device.bin(part.id);
  } else if (chance < 0.78) {
    device.network = pick(random, NETWORKS) ?? "there";
  } else if (chance < 0.86) {
    await device.restart();
  } else if (chance < 0.93) {
    await device.pull();
  } else {
    device.settle(() => pick(random, ["mine", "theirs", "merge"] as const) ?? "mine");
  }
  // Sometimes there is time for a request, sometimes the next thing comes first.
  if (random() < 0.5) await new Promise((done) => setTimeout(done, Math.floor(random() * 6)));
}

/** Everybody back in signal, everything sent, everything that waited for a person decided. */
async function comeTogether({ devices, random }: Run): Promise<void> {
  for (const device of devices) device.network = "there";
  for (let round = 0; round < 50; round += 1) {
    for (const device of devices) {
      await device.rest();
      device.settle(() => pick(random, ["mine", "theirs", "merge"] as const) ?? "mine");
      await device.rest();
    }
    if (devices.every((device) => device.state === "saved")) break;
  }
  for (const device of devices) await device.pull();
}

/** Two people on one job, in an order made from the seed. Says which entries are found nowhere at the end. */
export async function interleaving(
  seed: number,
  server: KillableServer,
  devices: readonly [Device, Device],
  steps: number,
): Promise<Outcome> {
  const random = numbersFrom(seed);
  const [ros, piet] = devices;
  const start = { title: `Seed ${seed}`, customerName: "C", site: "", system: "imperial", currency: "USD" };
  const job = await ros.ask(jobSchema, "POST", "/jobs", start);
  await ros.open(job.id);
  for (const part of [newRoom(), newRoom(), lengthKind.defaults(randomUUID(), "Rail", context)]) ros.put(part);
  await ros.rest();
  await piet.open(job.id);
  await ros.pull();

  const run: Run = { devices, random, made: [] };
  const killAt = random() < 0.1 ? Math.floor(random() * steps) : -1;
  for (let number = 0; number < steps; number += 1) {
    if (number === killAt) {
      await server.kill();
      for (let offline = 0; offline < 3; offline += 1) await step(run, steps + number * 10 + offline);
      await server.start();
    }
    await step(run, number);
  }
  await comeTogether(run);
  const [mine, theirs] = devices.map((device) => device.seen().parts.map(({ id, part }) => [id, part]));
  const lost = await lostEntries(run, job.id);
  for (const device of devices) device.close();
  return { entries: run.made.length, lost, equal: JSON.stringify(mine) === JSON.stringify(theirs) };
}

/**
 * Entries found in no version of their part. An entry folded into a later one before it was sent is in that one: each
 * entry adds to those before it, but for the note of a loose part, which the same person's next note replaces.
 */
async function lostEntries({ devices, made }: Run, jobId: string): Promise<string[]> {
  const [device] = devices;
  const rooms = new Map<string, Set<string>>();
  const lost: string[] = [];
  for (const { partId, entry, isNote } of made) {
    let kept = rooms.get(partId);
    if (!kept) {
      const { items } = await device.ask(historySchema, "GET", `/jobs/${jobId}/parts/${partId}/history`);
      // Versions come from the API as the parts they are.
      kept = new Set(items.flatMap(({ part }) => entriesOf(part as Part)));
      rooms.set(partId, kept);
    }
    if (!kept.has(entry) && !(isNote && kept.size > 0)) lost.push(`${partId}: ${entry}`);
  }
  return lost;
}
