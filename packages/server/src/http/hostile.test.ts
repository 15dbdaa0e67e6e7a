import { randomUUID } from "node:crypto";
import { newExtra } from "@wide-porch/core";
import { starterAssemblies, starterStandards } from "@wide-porch/library";
import { type Agent, addCompany, NEW_JOB, newWall, startTestServer, type TestServer } from "../testing/testServer";

let server: TestServer;
let ros: Agent;
let juno: Agent;
let jobId: string;

beforeAll(async () => {
  server = await startTestServer();
  ros = await server.signedInAs("ros@fernhollow.example");
  juno = await server.signedInAs("juno@fernhollow.example");
  jobId = (await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201)).body.id;
});
afterAll(() => server.stop());

const put = (agent: Agent, part: { id: string }, commandId: string = randomUUID(), baseRevision = 0) =>
  agent.put(`/api/v1/jobs/${jobId}/parts/${part.id}`).send({ commandId, baseRevision, part });

const inside = starterAssemblies.find((each) => each.id === "inside-wall" && each.system === "imperial");
if (!inside) throw new Error("the starters have an inside wall");
const saveAssembly = (id: string, change: object, baseVersion = 0) =>
  ros.put(`/api/v1/assemblies/imperial/${id}`).send({ baseVersion, assembly: { ...inside, id, name: id, ...change } });

describe("text that is none", () => {
  const HALF = "half \ud83d of one";
  const NULL = "null \u0000 byte";

  it.each([
    ["half an emoji", HALF],
    ["a null byte", NULL],
  ])("%s is refused in every field, with its path", async (_, text) => {
    const job = await ros
      .post("/api/v1/jobs")
      .send({ ...NEW_JOB, title: text })
      .expect(422);
    expect(job.body.problems[0].path).toBe("title");
    const part = await put(ros, { ...newWall(), notes: text } as never).expect(422);
    expect(part.body.problems[0].path).toBe("part.notes");
    const wall = newWall();
    const typed = { ...wall, length: { ...wall.length, typed: text } };
    expect((await put(ros, typed as never).expect(422)).body.problems[0].path).toBe("part.length.typed");
    const named = { ...wall, choices: { [text]: 1 } };
    expect((await put(ros, named as never).expect(422)).body.problems[0].code).toBe("not-text");
    await ros.post("/api/v1/session").send({ email: text, password: text }).expect(422);
    await ros.post("/api/v1/job-files").send({ format: text }).expect(422);
  });

  it("in an address is no such record", async () => {
    for (const address of ["jobs/%00", "jobs/%ED%A0%BD", "price-list/%00", "assemblies/imperial/%00"]) {
      const answer = await ros.get(`/api/v1/${address}`);
      expect([400, 404, 422]).toContain(answer.status);
    }
  });

  it("nested without end is refused", async () => {
    const deep = `{"part":${"[".repeat(5000)}${"]".repeat(5000)}}`;
    const answer = await ros
      .put(`/api/v1/jobs/${jobId}/parts/${randomUUID()}`)
      .set("content-type", "application/json")
      .send(deep);
    expect([400, 422]).toContain(answer.status);
  });

  it("in the token is no token: letters beyond ASCII are 403", async () => {
    const { body } = await ros.get("/api/v1/session").expect(200);
    const token: string = body.session.csrfToken;
    // As a header carries it: one byte a letter.
    const odd = `é${token.slice(1)}`;
    await ros.post("/api/v1/jobs").set("x-csrf-token", odd).send(NEW_JOB).expect(403);
  });
});

