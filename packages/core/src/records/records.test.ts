import { assemblyRecord, blankAssembly, plainSet, standardRecord } from "../assemblies";
import { companySettingsRecord, jobRecord, startJob } from "../job";
import { PART_KINDS, readPart, readStoredPart, unknownPart } from "../kinds";
import type { Migration } from "../migrations/migrate";
import { newestVersion } from "../migrations/migrate";
import { priceItemRecord } from "../order";
import { pricingRecord } from "../price";
import { quoteDocumentRecord, quoteSettingsRecord } from "../quote";
import { assemblyOf, contexts, library, openingOf, starterCompanySettings, starterPriceList } from "../testing/library";
import { feet, inches } from "../units";
import { type RecordKind, readRecord, readStored } from "./recordKind";

type Plain = Record<string, unknown>;
const context = contexts.imperial;
const without = (record: object, ...keys: string[]): Plain =>
  Object.fromEntries(Object.entries(record).filter(([key]) => !keys.includes(key)));

const wall = {
  ...PART_KINDS["stud-wall"].defaults("w", "Wall", context),
  openings: [openingOf("door", "d", { positionNm: feet(2), widthNm: feet(3), heightNm: inches(82.5) })],
};
const unit = ["doorAllowanceWidthNm", "doorAllowanceHeightNm", "windowAllowanceNm"];
const six = ({ studSize, spacingNm, bottomPlates, topPlates, bearing, sheathed }: typeof wall.parameters) => ({
  studSize,
  spacingNm,
  bottomPlates,
  topPlates,
  bearing,
  sheathed,
});
const wallOf4 = {
  ...wall,
  schemaVersion: 4,
  parameters: { ...wall.parameters, spacingNm: { value: inches(6), assumed: false } },
};
const wallOf3 = {
  ...wall,
  schemaVersion: 3,
  parameters: without(wall.parameters, ...unit),
  openings: wall.openings.map((each) => without(each, "measuredAs", "along")),
};
const wallOf2 = {
  ...without(wallOf3, "shape", "repeats", "assembly", "choices", "uses", "handSet"),
  schemaVersion: 2,
  parameters: six(wall.parameters),
};
const wallOf1 = { ...without(wallOf2, "plan", "ends", "meetings", "notes", "photos"), schemaVersion: 1, storey: "" };

const job = startJob(
  { title: "T", customerName: "C", site: "", system: "imperial", currency: "USD" },
  starterCompanySettings,
);
const oldPricing = {
  ...job.pricing,
  schemaVersion: 1,
  tasks: [{ id: "insulation", name: "Fit insulation", unit: "m²", hoursPerUnit: "0.08" }],
};
const jobOf2 = { ...job, schemaVersion: 2, pricing: oldPricing, quote: without(job.quote, "pictures") };
const room = PART_KINDS.room.defaults("r", "Room", context);
const totals = PART_KINDS["wall-totals"].defaults("t", "Walls", context);
const { framing, ...unframed } = assemblyOf("imperial");

/** A record of the version before each migration, by kind and by the migration's name. */
const EXAMPLES: Readonly<Record<string, Readonly<Record<string, Plain>>>> = {
  "stud-wall": {
    "notes-photos-and-plan": wallOf1,
    "framed-by-assemblies": wallOf2,
    "unit-sizes-and-places": wallOf3,
    "spacings-that-can-be-built": wallOf4,
  },
  room: { "unit-sizes": { ...room, schemaVersion: 1 } },
  "wall-totals": {
    "spacings-that-can-be-built": {
      ...totals,
      schemaVersion: 1,
      parameters: { ...totals.parameters, blockingEveryNm: { value: 10_000, assumed: false } },
    },
  },
  storey: {
    "floor-levels": {
      ...without(PART_KINDS.storey.defaults("s", "Ground", context), "floorToFloor", "floorBuildUp"),
      schemaVersion: 1,
    },
  },
  Job: {
    "cutting-and-standard": { ...without(jobOf2, "cutting", "standard"), schemaVersion: 1 },
    "pictures-on-the-quote": jobOf2,
  },
  Assembly: {
    "bolts-and-least-values": {
      ...unframed,
      schemaVersion: 2,
      framing: { ...without(framing ?? {}, "boltLeastFromEndNm"), boltSpacingNm: 1 },
    },
    "supply-and-words": { ...unframed, schemaVersion: 4 },
    "slots-and-tables": { ...without(unframed, "slot", "tables"), schemaVersion: 3, framing },
  },
  Pricing: { "measured-units-by-name": oldPricing },
  "Company settings": {
    "usual-standards": { ...without(starterCompanySettings, "usualStandards"), schemaVersion: 1, pricing: oldPricing },
  },
};

