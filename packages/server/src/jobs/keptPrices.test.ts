import { randomUUID } from "node:crypto";
import supertest from "supertest";
import { DEMO_PASSWORD } from "../demo/people";
import { type Agent, addCompany, NEW_JOB, newWall, startTestServer, type TestServer } from "../testing/testServer";

let server: TestServer;
let ros: Agent;
let juno: Agent;
let stranger: Agent;
const api = (path: string) => `/api/v1${path}`;

beforeAll(async () => {
  server = await startTestServer();
  await addCompany(server.dataSource, "isolde@dunnock.example");
  ros = await server.signedInAs("ros@fernhollow.example");
  juno = await server.signedInAs("juno@fernhollow.example");
  stranger = await server.signedInAs("isolde@dunnock.example");
});
afterAll(() => server.stop());

async function newJob(title = "Test job"): Promise<string> {
  const { body } = await ros
    .post(api("/jobs"))
    .send({ ...NEW_JOB, title })
    .expect(201);
  return body.id;
}
async function addWall(id: string) {
  const wall = newWall();
  await ros
    .put(api(`/jobs/${id}/parts/${wall.id}`))
    .send({ commandId: randomUUID(), baseRevision: 0, part: wall })
    .expect(200);
  return wall;
}
const CODE = "nail%2F16d";
async function setPrice(price: string): Promise<number> {
  const { body } = await ros.get(api("/price-list")).expect(200);
  const { revision, item } = body.items.find((each: { item: { code: string } }) => each.item.code === "nail/16d");
  const changed = { ...item, buying: { ...item.buying, price } };
  await ros
    .put(api(`/price-list/${CODE}`))
    .send({ baseRevision: revision, item: changed })
    .expect(200);
  return revision + 1;
}
const totalOf = async (id: string): Promise<string> => (await ros.get(api(`/jobs/${id}/price`)).expect(200)).body.total;
const keptOf = async (id: string, who = ros) => (await who.get(api(`/jobs/${id}/prices`)).expect(200)).body.kept;
async function patch(id: string, changes: object): Promise<void> {
  const { body } = await ros.get(api(`/jobs/${id}`)).expect(200);
  const baseRevision = body.job.revision;
  await ros
    .patch(api(`/jobs/${id}`))
    .send({ commandId: randomUUID(), baseRevision, changes })
    .expect(200);
}

describe("a job's prices", () => {
  it("stay those it was started with, on its quotes too, until newer ones are taken: one by one, or all", async () => {
    await setPrice("20.00");
    const id = await newJob();
    await addWall(id);
    const before = await totalOf(id);
    expect(await keptOf(id)).toEqual([]);
    const revision = await setPrice("920.00");
    expect(await totalOf(id)).toBe(before);
    const { body: draft } = await ros.get(api(`/jobs/${id}/quote-draft`)).expect(200);
    expect(draft.total).toBe(before);
    expect(await keptOf(id)).toMatchObject([
      { revision: revision - 1, item: { code: "nail/16d", buying: { price: "20.00" } } },
    ]);
    const { body } = await ros.get(api(`/jobs/${id}`)).expect(200);
    const { prices } = body.job.job;
    await patch(id, { prices: { ...prices, taken: { "nail/16d": revision } } });
    expect(await keptOf(id)).toEqual([]);
    const after = await totalOf(id);
    expect(Number(after)).toBeGreaterThan(Number(before));
    await setPrice("30.00");
    expect(await totalOf(id)).toBe(after);
    await patch(id, { prices: { at: new Date().toISOString(), taken: {} } });
    expect(Number(await totalOf(id))).toBeLessThan(Number(after));
    await patch(id, { prices: { at: null, taken: {} } });
    await setPrice("20.00");
    expect(await totalOf(id)).toBe(before);
  });

  it("are told to crew without what they are, and to nobody outside", async () => {
    await setPrice("45.67");
    const id = await newJob();
    await setPrice("46.78");
    expect(await keptOf(id)).toHaveLength(1);
    const kept = await keptOf(id, juno);
    expect(kept).toMatchObject([{ item: { buying: { price: null } } }]);
    await stranger.get(api(`/jobs/${id}/prices`)).expect(404);
  });

  it("are refused as nonsense", async () => {
    const id = await newJob();
    const { body } = await ros.get(api(`/jobs/${id}`)).expect(200);
    for (const prices of [
      { at: "yesterday", taken: {} },
      { at: null, taken: { a: 0 } },
      { at: null, taken: { a: 1.5 } },
      { taken: {} },
      null,
    ])
      await ros
        .patch(api(`/jobs/${id}`))
        .send({ commandId: randomUUID(), baseRevision: body.job.revision, changes: { prices } })
        .expect(422);
  });
});

