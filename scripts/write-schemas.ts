import { mkdirSync, writeFileSync } from "node:fs";
import { resolve } from "node:path";
import { assemblyJsonSchema, jobFileJsonSchema } from "@wide-porch/core";

/** Writes the published schemas; a test fails while they are out of date. */
const folder = resolve(__dirname, "../docs/schemas");
mkdirSync(folder, { recursive: true });
writeFileSync(resolve(folder, "job-file.schema.json"), `${JSON.stringify(jobFileJsonSchema(), null, 2)}\n`);
writeFileSync(resolve(folder, "assembly.schema.json"), `${JSON.stringify(assemblyJsonSchema(), null, 2)}\n`);