type Kind = {
  readonly name: string;
  readonly migrations: readonly Migration[];
  readonly read: (stored: unknown) => unknown;
};
const kindOf = <T>(kind: RecordKind<T>): Kind => ({ ...kind, read: (stored) => readRecord(kind, stored) });
const KINDS: readonly Kind[] = [
  ...Object.values(PART_KINDS).map(({ kind, migrations }) => ({ name: kind, migrations, read: readPart })),
  kindOf(jobRecord),
  kindOf(assemblyRecord),
  kindOf(standardRecord),
  kindOf(priceItemRecord),
  kindOf(pricingRecord),
  kindOf(quoteSettingsRecord),
  kindOf(quoteDocumentRecord),
  kindOf(companySettingsRecord),
];
const STEPS = KINDS.flatMap((kind) =>
  kind.migrations.map((step) => [`${kind.name}: ${step.name}`, kind, step] as const),
);

describe("every migration of every kind of record", () => {
  it.each(STEPS)("%s lifts a record of the version before it to one that fits", (_, kind, step) => {
    const example = EXAMPLES[kind.name]?.[step.name];
    if (!example) throw new Error(`write an example of a ${kind.name} from before “${step.name}”`);
    expect(example.schemaVersion).toBe(step.to - 1);
    expect(kind.read(example)).toMatchObject({ ok: true, value: { schemaVersion: newestVersion(kind.migrations) } });
  });

  it("has a name of its own within its kind, and follows the one before it", () => {
    for (const { migrations } of KINDS) {
      expect(new Set(migrations.map((each) => each.name)).size).toBe(migrations.length);
      const versions = migrations.map((each) => each.to);
      expect(versions).toEqual(versions.toSorted((a, b) => a - b));
    }
  });

  it("says what it is meant to: spacings at their least, tasks by their measure, walls framed as they were", () => {
    expect(readPart(wallOf4)).toMatchObject({
      value: { parameters: { spacingNm: { value: 200_000_000, assumed: false } } },
    });
    expect(readRecord(pricingRecord, oldPricing)).toMatchObject({ value: { tasks: [{ unit: "area" }] } });
    expect(
      readPart({ ...wallOf2, parameters: { ...wallOf2.parameters, sheathed: { value: true, assumed: false } } }),
    ).toMatchObject({
      value: { assembly: { id: "outside-wall" }, openings: [{ measuredAs: "rough", along: "from-left" }] },
    });
  });
});

describe("reading a record", () => {
  it("lifts those within it: the pricing of a stored job", () => {
    expect(readStored(jobRecord, { ...job, pricing: oldPricing })).toMatchObject({
      value: { pricing: { schemaVersion: 2 } },
    });
  });

  it("refuses what is newer, within it too, and what is broken, in words", () => {
    expect(readStored(jobRecord, { ...job, schemaVersion: 99 })).toMatchObject({ problem: { code: "too-new" } });
    expect(readStored(jobRecord, { ...job, pricing: { ...job.pricing, schemaVersion: 99 } })).toMatchObject({
      problem: { code: "too-new" },
    });
    expect(readRecord(jobRecord, { ...job, title: "" })).toMatchObject({ ok: false, problem: { path: "title" } });
    for (const nothing of [null, undefined])
      expect(readStored(jobRecord, nothing)).toMatchObject({
        problem: { code: "missing", message: "Job: nothing is stored." },
      });
    for (const odd of [undefined, null, 7, "text", [], {}]) expect(readPart(odd)).toMatchObject({ ok: false });
  });

  it("takes what is of its own version as it was stored", () => {
    expect(readStored(priceItemRecord, starterPriceList[0])).toEqual({ ok: true, value: starterPriceList[0] });
    const set = plainSet("a", "A", "imperial");
    expect(readStored(assemblyRecord, set)).toEqual({ ok: true, value: set });
    expect(readStoredPart(wall)).toEqual({ ok: true, value: wall });
    const stored = readStored(jobRecord, job);
    // It was checked when it was stored: not read through again, not made anew.
    expect(stored.ok && stored.value).toBe(job);
    expect(readRecord(assemblyRecord, blankAssembly("b", "B", "metric", "room")).ok).toBe(true);
    expect(library.assemblies.every((each) => readRecord(assemblyRecord, each).ok)).toBe(true);
  });

  it("knows no kind of part by the name of a member of every object", () => {
    for (const kind of ["constructor", "__proto__", "hovercraft"]) {
      expect(readPart({ kind, schemaVersion: 1 })).toMatchObject({ problem: { code: "unknown-kind" } });
    }
    expect(unknownPart({ id: "x", name: "Skirt", kind: "hovercraft" }, "why")).toMatchObject({
      id: "x",
      name: "Skirt",
      why: "why",
    });
  });
});