describe("the price of a job that nobody touched", () => {
  it("is answered by its tag alone, and anew once the job or a price is another", async () => {
    const id = await newJob();
    await addWall(id);
    const first = await ros.get(api(`/jobs/${id}/price`)).expect(200);
    const tag = String(first.headers.etag);
    const again = () => ros.get(api(`/jobs/${id}/price`)).set("If-None-Match", tag);
    expect((await again().expect(304)).text).toBe("");
    expect((await ros.get(api(`/jobs/${id}/price`)).expect(200)).body).toEqual(first.body);
    await addWall(id);
    expect((await again().expect(200)).body.total).not.toBe(first.body.total);
    await juno
      .get(api(`/jobs/${id}/price`))
      .set("If-None-Match", tag)
      .expect(403);
    await stranger
      .get(api(`/jobs/${id}/price`))
      .set("If-None-Match", tag)
      .expect(404);
  });
});

describe("the list of jobs", () => {
  type Listed = { readonly id: string; readonly total: { total: string; marginPercent: string; old: boolean } | null };
  const list = async (query: string, who = ros): Promise<Listed[]> =>
    (await who.get(api(`/jobs?${query}`)).expect(200)).body.items;

  it("says what each came to when it was last reckoned, and whether that is old; to crew nothing", async () => {
    const id = await newJob("Reckoned and listed");
    await addWall(id);
    const own = async (who = ros) => (await list("find=Reckoned+and+listed", who)).find((each) => each.id === id);
    expect((await own())?.total).toBeNull();
    const { body } = await ros.get(api(`/jobs/${id}/total`)).expect(200);
    expect((await own())?.total).toEqual({ ...body, old: false });
    expect(body.total).toBe(await totalOf(id));
    await addWall(id);
    expect((await own())?.total?.old).toBe(true);
    expect((await own(juno))?.total).toBeNull();
    await juno.get(api(`/jobs/${id}/total`)).expect(403);
  });

  it("is sorted as asked, and by what is no secret for crew", async () => {
    const [a, b] = [await newJob("Sorted, aster"), await newJob("Sorted, beech")];
    await addWall(b);
    await addWall(b);
    await addWall(a);
    for (const id of [a, b]) await ros.get(api(`/jobs/${id}/total`)).expect(200);
    const ids = async (query: string, who = ros) => (await list(`find=Sorted&${query}`, who)).map((each) => each.id);
    expect(await ids("sort=title")).toEqual([a, b]);
    expect(await ids("sort=total")).toEqual([b, a]);
    expect(await ids("sort=total", juno)).toEqual(await ids("", juno));
    await ros.get(api("/jobs?sort=nothing")).expect(422);
  });

  it("has what was put away, and what others start from, on shelves of their own", async () => {
    const id = await newJob("Put away");
    await patch(id, { shelf: "archived", stage: "done" });
    expect(await list("find=Put+away")).toEqual([]);
    expect((await list("find=Put+away&shelf=archived")).map((each) => each.id)).toEqual([id]);
    expect(await list("find=Put+away&shelf=archived&stage=won")).toEqual([]);
    expect(await list("find=Put+away&shelf=archived&stage=done")).toHaveLength(1);
  });
});

