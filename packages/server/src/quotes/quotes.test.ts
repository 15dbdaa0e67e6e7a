import { execFileSync } from "node:child_process";
import { randomUUID } from "node:crypto";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import SwaggerParser from "@apidevtools/swagger-parser";
import { jobFileJsonSchema } from "@wide-porch/core";
import { reckonJob } from "@wide-porch/core/reckoning";
import { library as starterLibrary } from "@wide-porch/library";
import Ajv2020 from "ajv/dist/2020";
import { type Agent, NEW_JOB, newWall, startTestServer, type TestServer } from "../testing/testServer";

let server: TestServer;
let ros: Agent;
beforeAll(async () => {
  server = await startTestServer();
  ros = await server.signedInAs("ros@fernhollow.example");
});
afterAll(() => server.stop());

async function jobWithWall(): Promise<{ jobId: string; wall: ReturnType<typeof newWall> }> {
  const jobId = (await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201)).body.id;
  const wall = newWall();
  await ros
    .put(`/api/v1/jobs/${jobId}/parts/${wall.id}`)
    .send({ commandId: randomUUID(), baseRevision: 0, part: wall })
    .expect(200);
  return { jobId, wall };
}

const issue = (jobId: string, commandId: string = randomUUID()) =>
  ros.post(`/api/v1/jobs/${jobId}/quotes`).send({ commandId });

const lanternHouse = async (): Promise<string> => {
  const { body } = await ros.get("/api/v1/jobs").expect(200);
  return body.items.find((each: { job: { title: string } }) => each.job.title.startsWith("Lantern House")).id;
};

/** What any other reader finds in a PDF; Poppler stands for them. */
function readPdf(bytes: Buffer): { readonly text: string; readonly images: number } {
  const file = join(mkdtempSync(join(tmpdir(), "wide-porch-")), "quote.pdf");
  writeFileSync(file, bytes);
  const read = (tool: string, ...args: string[]) => execFileSync(tool, args, { encoding: "utf8" });
  // Two heading lines, then one for each image.
  const images = read("pdfimages", "-list", file).trim().split("\n").slice(2);
  return {
    text: read("pdftotext", "-layout", file, "-"),
    images: images.filter((line) => !line.includes("smask")).length,
  };
}

/** A picture that ships with the app. */
const png = readFileSync(resolve(__dirname, "../../../app/public/icons/icon-192.png"));

describe("a picture on the quote", () => {
  const caption = "The framing, Ground";
  async function jobWithPicture(): Promise<{ jobId: string; photoId: string }> {
    const { jobId } = await jobWithWall();
    const photoId = randomUUID();
    await ros.put(`/api/v1/jobs/${jobId}/photos/${photoId}`).set("content-type", "image/png").send(png).expect(200);
    const { job, revision } = (await ros.get(`/api/v1/jobs/${jobId}`).expect(200)).body.job;
    const changes = { quote: { ...job.quote, pictures: [{ id: photoId, caption }] } };
    const command = { commandId: randomUUID(), baseRevision: revision, changes };
    await ros.patch(`/api/v1/jobs/${jobId}`).send(command).expect(200);
    return { jobId, photoId };
  }

  it("is on the draft's PDF with its caption, and on that of the quote once it is taken off the job", async () => {
    const { jobId, photoId } = await jobWithPicture();
    const draft = (await ros.get(`/api/v1/jobs/${jobId}/quote-draft`).expect(200)).body;
    expect(draft.pictures).toEqual([{ id: photoId, caption }]);
    const issued = (await issue(jobId).expect(201)).body;
    const { job, revision } = (await ros.get(`/api/v1/jobs/${jobId}`).expect(200)).body.job;
    const without = {
      commandId: randomUUID(),
      baseRevision: revision,
      changes: { quote: { ...job.quote, pictures: [] } },
    };
    await ros.patch(`/api/v1/jobs/${jobId}`).send(without).expect(200);
    const { body: pdf } = await ros.get(`/api/v1/jobs/${jobId}/quotes/${issued.id}/pdf`).buffer(true).expect(200);
    const { text, images } = readPdf(pdf);
    expect(text).toContain(caption);
    expect(images).toBe(1);
    const { body: plain } = await ros.get(`/api/v1/jobs/${jobId}/quote-draft.pdf`).buffer(true).expect(200);
    expect(readPdf(plain).images).toBe(0);
    // The first PDF of a thread reads its fonts and what draws: seconds on a machine with other work on it.
  }, 90_000);

  it("goes with the job's file under an id of its own, on the job and on its issued quotes", async () => {
    const { jobId, photoId } = await jobWithPicture();
    await issue(jobId).expect(201);
    const file = (await ros.get(`/api/v1/jobs/${jobId}/file`).expect(200)).body;
    const copy = (await ros.post("/api/v1/job-files").send(file).expect(201)).body.id;
    const [picture] = (await ros.get(`/api/v1/jobs/${copy}`).expect(200)).body.job.job.quote.pictures;
    expect(picture.caption).toBe(caption);
    expect(picture.id).not.toBe(photoId);
    await ros.get(`/api/v1/jobs/${copy}/photos/${picture.id}`).expect(200);
    const quotes = (await ros.get(`/api/v1/jobs/${copy}/quotes`).expect(200)).body.items;
    expect(quotes[0].document.pictures).toEqual([picture]);
  });
});

