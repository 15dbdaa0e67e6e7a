import {
  type Assembly,
  assemblySchema,
  companySettingsSchema,
  houseStandardSchema,
  standardProblems,
} from "@wide-porch/core/reckoning";
import type { DataSource } from "typeorm";
import { z } from "zod";
import { companyEntity, companyOf, lockCompany } from "../companies/entity";
import { inTransaction } from "../database/dataSource";
import { isKnown } from "../database/lifted";
import { type Endpoint, endpoint } from "../http/endpoint";
import { notFound, unfit } from "../http/problemDetails";
import { changeOnce } from "../jobs/commands";
import { type AssemblyRow, assemblyEntity, type StandardRow, standardEntity } from "./entity";
import { requireSound, resultsOf } from "./results";
import { shownTo } from "./shownTo";
import { assembliesOf, companyTables, newestOf, newestStandard } from "./store";
import { retire, saveVersion } from "./versions";

const assemblyAnswerSchema = z
  .object({
    assembly: assemblySchema,
    retired: z.boolean(),
    /** How many of its worked examples do not come out, and how many of its formulas cannot be read. */
    failingExamples: z.int(),
    problems: z.int(),
  })
  .meta({ id: "AssemblyRevision" });

const standardAnswerSchema = z
  .object({ standard: houseStandardSchema, retired: z.boolean() })
  .meta({ id: "HouseStandardRevision" });

/** A version from before results were stored has them worked out; one that cannot be read here has none. */
const assemblyAnswer = (row: Pick<AssemblyRow, "data" | "retired" | "results">) => ({
  assembly: row.data,
  retired: row.retired,
  ...(row.results ?? (isKnown(row) ? resultsOf(row.data) : { failingExamples: 0, problems: 0 })),
});
const standardAnswer = ({ data, retired }: Pick<StandardRow, "data" | "retired">) => ({ standard: data, retired });

const usualSchema = companySettingsSchema.shape.usualStandards;
/** A labour task to set a pace for; its hours are nobody's business here. */
const taskNameSchema = z.object({ id: z.string(), name: z.string() });
const systemSchema = z.enum(["imperial", "metric"]);

/** The version it was made from; 0 for a new one. */
const baseVersion = z.int().min(0);
const retireSchema = z.object({ retired: z.boolean() }).meta({ id: "PutAway" });

