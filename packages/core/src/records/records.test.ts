import { assemblyRecord, blankAssembly, plainSet, standardRecord } from "../assemblies";
import { companySettingsRecord, jobRecord, startJob } from "../job";
import { PART_KINDS, readPart, readStoredPart, unknownPart } from "../kinds";
import { FIRST_ALLOWANCES, FIRST_UNASKED } from "../kinds/stud-wall/earlierFraming";
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
const earlierParameters = (values: Readonly<Record<string, number | string | boolean>>) =>
  Object.fromEntries(Object.entries(values).map(([name, value]) => [name, { value, assumed: true }]));
const unit = ["doorAllowanceWidthNm", "doorAllowanceHeightNm", "windowAllowanceNm"];
const six = earlierParameters({
  studSize: "2x4",
  spacingNm: inches(16),
  bottomPlates: 1,
  topPlates: 2,
  bearing: false,
  sheathed: false,
});
const parameters = { ...FIRST_UNASKED, ...FIRST_ALLOWANCES, ...six };
const wallOf5 = {
  ...wall,
  schemaVersion: 5,
  parameters: {
    ...parameters,
    topPlates: { value: 1, assumed: false },
    twoJacksFromNm: { value: feet(5), assumed: false },
  },
  choices: { waste: 12 },
};
const wallOf4 = {
  ...wall,
  schemaVersion: 4,
  parameters: { ...parameters, spacingNm: { value: inches(6), assumed: false } },
};
const wallOf3 = {
  ...wall,
  schemaVersion: 3,
  parameters: without(parameters, ...unit),
  openings: wall.openings.map((each) => without(each, "measuredAs", "along")),
};
const wallOf2 = {
  ...without(wallOf3, "shape", "repeats", "assembly", "choices", "uses", "handSet"),
  schemaVersion: 2,
  parameters: six,
};
const wallOf1 = { ...without(wallOf2, "plan", "ends", "meetings", "notes", "photos"), schemaVersion: 1, storey: "" };

const beforeLimits = (kind: "masonry-wall" | "pier") => ({
  ...without(PART_KINDS[kind].defaults("m", "M", context), "openingArea"),
  schemaVersion: 1,
  choices: { bedJoint: 0, bond: "heap", firstCourse: inches(4), mixer: 3 },
});

const job = startJob(
  { title: "T", customerName: "C", site: "", system: "imperial", currency: "USD" },
  starterCompanySettings,
);
const pricing3 = {
  ...without(job.pricing, "taskHours", "conditions", "markupByTrade", "apart"),
  schemaVersion: 3,
  tax: { name: "Tax", percent: "8" },
  extras: [],
};
const { overhead } = job.pricing;
const pricing2 = {
  ...without(
    pricing3,
    "overhead",
    "crews",
    "escalation",
    "contingency",
    "profit",
    "discountPercent",
    "promptPayment",
    "adjust",
    "linesSet",
  ),
  schemaVersion: 2,
  overheadPercent: overhead.percent,
  markupPercent: without(job.pricing.markupPercent, "sundry", "allowance"),
};
const oldPricing = {
  ...pricing2,
  schemaVersion: 1,
  tasks: [{ id: "insulation", name: "Fit insulation", unit: "m²", hoursPerUnit: "0.08" }],
};
const jobOf2 = { ...job, schemaVersion: 2, pricing: oldPricing, quote: without(job.quote, "pictures") };
const room = PART_KINDS.room.defaults("r", "Room", context);
const totals = PART_KINDS["wall-totals"].defaults("t", "Walls", context);
const { framing, ...unframed } = assemblyOf("imperial");

const firstQuote = {
  schemaVersion: 1,
  number: "1",
  date: "2026-11-02",
  validUntil: "2026-12-02",
  company: { name: "N", address: "" },
  customer: { name: "C", site: "" },
  title: "T",
  currency: "GBP",
  intro: "",
  sections: [],
  priceBeforeTax: "0.00",
  tax: { name: "VAT", percent: "20", amount: "0.00" },
  total: "0.00",
  exclusions: [],
  notes: [],
  terms: "",
};

const { tax: firstTax, ...untaxed } = firstQuote;
const quote3 = {
  ...untaxed,
  schemaVersion: 3,
  options: [],
  apart: [],
  taxes: [{ ...firstTax, base: "0.00" }],
  taxContained: false,
};

