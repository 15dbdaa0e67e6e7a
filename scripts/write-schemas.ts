import { mkdirSync, writeFileSync } from "node:fs";
import { resolve } from "node:path";
import { publishedSchemas } from "@wide-porch/core/reckoning";

/** Writes the published schemas; a test fails while they are out of date. */
const folder = resolve(__dirname, "../docs/schemas");
mkdirSync(folder, { recursive: true });
for (const [name, schema] of Object.entries(publishedSchemas()))
  writeFileSync(resolve(folder, `${name}.schema.json`), `${JSON.stringify(schema, null, 2)}\n`);