export const assemblyEndpoints = (dataSource: DataSource): Endpoint[] => [
  endpoint({
    method: "get",
    path: "/assemblies",
    access: "signed-in",
    summary: "The company's assemblies, each in its newest version, and the versions that these build on",
    status: 200,
    lane: "records",
    answer: z.object({ items: z.array(assemblyAnswerSchema), bases: z.array(assemblySchema) }),
    handle: async ({ user }) => {
      const items = (await newestOf(dataSource, assemblyEntity, user.companyId)).map(assemblyAnswer);
      const bases = (["imperial", "metric"] as const).map((system) => {
        const refs = items.flatMap(({ assembly }) =>
          isKnown({ data: assembly }) && assembly.system === system && assembly.basedOn ? [assembly.basedOn] : [],
        );
        return assembliesOf(dataSource, user.companyId, system, refs);
      });
      const shown = <T extends { readonly assembly: Assembly }>(each: T): T => ({
        ...each,
        assembly: shownTo(user.role, each.assembly),
      });
      const all = (await Promise.all(bases)).flat();
      return { items: items.map(shown), bases: all.map((base) => shownTo(user.role, base)) };
    },
  }),
  endpoint({
    method: "get",
    path: "/assemblies/:system/:id/versions/:version",
    access: "signed-in",
    summary: "One version of an assembly. It never changes: a device asks for it once",
    status: 200,
    lane: "records",
    answer: assemblySchema,
    handle: async ({ user, param }) => {
      const version = Number(param("version"));
      const id = param("id");
      const [found] = Number.isSafeInteger(version)
        ? (await assembliesOf(dataSource, user.companyId, param("system"), [{ id, version }])).filter(
            (each) => each.id === id && each.version === version,
          )
        : [];
      if (!found) throw notFound("version of an assembly");
      return shownTo(user.role, found);
    },
  }),
  endpoint({
    method: "put",
    path: "/assemblies/:system/:id",
    access: "sees-costs",
    summary: "Save an assembly as its next version; jobs keep the version they have",
    status: 200,
    lane: "reckoning",
    bodyOf: "record",
    body: z.object({ baseVersion, assembly: assemblySchema }).meta({ id: "AssemblyChange" }),
    answer: assemblyAnswerSchema,
    handle: async ({ user, param, body, received }) => {
      const key = { companyId: user.companyId, system: param("system"), id: param("id") };
      const { basedOn } = body.assembly;
      const bases = await assembliesOf(dataSource, user.companyId, body.assembly.system, basedOn ? [basedOn] : []);
      requireSound(body.assembly, bases);
      const tables = await companyTables(dataSource, user.companyId, body.assembly.system);
      const more = { results: resultsOf(body.assembly, bases, tables) };
      return changeOnce(dataSource, { user, received }, "save-assembly", async (manager) =>
        assemblyAnswer(await saveVersion(manager, assemblyEntity, key, body.baseVersion, body.assembly, user.id, more)),
      );
    },
  }),
  endpoint({
    method: "patch",
    path: "/assemblies/:system/:id",
    access: "sees-costs",
    summary: "Put an assembly away, or take it out again; jobs that have it keep it",
    status: 200,
    body: retireSchema,
    answer: assemblyAnswerSchema,
    handle: async ({ user, param, body }) => {
      const key = { companyId: user.companyId, system: param("system"), id: param("id") };
      return assemblyAnswer(await retire(dataSource, assemblyEntity, key, body.retired));
    },
  }),
  endpoint({
    method: "get",
    path: "/standards",
    access: "signed-in",
    summary: "The company's house standards, each in its newest version",
    status: 200,
    lane: "records",
    answer: z.object({ items: z.array(standardAnswerSchema), usual: usualSchema, tasks: z.array(taskNameSchema) }),
    handle: async ({ user }) => {
      const { settings } = await companyOf(dataSource, user.companyId);
      return {
        items: (await newestOf(dataSource, standardEntity, user.companyId)).map(standardAnswer),
        usual: settings.usualStandards,
        tasks: settings.pricing.tasks.map(({ id, name }) => ({ id, name })),
      };
    },
  }),
  endpoint({
    method: "put",
    path: "/standards/:system/usual",
    access: "sees-costs",
    summary: "Which house standard a new job starts with; null for none",
    status: 200,
    // Its address is one of those that take a standard: its body comes as bytes with theirs.
    bodyOf: "record",
    body: z.object({ id: usualSchema.shape.imperial }).meta({ id: "UsualStandard" }),
    answer: z.object({ usual: usualSchema }),
    handle: ({ user, param, body }) =>
      inTransaction(dataSource, async (manager) => {
        const system = systemSchema.safeParse(param("system"));
        if (!system.success) throw notFound("measuring system");
        const known = await newestStandard(manager, user.companyId, system.data, body.id);
        if (body.id !== null && !known) throw notFound("house standard");
        const company = await lockCompany(manager, user.companyId);
        const usualStandards = { ...company.settings.usualStandards, [system.data]: body.id };
        const settings = { ...company.settings, usualStandards };
        await manager.getRepository(companyEntity).save({ ...company, settings });
        return { usual: usualStandards };
      }),
  }),
  endpoint({
    method: "put",
    path: "/standards/:system/:id",
    access: "sees-costs",
    summary: "Save a house standard as its next version; jobs keep the version they have",
    status: 200,
    lane: "records",
    bodyOf: "record",
    body: z.object({ baseVersion, standard: houseStandardSchema }).meta({ id: "HouseStandardChange" }),
    answer: standardAnswerSchema,
    handle: async ({ user, param, body, received }) => {
      const key = { companyId: user.companyId, system: param("system"), id: param("id") };
      const problems = standardProblems(body.standard);
      if (problems.length > 0) throw unfit(problems.map((each) => ({ ...each, path: `standard.${each.path}` })));
      return changeOnce(dataSource, { user, received }, "save-standard", async (manager) =>
        standardAnswer(await saveVersion(manager, standardEntity, key, body.baseVersion, body.standard, user.id, {})),
      );
    },
  }),
];