/** A record of the version before each migration, by kind and by the migration's name. */
const EXAMPLES: Readonly<Record<string, Readonly<Record<string, Plain>>>> = {
  "stud-wall": {
    "notes-photos-and-plan": wallOf1,
    "framed-by-assemblies": wallOf2,
    "unit-sizes-and-places": wallOf3,
    "spacings-that-can-be-built": wallOf4,
    "framing-among-the-choices": wallOf5,
  },
  "masonry-wall": { "choices-that-stand": beforeLimits("masonry-wall") },
  pier: { "choices-that-stand": beforeLimits("pier") },
  room: { "unit-sizes": { ...room, schemaVersion: 1 } },
  "wall-totals": {
    "spacings-that-can-be-built": {
      ...totals,
      schemaVersion: 1,
      parameters: { ...parameters, blockingEveryNm: { value: 10_000, assumed: false } },
    },
    "framing-among-the-choices": { ...totals, schemaVersion: 2, parameters },
  },
  roof: {
    "edges-in-line": { ...without(PART_KINDS.roof.defaults("r", "Roof", context), "inLine"), schemaVersion: 1 },
  },
  floor: {
    "things-at-places": { ...without(PART_KINDS.floor.defaults("f", "Floor", context), "spots"), schemaVersion: 1 },
  },
  "flat-roof": {
    "things-at-places": {
      ...without(PART_KINDS["flat-roof"].defaults("f", "Roof", context), "spots"),
      schemaVersion: 1,
    },
  },
  storey: {
    "floor-levels": {
      ...without(PART_KINDS.storey.defaults("s", "Ground", context), "floorToFloor", "floorBuildUp"),
      schemaVersion: 1,
    },
  },
  "House standard": {
    "tables-of-the-company": {
      schemaVersion: 1,
      id: "s",
      version: 1,
      name: "S",
      system: "metric",
      parameters: [],
      waste: [],
      productivity: [],
    },
  },
  Job: {
    "cutting-and-standard": { ...without(jobOf2, "cutting", "standard"), schemaVersion: 1 },
    "pictures-on-the-quote": jobOf2,
    "options-taken": { ...without(job, "optionsTaken"), schemaVersion: 3 },
    "line-changes": { ...without(job, "lineChanges", "swaps"), schemaVersion: 4 },
    "prices-kept-and-stages": { ...without(job, "supplies", "prices", "stage", "shelf"), schemaVersion: 5 },
  },
  Assembly: {
    "bolts-and-least-values": {
      ...unframed,
      schemaVersion: 2,
      framing: { ...without(framing ?? {}, "boltLeastFromEndNm"), boltSpacingNm: 1 },
    },
    "supply-and-words": { ...unframed, schemaVersion: 4 },
    options: { ...unframed, schemaVersion: 5 },
    "slots-and-tables": { ...without(unframed, "slot", "tables"), schemaVersion: 3, framing },
  },
  Quote: {
    options: firstQuote,
    "taxes-by-class": { ...firstQuote, schemaVersion: 2, options: [] },
    letterhead: quote3,
  },
  Pricing: {
    "measured-units-by-name": oldPricing,
    "steps-and-crews": pricing2,
    "tax-classes-and-conditions": pricing3,
  },
  "Item of the price list": {
    "kinds-and-dates": {
      ...without(starterPriceList[0] ?? {}, "kind", "category", "supplierCode", "priceDate", "massKg", "retired"),
      schemaVersion: 1,
    },
    "second-suppliers-and-hire": { ...without(starterPriceList[0] ?? {}, "second", "hire", "loads"), schemaVersion: 2 },
    "truck-loads": { ...without(starterPriceList[0] ?? {}, "loads"), schemaVersion: 3 },
  },
  "Company settings": {
    "usual-standards": { ...without(starterCompanySettings, "usualStandards"), schemaVersion: 1, pricing: oldPricing },
    "report-columns": { ...without(starterCompanySettings, "reportColumns"), schemaVersion: 2 },
    "worksheet-layouts": { ...without(starterCompanySettings, "worksheetLayouts"), schemaVersion: 3 },
    profile: { ...without(starterCompanySettings, "profile"), schemaVersion: 4 },
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
      value: { choices: { spacing: 200_000_000 } },
    });
    // Joints of nothing and a bond there is not go; what can be built by, and what is the assembly's own, stays.
    for (const kind of ["masonry-wall", "pier"] as const) {
      const lifted = readPart(beforeLimits(kind));
      expect(lifted).toMatchObject({ value: { choices: { firstCourse: inches(4), mixer: 3 } } });
      expect(JSON.stringify(lifted)).not.toMatch(/bedJoint|heap/);
    }
    // What was confirmed stands, beside what the assembly's own parameters were chosen to be; what was assumed follows again.
    expect(readPart(wallOf5)).toMatchObject({ value: { choices: { waste: 12, topPlates: 1, twoJacksFrom: feet(5) } } });
    expect(readPart({ ...wallOf5, parameters })).toMatchObject({ value: { choices: { waste: 12 } } });
    expect(readRecord(pricingRecord, oldPricing)).toMatchObject({ value: { tasks: [{ unit: "area" }] } });
    expect(readPart({ ...wallOf2, parameters: { ...six, sheathed: { value: true, assumed: false } } })).toMatchObject({
      value: { assembly: { id: "outside-wall" }, openings: [{ measuredAs: "rough", along: "from-left" }] },
    });
  });
});

describe("reading a record", () => {
  it("lifts those within it: the pricing of a stored job", () => {
    expect(readStored(jobRecord, { ...job, pricing: oldPricing })).toMatchObject({
      value: { pricing: { schemaVersion: 4 } },
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