describe("a copy of a job", () => {
  const copy = (id: string, change: object = {}, who = ros) =>
    who
      .post(api(`/jobs/${id}/copies`))
      .send({ title: "Copy", customerName: "Next", site: "", partIds: null, shelf: "open", typed: true, ...change });

  it("has its parts under ids of their own, comes to the same, and goes its own way", async () => {
    const id = await newJob();
    const wall = await addWall(id);
    await addWall(id);
    const { body } = await copy(id).expect(201);
    const { body: full } = await ros.get(api(`/jobs/${body.id}`)).expect(200);
    expect(full.parts).toHaveLength(2);
    expect(full.parts.map((each: { id: string }) => each.id)).not.toContain(wall.id);
    expect(await totalOf(body.id)).toBe(await totalOf(id));
    const [first] = full.parts;
    await ros
      .post(api(`/jobs/${body.id}/parts/${first.id}/bin`))
      .send({ commandId: randomUUID(), baseRevision: 1 })
      .expect(200);
    expect((await ros.get(api(`/jobs/${id}`))).body.parts).toHaveLength(2);
  });

  it("may be of some parts, or the start of others; not for crew, strangers or without a name", async () => {
    const id = await newJob();
    const wall = await addWall(id);
    await addWall(id);
    const { body } = await copy(id, { partIds: [wall.id], shelf: "template", title: "A start" }).expect(201);
    expect((await ros.get(api(`/jobs/${body.id}`))).body.parts).toHaveLength(1);
    expect(body.job).toMatchObject({ shelf: "template", title: "A start" });
    await copy(id, { title: " " }).expect(422);
    await copy(id, { shelf: "archived" }).expect(422);
    await copy(id, {}, juno).expect(403);
    await copy(id, {}, stranger).expect(404);
    await copy(randomUUID()).expect(404);
  });
});

/** The same company after an update: a program of another build over the same database. */
async function updated(build: string): Promise<Agent> {
  const agent = supertest.agent(server.appWith({ build }));
  const { body } = await agent
    .post("/api/v1/session")
    .send({ email: "ros@fernhollow.example", password: DEMO_PASSWORD })
    .expect(201);
  agent.set("x-csrf-token", body.csrfToken);
  return agent;
}

describe("an update of the program that changes what a draft comes to", () => {
  const idOf = async () => (await ros.get("/api/v1/jobs?find=Bramblegate").expect(200)).body.items[0].id;
  const totalFor = async (agent: Agent, id: string) => (await agent.get(`/api/v1/jobs/${id}/total`).expect(200)).body;

  it("is said, the old sum beside the new, until somebody changes the job", async () => {
    const id = await idOf();
    const now = await totalFor(ros, id);
    expect(now.former).toBeNull();
    // As the earlier build had it: of another sum, of the same job at the same prices.
    await server.dataSource.query("UPDATE job_total SET total = 1234.50 WHERE jobId = ?", [id]);
    const later = await updated("a later build");
    const listed = async () => (await later.get("/api/v1/jobs?find=Bramblegate").expect(200)).body.items[0].total;
    expect(await listed()).toMatchObject({ old: true, former: null });
    expect(await totalFor(later, id)).toEqual({ ...now, former: "1234.50" });
    expect(await listed()).toMatchObject({ old: false, total: now.total, former: "1234.50" });
    // Another update, which changes nothing, does not forget it.
    expect(await totalFor(await updated("a third build"), id)).toEqual({ ...now, former: "1234.50" });
    const { job } = (await ros.get(`/api/v1/jobs/${id}`).expect(200)).body;
    await ros
      .patch(`/api/v1/jobs/${id}`)
      .send({ commandId: randomUUID(), baseRevision: job.revision, changes: { site: "Elsewhere" } })
      .expect(200);
    expect((await totalFor(later, id)).former).toBeNull();
  });

  it("is nothing to say where the sum is the same", async () => {
    const id = await idOf();
    const now = await totalFor(ros, id);
    expect(await totalFor(await updated("one more"), id)).toEqual({ ...now, former: null });
  });
});
