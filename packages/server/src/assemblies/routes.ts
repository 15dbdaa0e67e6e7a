import { assemblySchema, compileAssembly, houseStandardSchema, runExamples } from "@wide-porch/core/reckoning";
import { library } from "@wide-porch/library";
import type { DataSource } from "typeorm";
import { z } from "zod";
import { type Endpoint, endpoint } from "../http/endpoint";
import { type AssemblyRow, assemblyEntity, type StandardRow, standardEntity } from "./entity";
import { newestOf } from "./store";
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

const assemblyAnswer = ({ data, retired }: Pick<AssemblyRow, "data" | "retired">) => ({
  assembly: data,
  retired,
  failingExamples: runExamples(data, library).filter((each) => !each.passes).length,
  problems: compileAssembly(data).problems.length,
});
const standardAnswer = ({ data, retired }: Pick<StandardRow, "data" | "retired">) => ({ standard: data, retired });

/** The version it was made from; 0 for a new one. */
const baseVersion = z.int().min(0);
const retireSchema = z.object({ retired: z.boolean() }).meta({ id: "PutAway" });

export const assemblyEndpoints = (dataSource: DataSource): Endpoint[] => [
  endpoint({
    method: "get",
    path: "/assemblies",
    access: "signed-in",
    summary: "The company's assemblies, each in its newest version",
    status: 200,
    answer: z.object({ items: z.array(assemblyAnswerSchema) }),
    handle: async ({ user }) => ({
      items: (await newestOf(dataSource, assemblyEntity, user.companyId)).map(assemblyAnswer),
    }),
  }),
  endpoint({
    method: "put",
    path: "/assemblies/:system/:id",
    access: "sees-costs",
    summary: "Save an assembly as its next version; jobs keep the version they have",
    status: 200,
    body: z.object({ baseVersion, assembly: assemblySchema }).meta({ id: "AssemblyChange" }),
    answer: assemblyAnswerSchema,
    handle: async ({ user, param, body }) => {
      const key = { companyId: user.companyId, system: param("system"), id: param("id") };
      const saved = await saveVersion(dataSource, assemblyEntity, key, body.baseVersion, body.assembly, user.id);
      return assemblyAnswer(saved);
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
    answer: z.object({ items: z.array(standardAnswerSchema) }),
    handle: async ({ user }) => ({
      items: (await newestOf(dataSource, standardEntity, user.companyId)).map(standardAnswer),
    }),
  }),
  endpoint({
    method: "put",
    path: "/standards/:system/:id",
    access: "sees-costs",
    summary: "Save a house standard as its next version; jobs keep the version they have",
    status: 200,
    body: z.object({ baseVersion, standard: houseStandardSchema }).meta({ id: "HouseStandardChange" }),
    answer: standardAnswerSchema,
    handle: async ({ user, param, body }) => {
      const key = { companyId: user.companyId, system: param("system"), id: param("id") };
      const saved = await saveVersion(dataSource, standardEntity, key, body.baseVersion, body.standard, user.id);
      return standardAnswer(saved);
    },
  }),
];