describe("a worked example that goes wrong", () => {
  const [plain] = inside.examples;
  const withChoice = (spacing: unknown) => ({ examples: [{ ...plain, choices: { ...plain?.choices, spacing } }] });

  it.each([
    ["a bare number where a length belongs", 16],
    ["no whole number", 0.3],
    ["more than any number can be exact", 1e300],
    ["less than nothing", -1],
    ["a yes", true],
    ["a word", "close"],
  ])("with %s is stored as one that does not come out, and the list is read after it", async (_, spacing) => {
    const id = `odd-${randomUUID().slice(0, 8)}`;
    const { body } = await saveAssembly(id, withChoice(spacing)).expect(200);
    expect(body.failingExamples).toBe(1);
    const list = await ros.get("/api/v1/assemblies").expect(200);
    expect(list.body.items.find((each: { assembly: { id: string } }) => each.assembly.id === id).failingExamples).toBe(
      1,
    );
  });

  it("comes out with a length as it is typed", async () => {
    const { body } = await saveAssembly("sound", withChoice("16 in")).expect(200);
    expect(body.failingExamples).toBe(0);
  });
});

describe("figures that lay out millions of pieces", () => {
  it.each([
    ["blocking every 0.01 mm", "blockingEvery", 10_000],
    ["studs every millimetre", "spacing", 1_000_000],
  ])("%s is refused by the part's own limits", async (_, key, value) => {
    const wall = newWall();
    const choices = { ...wall.choices, [key]: value };
    expect((await put(ros, { ...wall, choices } as never).expect(422)).body.problems[0].path).toContain(
      `choices.${key}`,
    );
  });

  it("bolts every nanometre by the assembly's", async () => {
    const { body } = await saveAssembly("bolts", { framing: { ...inside.framing, boltSpacingNm: 1 } }).expect(422);
    expect(body.problems[0].path).toBe("assembly.framing.boltSpacingNm");
  });

  it("studs every millimetre by the standard's", async () => {
    const standard = {
      ...starterStandards[0],
      id: "dense",
      version: 1,
      parameters: [{ assemblyId: "", name: "spacing", value: 1_000_000 }],
    };
    const { body } = await ros.put("/api/v1/standards/imperial/dense").send({ baseVersion: 0, standard }).expect(422);
    expect(body.problems[0].path).toBe("standard.parameters.0.value");
  });

  it("the largest wall five hundred times counts nothing, says so, and is soon answered", async () => {
    const nm = (valueNm: number) => ({ valueNm, typed: "", assumed: false });
    const id = (await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201)).body.id;
    const wall = { ...newWall(), length: nm(200e9), height: nm(15e9), repeats: 500 };
    await ros
      .put(`/api/v1/jobs/${id}/parts/${wall.id}`)
      .send({ commandId: randomUUID(), baseRevision: 0, part: wall })
      .expect(200);
    const { body } = await ros.get(`/api/v1/jobs/${id}/counts`).expect(200);
    expect(JSON.stringify(body.counts[0].problems)).toContain("are not laid out");
  });
});

describe("names that mean something else in formulas", () => {
  it.each(["ft", "if", "constructor"])("“%s” is refused, with the place", async (name) => {
    const parameters = [{ name, label: "P", kind: "number", default: 1 }, ...inside.parameters];
    const { body } = await saveAssembly("named", { parameters }).expect(422);
    expect(body.problems[0]).toMatchObject({ code: "reserved-name", path: "assembly.parameters.0.name" });
  });
});

/** A new job with a wall stored in it; its id. */
async function jobWithWall(): Promise<string> {
  const id = (await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201)).body.id;
  const wall = newWall();
  await ros
    .put(`/api/v1/jobs/${id}/parts/${wall.id}`)
    .send({ commandId: randomUUID(), baseRevision: 0, part: wall })
    .expect(200);
  return id;
}

describe("a total beyond what a quote can say", () => {
  it("is refused in words", async () => {
    const id = await jobWithWall();
    const { body } = await ros.get(`/api/v1/jobs/${id}`).expect(200);
    const { pricing } = body.job.job;
    const extras = Array.from({ length: 200 }, (_, index) => ({
      ...newExtra(`e${index}`, "plant", "Crane", "999999999"),
      quantity: "999999999",
      minutes: "999999999",
    }));
    const markupPercent = { ...pricing.markupPercent, plant: "999" };
    const changes = { pricing: { ...pricing, extras, overhead: { percent: "999", on: "before" }, markupPercent } };
    await ros
      .patch(`/api/v1/jobs/${id}`)
      .send({ commandId: randomUUID(), baseRevision: body.job.revision, changes })
      .expect(200);
    const answer = await ros.post(`/api/v1/jobs/${id}/quotes`).send({ commandId: randomUUID() }).expect(422);
    expect(answer.body.problems[0].code).toBe("total-too-large");
  });
});

