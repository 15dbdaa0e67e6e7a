import { z } from "zod";
import { assemblyJsonSchema, houseStandardSchema } from "../assemblies/records";
import { companySettingsSchema } from "../job/records";
import { priceItemSchema } from "../order/records";
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
