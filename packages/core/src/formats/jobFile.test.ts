import { startJob } from "../job";
import { starterCompanySettings, wallOf } from "../testing/library";
import { feet } from "../units";
import { JOB_FILE_FORMAT, jobFileJsonSchema, readJobFile } from "./jobFile";

const start = { title: "T", customerName: "C", site: "S", system: "imperial", currency: "USD" } as const;
const file = {
  format: JOB_FILE_FORMAT,
  schemaVersion: 1,
  job: startJob(start, starterCompanySettings),
  parts: [wallOf("imperial", { lengthNm: feet(12), heightNm: feet(8) })],
  photos: [],
  assemblies: [],
  standards: [],
  quotes: [],
};

const photo = { id: "p", contentType: "image/png", base64: "AAAA" };

describe("a job file", () => {
  it("comes back as it went out", () => {
    expect(readJobFile(JSON.parse(JSON.stringify(file)))).toEqual({ ok: true, file, unknownParts: [] });
  });

  it.each([
    ["nothing at all", null, "format"],
    ["another format", { ...file, format: "other" }, "format"],
    [
      "a length that is no whole number",
      { ...file, parts: [{ ...file.parts[0], length: { valueNm: 1.5 } }] },
      "parts.0.length.valueNm",
    ],
    ["a job without a title", { ...file, job: { ...file.job, title: "" } }, "job.title"],
    ["parts that are no list", { ...file, parts: {} }, "parts"],
    [
      "two parts of one id",
      { ...file, parts: [file.parts[0], { ...file.parts[0], name: "Its double" }] },
      "parts.1.id",
    ],
    ["two photos of one id", { ...file, photos: [photo, photo] }, "photos.1.id"],
    ["a part of no version", { ...file, parts: [{ ...file.parts[0], schemaVersion: "1" }] }, "parts.0.schemaVersion"],
    ["a job of a newer version", { ...file, job: { ...file.job, schemaVersion: 99 } }, "job.schemaVersion"],
  ])("with %s is refused, and the place named", (_what, data, path) => {
    const result = readJobFile(data);
    expect(result.ok).toBe(false);
    if (!result.ok) expect(result.problems.map((each) => each.path)).toContain(path);
  });

  it("keeps parts of a newer version or an unknown kind as they are, and reads the rest", () => {
    const newer = { ...file.parts[0], id: "newer", schemaVersion: 99, name: "Newer" };
    const strange = { kind: "hovercraft", id: "h", name: "Skirt", fans: 2 };
    const result = readJobFile({ ...file, parts: [newer, ...file.parts, strange] });
    expect(result.ok && result.file.parts).toEqual(file.parts);
    expect(result.ok && result.unknownParts.map((each) => each.stored)).toEqual([newer, strange]);
    expect(result.ok && result.unknownParts.map((each) => each.name)).toEqual(["Newer", "Skirt"]);
  });

  it("of a newer version is not taken in, and the words say why", () => {
    const result = readJobFile({ ...file, schemaVersion: 2 });
    expect(result.ok ? "" : result.problems[0]?.message).toContain("newer version of the program");
  });

  it("has a published schema of JSON Schema 2020-12", () => {
    expect(jobFileJsonSchema()).toMatchObject({
      $schema: "https://json-schema.org/draft/2020-12/schema",
      type: "object",
    });
  });
});