describe("the same new thing saved twice at once", () => {
  const both = async (send: () => Promise<{ status: number }>) =>
    (await Promise.all([send(), send(), send()])).map((each) => each.status);

  it("a part by one command is saved once, and answered alike", async () => {
    const [wall, commandId] = [newWall(), randomUUID()];
    expect(await both(() => put(ros, wall, commandId))).toEqual([200, 200, 200]);
  });

  it("a part by several commands is saved once; the others are told", async () => {
    const wall = newWall();
    expect((await both(() => put(ros, wall))).toSorted()).toEqual([200, 409, 409]);
  });

  it("an assembly and its next version", async () => {
    expect((await both(() => saveAssembly("twice", {}))).toSorted()).toEqual([200, 409, 409]);
    expect((await both(() => saveAssembly("twice", {}, 1))).toSorted()).toEqual([200, 409, 409]);
  });

  it("a photo", async () => {
    const id = randomUUID();
    const png = Buffer.from(
      "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==",
      "base64",
    );
    const send = () => ros.put(`/api/v1/jobs/${jobId}/photos/${id}`).set("content-type", "image/png").send(png);
    expect(await both(send)).toEqual([200, 200, 200]);
  });

  it("one command for two jobs at once is carried out once", async () => {
    const commandId = randomUUID();
    const ids = [jobId, (await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201)).body.id];
    const answers = await Promise.all(
      ids.map((id) => {
        const part = newWall();
        return ros.put(`/api/v1/jobs/${id}/parts/${part.id}`).send({ commandId, baseRevision: 0, part });
      }),
    );
    expect(answers.map((each) => each.status).toSorted()).toEqual([200, 422]);
  });
});

describe("a command's note", () => {
  it("gives its answer to the same person for the same change alone: crew get no quote out of it", async () => {
    const wall = { ...newWall(), id: jobId };
    await put(ros, newWall()).expect(200);
    const commandId = randomUUID();
    const quote = await ros.post(`/api/v1/jobs/${jobId}/quotes`).send({ commandId }).expect(201);
    expect(quote.body.document.total).toBeDefined();
    const answer = await juno
      .put(`/api/v1/jobs/${jobId}/parts/${jobId}`)
      .send({ commandId, baseRevision: 0, part: wall })
      .expect(422);
    expect(answer.body.problems[0].code).toBe("command-reused");
    expect(JSON.stringify(answer.body)).not.toContain(quote.body.document.total);
  });

  it("of another person's part is theirs", async () => {
    const [wall, commandId] = [newWall(), randomUUID()];
    await put(ros, wall, commandId).expect(200);
    await put(juno, wall, commandId).expect(422);
  });
});