describe("an issued quote", () => {
  it("stays as it was when the job changes; the draft follows", async () => {
    const { jobId, wall } = await jobWithWall();
    const issued = (await issue(jobId).expect(201)).body;
    const longer = { ...wall, length: { ...wall.length, valueNm: 2 * (wall.length.valueNm ?? 0) } };
    const change = { commandId: randomUUID(), baseRevision: 1, part: longer };
    await ros.put(`/api/v1/jobs/${jobId}/parts/${wall.id}`).send(change).expect(200);
    const kept = (await ros.get(`/api/v1/jobs/${jobId}/quotes`).expect(200)).body.items[0];
    expect(kept).toEqual(issued);
    const draft = (await ros.get(`/api/v1/jobs/${jobId}/quote-draft`).expect(200)).body;
    expect(Number(draft.total)).toBeGreaterThan(Number(issued.document.total));
  });

  it("is issued once for one command, and numbered on for the next", async () => {
    const { jobId } = await jobWithWall();
    const commandId = randomUUID();
    const first = (await issue(jobId, commandId).expect(201)).body;
    expect((await issue(jobId, commandId).expect(201)).body).toEqual(first);
    const second = (await issue(jobId).expect(201)).body;
    expect(second.sequence).toBe(2);
    expect(second.number).not.toBe(first.number);
  });

  it("keeps its numbers apart when several are issued at once", async () => {
    const jobs = await Promise.all([jobWithWall(), jobWithWall(), jobWithWall()]);
    const answers = await Promise.all(jobs.map(({ jobId }) => issue(jobId).expect(201)));
    expect(new Set(answers.map((answer) => answer.body.number)).size).toBe(3);
  });

  it("needs something to quote", async () => {
    const jobId = (await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201)).body.id;
    expect((await issue(jobId).expect(422)).body.problems[0].code).toBe("nothing-to-quote");
  });

  it("is kept with all it was made from", async () => {
    const { jobId } = await jobWithWall();
    await issue(jobId).expect(201);
    const [row] = await server.dataSource.query("SELECT snapshot FROM quote WHERE jobId = ?", [jobId]);
    const snapshot = typeof row.snapshot === "string" ? JSON.parse(row.snapshot) : row.snapshot;
    expect(Object.keys(snapshot).toSorted()).toEqual(["assemblies", "job", "parts", "priceList", "standard"]);
  });
});

describe("the PDF", () => {
  it("has text that can be selected, adds up, and says nothing internal", async () => {
    const jobId = await lanternHouse();
    const answer = await ros
      .get(`/api/v1/jobs/${jobId}/quote-draft.pdf`)
      .buffer(true)
      .parse((response, done) => {
        const chunks: Buffer[] = [];
        response.on("data", (chunk: Buffer) => chunks.push(chunk));
        response.on("end", () => done(null, Buffer.concat(chunks)));
      });
    expect(answer.type).toBe("application/pdf");
    const { text } = readPdf(answer.body);
    expect(text).toContain("Lantern House: boot room and wrap-around porch");
    expect(text).toContain("8 ft 1 1/8 in high");
    const amounts = (label: string) =>
      [...text.matchAll(new RegExp(`${label}\\s+\\$([\\d,]+\\.\\d\\d)`, "g"))].map((match) =>
        Number(match[1]?.replace(/,/g, "")),
      );
    const parts = amounts("Price for this part");
    expect(parts).toHaveLength(16);
    const [before] = amounts("Price before tax");
    const [tax] = amounts("Sales tax at 6.5 %");
    expect(parts.reduce((sum, each) => sum + each, 0)).toBeCloseTo(before ?? 0, 2);
    expect((before ?? 0) + (tax ?? 0)).toBeCloseTo(amounts("Total to pay")[0] ?? 0, 2);
    expect(text).not.toMatch(/markup|margin|overhead|unit cost|per hour|invented\) *\$/i);
  });
});

