import { z } from "zod";
import { assemblyJsonSchema, houseStandardSchema } from "../assemblies";
import { companySettingsSchema } from "../job";
import { priceItemSchema } from "../order";
import { jobFileJsonSchema } from "./jobFile";

type JsonSchema = Readonly<Record<string, unknown>>;
const jsonSchema = (schema: z.ZodType): JsonSchema => ({ ...z.toJSONSchema(schema, { io: "input" }) });

/** The published JSON Schemas, draft 2020-12, by the name of their files. */
export const publishedSchemas = (): Readonly<Record<string, JsonSchema>> => ({
  assembly: assemblyJsonSchema(),
  "company-settings": jsonSchema(companySettingsSchema),
  "house-standard": jsonSchema(houseStandardSchema),
  "job-file": jobFileJsonSchema(),
  "price-item": jsonSchema(priceItemSchema),
});