describe("quote numbers", () => {
  const issue = async (id: string, date?: string) =>
    (
      await ros
        .post(`/api/v1/jobs/${id}/quotes`)
        .send({ commandId: randomUUID(), ...(date ? { date } : {}) })
        .expect(201)
    ).body;
  const next = (number: string) => `${number.slice(0, 5)}${String(Number(number.slice(5)) + 1).padStart(4, "0")}`;

  it("of a job that comes in with a file are marked, and never given out again", async () => {
    const id = await jobWithWall();
    const first = await issue(id);
    const file = (await ros.get(`/api/v1/jobs/${id}/file`).expect(200)).body;
    const [quote] = file.quotes;
    // Two numbers on, as where another office of the company has gone on counting.
    const ahead = next(first.number);
    const quotes = [{ ...quote, document: { ...quote.document, number: ahead } }];
    const copy = (
      await ros
        .post("/api/v1/job-files")
        .send({ ...file, quotes })
        .expect(201)
    ).body.id;
    const { body } = await ros.get(`/api/v1/jobs/${copy}/quotes`).expect(200);
    expect(body.items).toMatchObject([{ number: ahead, imported: true }]);
    const second = await issue(id);
    expect(second.number).toBe(next(ahead));
    expect(second.imported).toBe(false);
    // The same file again is no second of the company's own numbers.
    await ros
      .post("/api/v1/job-files")
      .send({ ...file, quotes })
      .expect(201);
    expect((await issue(id)).number).toBe(next(second.number));
  });

  it("two issued at once have two", async () => {
    const numbers = await Promise.all([issue(jobId), issue(jobId), issue(jobId)]);
    expect(new Set(numbers.map((each) => each.number)).size).toBe(3);
  });

  it("of a file with a time or an amount that is none are refused with the place", async () => {
    const file = (await ros.get(`/api/v1/jobs/${jobId}/file`).expect(200)).body;
    const [quote] = file.quotes;
    const odd = async (change: object) =>
      (
        await ros
          .post("/api/v1/job-files")
          .send({ ...file, quotes: [{ ...quote, ...change }] })
          .expect(422)
      ).body.problems[0].path;
    expect(await odd({ issuedAt: "0001-01-01T00:00:00Z" })).toBe("quotes.0.issuedAt");
    expect(await odd({ document: { ...quote.document, total: "a lot" } })).toBe("quotes.0.document.total");
  });

  it("carry the day it is where the person is; no device's wrong clock reaches the paper", async () => {
    const day = (away: number) => new Date(Date.now() + away * 86_400_000).toISOString().slice(0, 10);
    for (const away of [-1, 0, 1]) expect((await issue(jobId, day(away))).document.date).toBe(day(away));
    expect((await issue(jobId, day(-40))).document.date).toBe(day(0));
    const draft = await ros.get(`/api/v1/jobs/${jobId}/quote-draft?date=${day(1)}`).expect(200);
    expect(draft.body.date).toBe(day(1));
  });
});

describe("sign-in limits", () => {
  it("count an address however it is typed as one person", async () => {
    await addCompany(server.dataSource, "orla@dunnock.example");
    const ways = [
      "orla@dunnock.example",
      " orla@dunnock.example",
      "Orla@Dunnock.example ",
      "ORLA@DUNNOCK.EXAMPLE",
      "\torla@dunnock.example",
    ];
    const attempt = (index: number) =>
      server.anonymous.post("/api/v1/session").send({ email: ways[index % ways.length], password: "guess" });
    for (let tries = 0; tries < 10; tries += 1) await attempt(tries).expect(401);
    for (let tries = 0; tries < 5; tries += 1) await attempt(tries).expect(429);
  });

  it("hold for a place as well, whoever is tried", async () => {
    const statuses: number[] = [];
    for (let tries = 0; tries < 70; tries += 1) {
      statuses.push(
        (await server.anonymous.post("/api/v1/session").send({ email: `p${tries}@dunnock.example`, password: "x" }))
          .status,
      );
    }
    expect(statuses.slice(-5)).toEqual([429, 429, 429, 429, 429]);
    expect(statuses.filter((each) => each === 401).length).toBeLessThanOrEqual(60);
  }, 60_000);
});