describe("the job file", () => {
  it("leaves and comes back as the same job, quotes and all, and fits the published schema", async () => {
    const jobId = await lanternHouse();
    const file = (await ros.get(`/api/v1/jobs/${jobId}/file`).expect(200)).body;
    const schema = JSON.parse(
      readFileSync(resolve(__dirname, "../../../../docs/schemas/job-file.schema.json"), "utf8"),
    );
    // The committed schema is the one the program reads by.
    expect(schema).toEqual(JSON.parse(JSON.stringify(jobFileJsonSchema())));
    const validate = new Ajv2020({ strict: false, validateFormats: false }).compile(schema);
    expect(validate(file)).toBe(true);
    const copy = (await ros.post("/api/v1/job-files").send(file).expect(201)).body.id;
    const again = (await ros.get(`/api/v1/jobs/${copy}/file`).expect(200)).body;
    // Each part's id by its place in the file, wherever it stands: parts name each other.
    const withoutIds = (each: { parts: { id: string }[] }): unknown =>
      JSON.parse(
        each.parts.reduce((text, { id }, index) => text.replaceAll(id, `part ${index}`), JSON.stringify(each)),
      );
    // The copy is at the prices of the moment it comes in: those of another company's list are not in the file.
    expect(Date.parse(again.job.prices.at)).toBeGreaterThan(Date.parse(file.job.prices.at));
    const { prices } = file.job;
    expect(withoutIds({ ...again, job: { ...again.job, prices } })).toEqual(withoutIds(file));
    const price = async (id: string) => (await ros.get(`/api/v1/jobs/${id}/price`)).body.total;
    expect(await price(copy)).toBe(await price(jobId));
  });

  it("that does not fit changes nothing and says where it fails", async () => {
    const jobId = await lanternHouse();
    const file = (await ros.get(`/api/v1/jobs/${jobId}/file`).expect(200)).body;
    const before = (await ros.get("/api/v1/jobs")).body.total;
    const lone = file.parts.findIndex((each: { name: string }) => each.name === "House wall");
    const broken = structuredClone(file);
    broken.parts[lone].openings[0].width.valueNm = "wide";
    const answer = await ros.post("/api/v1/job-files").send(broken).expect(422);
    expect(answer.body.problems[0].path).toBe(`parts.${lone}.openings.0.width.valueNm`);
    const impossible = structuredClone(file);
    impossible.parts[lone].length.valueNm = 25_400_000;
    const refused = await ros.post("/api/v1/job-files").send(impossible).expect(422);
    expect(refused.body.problems[0].path).toBe(`parts.${lone}.length`);
    for (const nonsense of [{}, [], { format: "wide-porch/job" }]) {
      await ros.post("/api/v1/job-files").send(nonsense).expect(422);
    }
    expect((await ros.get("/api/v1/jobs")).body.total).toBe(before);
  });
});

describe("the API's description", () => {
  it("is valid OpenAPI and names every path", async () => {
    const { body } = await server.anonymous.get("/api/v1/openapi.json").expect(200);
    const api = await SwaggerParser.validate(structuredClone(body));
    expect(Object.keys(api.paths ?? {})).toEqual(
      expect.arrayContaining([
        "/session",
        "/jobs",
        "/jobs/{jobId}/parts/{partId}",
        "/jobs/{jobId}/quotes/{quoteId}/pdf",
      ]),
    );
  });
});

describe("what an issued quote was made from", () => {
  it("is answered as it was, whatever the price list and the job are now", async () => {
    const { jobId: id } = await jobWithWall();
    const juno = await server.signedInAs("juno@fernhollow.example");
    const { body: issued } = await issue(id).expect(201);
    const { body } = await ros.get(`/api/v1/jobs/${id}/quotes/${issued.id}/inputs`).expect(200);
    const library = { ...starterLibrary, assemblies: body.assemblies, standard: body.standard ?? undefined };
    expect(reckonJob(body.job, body.parts, body.priceList, library).buildUp.total).toBe(issued.document.total);
    await juno.get(`/api/v1/jobs/${id}/quotes/${issued.id}/inputs`).expect(403);
    await ros.get(`/api/v1/jobs/${id}/quotes/${randomUUID()}/inputs`).expect(404);
  });
});
