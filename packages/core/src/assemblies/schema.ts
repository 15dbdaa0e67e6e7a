import { z } from "zod";
import { assemblyRefSchema, type Part, partKinds, scalarSchema } from "../kinds";
import { recordOf } from "../migrations/fields";
import type { Migration } from "../migrations/migrate";
import type { RecordKind } from "../records/recordKind";
import { inches, millimetres, NM_PER_M } from "../units";
import { LONGEST_FORMULA } from "./longestFormula";
import { nameSchema, tableSchema } from "./table";

/** Names in formulas: letters and digits, begun with a small letter. */
const formulaSchema = z.string().min(1).max(LONGEST_FORMULA);

/** Which kinds of part an assembly can be for. Those for walls also serve walls by totals. */
export type AssemblyPart = Part["kind"];
export const ASSEMBLY_PARTS: readonly AssemblyPart[] = partKinds()
  .filter((kind) => !kind.assembliesFor)
  .map((kind) => kind.kind);

/** A choice or figure of an assembly. Lengths are whole nanometres here, metres in formulas; areas square metres. */
const parameterSchema = z.object({
  name: nameSchema,
  label: z.string().min(1).max(80),
  kind: z.enum(["length", "area", "number", "yes-no", "choice", "section", "sheet", "unit"]),
  default: scalarSchema,
  least: z.number().optional(),
  most: z.number().optional(),
  /** What can be chosen, where it is one of a few. */
  choices: z
    .array(
      z.object({
        value: scalarSchema,
        label: z.string().min(1).max(80),
        /** Of the thing chosen, by the names below: what a bag yields. In base units. */
        properties: z.record(nameSchema, z.number()).optional(),
      }),
    )
    .max(60)
    .optional(),
  /** What formulas can ask of what is chosen: `bag.yield`. */
  properties: z
    .array(
      z.object({
        name: nameSchema,
        label: z.string().min(1).max(80),
        kind: z.enum(["length", "area", "volume", "mass", "density", "number"]),
      }),
    )
    .max(12)
    .optional(),
});
export type AssemblyParameter = z.infer<typeof parameterSchema>;

export const BUYING = ["cut", "run", "whole"] as const;

/** An amount for one of what is counted. */
const rateSchema = z.string().regex(/^\d{1,7}(\.\d{1,2})?$/, "An amount such as 40 or 39.50.");

export const SUPPLIERS = ["customer", "allowance"] as const;

/**
 * Who supplies what a rule counts, where it is not the builder from the price list: the customer, who buys it and has it fitted; or
 * nobody yet, with an amount allowed for each until it is chosen.
 */
const supplySchema = z
  .object({
    by: z.enum(SUPPLIERS),
    /** A yes-or-no formula; always, where there is none. */
    when: formulaSchema.optional(),
    /** Of an allowance: for one of what is counted; for a square foot or metre, a foot or metre, where it is measured. */
    rate: rateSchema.optional(),
  })
  .refine(({ by, rate }) => by === "customer" || rate !== undefined, {
    path: ["rate"],
    message: "An allowance needs an amount for each.",
  });
export type RuleSupply = z.infer<typeof supplySchema>;

/** What an option is called, by which a job takes it. */
export const optionNameSchema = z.string().trim().min(1).max(80);