describe("parts of a kind or version that the server does not know", () => {
  it("are kept, passed on unchanged, and stop nothing else", async () => {
    const id = await jobWithWall();
    const file = (await ros.get(`/api/v1/jobs/${id}/file`).expect(200)).body;
    const strange = { kind: "hovercraft", schemaVersion: 3, id: "x1", name: "Skirt", uses: [{ fans: 2 }] };
    const newer = { ...newWall(), schemaVersion: 99, more: true };
    const copy = (
      await ros
        .post("/api/v1/job-files")
        .send({ ...file, parts: [...file.parts, strange, newer] })
        .expect(201)
    ).body.id;
    const { body } = await ros.get(`/api/v1/jobs/${copy}`).expect(200);
    const passed = body.parts.map((each: { part: unknown }) => each.part);
    expect(passed).toContainEqual(strange);
    expect(passed).toContainEqual(newer);
    const counts = await ros.get(`/api/v1/jobs/${copy}/counts`).expect(200);
    expect(counts.body.counts).toHaveLength(1);
    await ros.get(`/api/v1/jobs/${copy}/quote-draft`).expect(200);
    const again = (await ros.get(`/api/v1/jobs/${copy}/file`).expect(200)).body;
    expect(again.parts).toContainEqual(strange);
    const row = body.parts.find((each: { part: { kind: string } }) => each.part.kind === "hovercraft");
    const over = { ...newWall(), id: row.id };
    const answer = await ros
      .put(`/api/v1/jobs/${copy}/parts/${row.id}`)
      .send({ commandId: randomUUID(), baseRevision: row.revision, part: over })
      .expect(422);
    expect(answer.body.problems[0].code).toBe("not-known");
  });

  it("a file of a newer version is not taken in, and says so", async () => {
    const file = (await ros.get(`/api/v1/jobs/${jobId}/file`).expect(200)).body;
    const { body } = await ros
      .post("/api/v1/job-files")
      .send({ ...file, schemaVersion: 2 })
      .expect(422);
    expect(body.problems[0].message).toContain("newer version");
  });

  it("a job, a price and an assembly of newer versions leave the lists standing", async () => {
    const other = (
      await ros
        .post("/api/v1/jobs")
        .send({ ...NEW_JOB, title: "Of tomorrow" })
        .expect(201)
    ).body.id;
    const { dataSource } = server;
    const newer = "JSON_SET(data, '$.schemaVersion', 99)";
    await dataSource.query(`UPDATE job SET data = ${newer} WHERE id = ?`, [other]);
    await dataSource.query(`UPDATE price_item SET data = ${newer} WHERE code = 'nail/8d'`);
    await dataSource.query(`UPDATE assembly SET data = ${newer} WHERE id = 'sound'`);
    const jobs = await juno.get("/api/v1/jobs").expect(200);
    const found = jobs.body.items.find((each: { id: string }) => each.id === other);
    expect(found.job).toEqual({ schemaVersion: 99, title: "Of tomorrow", customerName: NEW_JOB.customerName });
    expect((await ros.get(`/api/v1/jobs/${other}`).expect(422)).body.detail).toContain("kept as it is");
    await ros.get("/api/v1/assemblies").expect(200);
    await ros.get("/api/v1/price-list").expect(200);
    expect(JSON.stringify((await juno.get("/api/v1/price-list").expect(200)).body)).not.toContain("nail/8d");
    await ros.get(`/api/v1/jobs/${jobId}/price`).expect(200);
  });
});

describe("a new job", () => {
  it("starts with the company's usual standard, in its newest version", async () => {
    const { body } = await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201);
    expect(body.job.standard).toEqual({ id: "as-we-build", version: 1 });
  });

  it("with another once the company has chosen it, or with none; crew choose nothing", async () => {
    const choose = (agent: Agent, id: string | null) => agent.put("/api/v1/standards/imperial/usual").send({ id });
    const started = async () => (await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201)).body.job.standard;
    expect((await choose(ros, "new-build").expect(200)).body.usual).toEqual({
      imperial: "new-build",
      metric: "as-we-build",
    });
    expect(await started()).toEqual({ id: "new-build", version: 1 });
    await choose(ros, null).expect(200);
    expect(await started()).toBeNull();
    await choose(ros, "nobody-has-it").expect(404);
    await choose(juno, "new-build").expect(403);
    await ros.put("/api/v1/standards/elvish/usual").send({ id: null }).expect(404);
  });
});
