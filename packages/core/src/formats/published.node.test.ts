import { readdirSync, readFileSync } from "node:fs";
import { resolve } from "node:path";
import { publishedSchemas } from "./published";

const folder = resolve(__dirname, "../../../../docs/schemas");

describe("the published schemas", () => {
  it("are those the program reads by: `npm run docs:schemas` writes them anew", () => {
    const published = readdirSync(folder).map((file) => [
      file.replace(".schema.json", ""),
      JSON.parse(readFileSync(resolve(folder, file), "utf8")),
    ]);
    expect(Object.fromEntries(published)).toEqual(JSON.parse(JSON.stringify(publishedSchemas())));
  });
});