/** One line of an assembly: what to count, by which formula, when. */
const ruleSchema = z.object({
  /** Later formulas can use its result under this name. */
  name: nameSchema,
  label: z.string().min(1).max(120),
  trade: z.string().min(1).max(40),
  /** Stage of the work it is needed for. */
  phase: z.string().max(40),
  formula: formulaSchema,
  /** `length`, `area`, `volume`, `weight` or `hour`; any other word names what is counted: `piece`, `nail`. */
  unit: z.string().min(1).max(20),
  /** A yes-or-no formula; always, where there is none. */
  when: formulaSchema.optional(),
  /**
   * Code in the price list. `{section}` stands for the timber of each piece, other names in braces for parameters.
   * Empty for hours of labour, and for a step that other rules use.
   */
  item: z.string().max(120),
  /** Cut: its pieces are cut from stock lengths. Run: stock lengths joined end to end. Whole: by the price list's pack. */
  buying: z.enum(BUYING),
  /** Added to what is counted before it is bought; the price list's own where there is none. */
  wastePercent: z.number().min(0).max(100).optional(),
  /** Labour task of the company, reckoned on what is counted. */
  task: z.string().max(60).optional(),
  supply: supplySchema.optional(),
  /** The option it belongs to, as the customer reads it: priced apart, and in the job once that is taken. */
  option: optionNameSchema.optional(),
  /** What the quote says of it where it counts something. Names in braces are replaced by their values. */
  words: z.string().min(1).max(400).optional(),
  /** Why it is there, in the builder's words. */
  sentence: z.string().min(1).max(400),
  /** Where the rule is from: a published table, or common practice. */
  source: z.string().max(300).optional(),
});
export type AssemblyRule = z.infer<typeof ruleSchema>;

/** Header by opening width: the builder's schedule or the engineer's, never designed here. */
const headerRowSchema = z.object({
  maxWidthNm: z.int().positive(),
  sectionId: z.string().min(1),
  plies: z.int().min(1).max(4),
});
export type HeaderRow = z.infer<typeof headerRowSchema>;

const sheetRuleSchema = z.object({
  /** Parameter that says which size of sheet. */
  size: nameSchema,
  direction: z.enum(["upright", "lying"]),
  /** Offcuts smaller than this either way are waste. */
  leastOffcutNm: z.int().min(0),
});

/** No stock is shorter, and no fixing nearer to the next (common practice). */
const LEAST_PLATE_NM = millimetres(600);
const LEAST_FIXING_NM = millimetres(50);

/** How a frame is laid out, beyond what each wall chooses for itself. */
export const framingRulesSchema = z.object({
  headerSchedule: z.array(headerRowSchema).min(1).max(40),
  /** Plates laid flat over an opening that carries nothing. */
  flatPlates: z.int().min(1).max(3),
  longestPlateNm: z.int().min(LEAST_PLATE_NM),
  spliceStaggerNm: z.int().min(0),
  ladderSpacingNm: z.int().min(LEAST_FIXING_NM),
  boltSpacingNm: z.int().min(LEAST_FIXING_NM),
  /** A bolt at most this far from each end of a plate. */
  boltFromEndNm: z.int().min(LEAST_FIXING_NM),
  /** Nor nearer than this to it: seven diameters of the bolt. */
  boltLeastFromEndNm: z.int().min(0).max(NM_PER_M),
  /** How far the board clips of a two-stud corner are apart. */
  clipSpacingNm: z.int().min(LEAST_FIXING_NM),
  sheathing: sheetRuleSchema,
  boards: sheetRuleSchema,
});
export type FramingRules = z.infer<typeof framingRulesSchema>;

const wordingSchema = z.object({
  when: formulaSchema.optional(),
  /** Names in braces are replaced by their values: `{length}`, `{studSize}`. */
  text: z.string().min(1).max(600),
});

const exampleOpeningSchema = z.object({
  kind: z.enum(["door", "window", "plain"]),
  position: z.string().max(40),
  width: z.string().max(40),
  height: z.string().max(40),
  sill: z.string().max(40),
});

/** A case worked by hand, that is worked again at every change of the assembly. */
export const exampleSchema = z.object({
  name: z.string().min(1).max(160),
  /** Figures as a tape pad takes them, by the path of the figure: `length`: `12'`. */
  figures: z.record(z.string(), z.string().max(80)),
  openings: z.array(exampleOpeningSchema).max(20),
  /** Counts that are not figures: `count` of spots. */
  counts: z.record(z.string(), z.int().min(0)),
  choices: z.record(z.string(), scalarSchema),
  expected: z.array(z.object({ rule: nameSchema, quantity: z.number() })).max(60),
  source: z.string().min(1).max(300),
});
export type AssemblyExample = z.infer<typeof exampleSchema>;

/** How something is built, as data: parameters, rules, wording, worked examples. One for each measuring system. */
export const assemblySchema = z
  .object({
    schemaVersion: z.literal(6),
    id: z
      .string()
      .regex(/^[a-z0-9][a-z0-9-]*$/, "An id is small letters, digits and hyphens.")
      .max(60),
    version: z.int().positive(),
    name: z.string().trim().min(1, "Give the assembly a name.").max(120),
    about: z.string().max(600),
    appliesTo: z.enum(ASSEMBLY_PARTS),
    system: z.enum(["imperial", "metric"]),
    /** The slot of its part that it fills: it lays the part out. Without one it counts what is measured or already laid out. */
    slot: z.string().max(40).optional(),
    /** Another that it builds on: it has all of that, with what it changes by name, leaves out and adds. */
    basedOn: assemblyRefSchema.optional(),
    leavesOut: z
      .object({ rules: z.array(nameSchema).max(120).default([]), parameters: z.array(nameSchema).max(60).default([]) })
      .optional(),
    /** How a frame is laid out, for what frames a wall. */
    framing: framingRulesSchema.optional(),
    tables: z.array(tableSchema).max(20).default([]),
    parameters: z.array(parameterSchema).max(60),
    rules: z.array(ruleSchema).max(120),
    wording: z.array(wordingSchema).max(40),
    examples: z.array(exampleSchema).max(40),
  })
  .meta({
    title: "Wide Porch assembly",
    description: "How a kind of part is built. Lengths are whole nanometres; formulas work in metres.",
  });
export type Assembly = z.infer<typeof assemblySchema>;

const atLeast = (value: unknown, leastNm: number): unknown =>
  typeof value === "number" && value < leastNm ? leastNm : value;

export const assemblyMigrations: readonly Migration[] = [
  {
    // How near to a plate's end a bolt may be, and least values by what the trade has.
    to: 3,
    name: "bolts-and-least-values",
    up: (assembly) => {
      if (assembly.framing === undefined) return assembly;
      const framing = recordOf(assembly.framing);
      const { longestPlateNm, ladderSpacingNm, boltSpacingNm, boltFromEndNm, clipSpacingNm } = framing;
      return {
        ...assembly,
        framing: {
          ...framing,
          // Half an inch, the usual bolt.
          boltLeastFromEndNm: inches(3.5),
          longestPlateNm: atLeast(longestPlateNm, LEAST_PLATE_NM),
          ladderSpacingNm: atLeast(ladderSpacingNm, LEAST_FIXING_NM),
          boltSpacingNm: atLeast(boltSpacingNm, LEAST_FIXING_NM),
          boltFromEndNm: atLeast(boltFromEndNm, LEAST_FIXING_NM),
          clipSpacingNm: atLeast(clipSpacingNm, LEAST_FIXING_NM),
        },
      };
    },
  },
  {
    // Slots by name, and tables to look values up in.
    to: 4,
    name: "slots-and-tables",
    up: (assembly) => ({ ...assembly, ...(assembly.framing === undefined ? {} : { slot: "frame" }), tables: [] }),
  },
  {
    // Who supplies what a rule counts, and its own words for the quote: none had any.
    to: 5,
    name: "supply-and-words",
    up: (assembly) => assembly,
  },
  // Options that rules belong to: none did.
  { to: 6, name: "options", up: (assembly) => assembly },
];

export const assemblyRecord: RecordKind<Assembly> = {
  name: "Assembly",
  schema: assemblySchema,
  migrations: assemblyMigrations,
};

/** The published JSON Schema, draft 2020-12. */
export const assemblyJsonSchema = (): Record<string, unknown> => ({
  ...z.toJSONSchema(assemblySchema, { io: "input" }),
});

/** The price list's code for a timber section. */
export const timberCode = (sectionId: string): string => `timber/${sectionId}`;
