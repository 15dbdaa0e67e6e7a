import { randomUUID } from "node:crypto";
import { type Agent, addCompany, NEW_JOB, newWall, startTestServer, type TestServer } from "../testing/testServer";

let server: TestServer;
let ros: Agent;
let juno: Agent;
let stranger: Agent;

beforeAll(async () => {
  server = await startTestServer();
  await addCompany(server.dataSource, "isolde@dunnock.example");
  ros = await server.signedInAs("ros@fernhollow.example");
  juno = await server.signedInAs("juno@fernhollow.example");
  stranger = await server.signedInAs("isolde@dunnock.example");
});
afterAll(() => server.stop());

const newJob = async (): Promise<string> => (await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201)).body.id;
const lanternHouse = async (): Promise<string> => {
  const { body } = await ros.get("/api/v1/jobs").expect(200);
  return body.items.find((each: { job: { title: string } }) => each.job.title.startsWith("Lantern House")).id;
};
const put = (jobId: string, part: { id: string }, baseRevision = 0, commandId: string = randomUUID()) =>
  ros.put(`/api/v1/jobs/${jobId}/parts/${part.id}`).send({ commandId, baseRevision, part });

describe("jobs", () => {
  it("start with the company's pricing and wording", async () => {
    const { body } = await ros.get(`/api/v1/jobs/${await newJob()}`).expect(200);
    expect(body.job.job).toMatchObject({
      title: "Test job",
      pricing: { ratePerHour: "46.00" },
      quote: { validDays: 30 },
    });
    expect(body.parts).toEqual([]);
  });

  it("need a name and a customer, said by field", async () => {
    const { body } = await ros
      .post("/api/v1/jobs")
      .send({ ...NEW_JOB, title: " ", customerName: "" })
      .expect(422);
    expect(body.problems.map((each: { path: string }) => each.path)).toEqual(["title", "customerName"]);
  });

  it("are listed by page", async () => {
    const { body } = await ros.get("/api/v1/jobs?perPage=1&page=2").expect(200);
    expect(body).toMatchObject({ page: 2, perPage: 1 });
    expect(body.items).toHaveLength(1);
    await ros.get("/api/v1/jobs?perPage=0").expect(422);
  });

  it("change only on the revision they were read at", async () => {
    const id = await newJob();
    const change = (baseRevision: number, title: string) =>
      ros.patch(`/api/v1/jobs/${id}`).send({ commandId: randomUUID(), baseRevision, changes: { title } });
    expect((await change(1, "Renamed").expect(200)).body).toMatchObject({ revision: 2, job: { title: "Renamed" } });
    const { body } = await change(1, "Too late").expect(409);
    expect(body.current).toMatchObject({ revision: 2, job: { title: "Renamed" } });
  });

  it("of another company are not there, whatever is asked of them", async () => {
    const id = await lanternHouse();
    const wall = newWall();
    const command = { commandId: randomUUID(), baseRevision: 1 };
    for (const path of ["", "/counts", "/price", "/quotes", "/quote-draft", "/quote-draft.pdf", "/file"]) {
      await stranger.get(`/api/v1/jobs/${id}${path}`).expect(404);
    }
    await stranger
      .patch(`/api/v1/jobs/${id}`)
      .send({ ...command, changes: { title: "Mine" } })
      .expect(404);
    await stranger
      .put(`/api/v1/jobs/${id}/parts/${wall.id}`)
      .send({ ...command, baseRevision: 0, part: wall })
      .expect(404);
    await stranger.post(`/api/v1/jobs/${id}/quotes`).send({ commandId: randomUUID() }).expect(404);
    const { body } = await stranger.get("/api/v1/jobs").expect(200);
    expect(body.items).toEqual([]);
    const quotes = await ros.get(`/api/v1/jobs/${id}/quotes`).expect(200);
    await stranger.get(`/api/v1/jobs/${id}/quotes/${quotes.body.items[0].id}/pdf`).expect(404);
  });

  it("that do not exist are 404", async () => {
    await ros.get(`/api/v1/jobs/${randomUUID()}`).expect(404);
    await ros.get("/api/v1/jobs/not-an-id").expect(404);
    await ros.get("/api/v1/nothing").expect(404);
  });
});

describe("the list of jobs", () => {
  it("is searched by every word in name, customer and site, whatever the capitals; signs are no patterns", async () => {
    const titles = async (find: string, who = ros): Promise<string[]> => {
      const { body } = await who.get(`/api/v1/jobs?find=${encodeURIComponent(find)}`).expect(200);
      return body.items.map((each: { job: { title: string } }) => each.job.title);
    };
    await ros
      .post("/api/v1/jobs")
      .send({ ...NEW_JOB, title: "100 % lime render", site: "Under_hill" })
      .expect(201);
    expect(await titles("LIME under_hill")).toEqual(["100 % lime render"]);
    expect(await titles("100 %")).toEqual(["100 % lime render"]);
    expect(await titles("lime nowhere")).toEqual([]);
    expect(await titles("Underxhill")).toEqual([]);
    expect(await titles("\\")).toEqual([]);
    expect(await titles("lantern")).toContain("Lantern House: boot room and wrap-around porch");
    expect((await titles("")).length).toBeGreaterThan(1);
    await ros.get(`/api/v1/jobs?find=${"x".repeat(161)}`).expect(422);
  });
});

describe("crew", () => {
  it("see what to build and what to order, and no cost anywhere", async () => {
    const id = await lanternHouse();
    const job = await juno.get(`/api/v1/jobs/${id}`).expect(200);
    expect(job.body.job.job.pricing).toBeNull();
    const counts = await juno.get(`/api/v1/jobs/${id}/counts`).expect(200);
    const counted = counts.body.counts.filter((each: { lines: unknown[] }) => each.lines.length > 0);
    expect(counted).toHaveLength(15);
    expect(JSON.stringify(counts.body)).not.toMatch(/unitPrice|cost/i);
    const list = await juno.get("/api/v1/price-list").expect(200);
    expect(JSON.stringify(list.body)).not.toMatch(/"price":"/);
    expect((await juno.get("/api/v1/jobs").expect(200)).body.items[0].job.pricing).toBeNull();
  });

  it("are refused prices, quotes, the job file and new jobs", async () => {
    const id = await lanternHouse();
    for (const path of ["price", "quotes", "quote-draft", "quote-draft.pdf", "file"]) {
      await juno.get(`/api/v1/jobs/${id}/${path}`).expect(403);
    }
    await juno.post("/api/v1/jobs").send(NEW_JOB).expect(403);
    await juno.post(`/api/v1/jobs/${id}/quotes`).send({ commandId: randomUUID() }).expect(403);
    await juno.put("/api/v1/price-list/nail%2F8d").send({}).expect(403);
  });

  it("may measure", async () => {
    const id = await newJob();
    const wall = newWall();
    const body = { commandId: randomUUID(), baseRevision: 0, part: wall };
    await juno.put(`/api/v1/jobs/${id}/parts/${wall.id}`).send(body).expect(200);
  });
});

describe("parts", () => {
  it("are saved and counted by the same code as in the app", async () => {
    const id = await newJob();
    const wall = newWall();
    await put(id, wall).expect(200);
    const { body } = await ros.get(`/api/v1/jobs/${id}/counts`).expect(200);
    // 12 ft at 16 in: 10 studs (arithmetic).
    const studs = body.counts[0].lines.find((line: { description: string }) => line.description.startsWith("Studs"));
    expect(studs.quantity).toBe(10);
    const price = await ros.get(`/api/v1/jobs/${id}/price`).expect(200);
    expect(Number(price.body.total)).toBeGreaterThan(0);
  });

  it("count a command sent twice once", async () => {
    const id = await newJob();
    const wall = newWall();
    const commandId = randomUUID();
    const first = await put(id, wall, 0, commandId).expect(200);
    const second = await put(id, wall, 0, commandId).expect(200);
    expect(second.body).toEqual(first.body);
    expect((await ros.get(`/api/v1/jobs/${id}`)).body.parts).toHaveLength(1);
    const other = newWall();
    expect((await put(id, other, 0, commandId).expect(422)).body.problems[0].code).toBe("command-reused");
  });

  it("refuse a second change of the same revision, with the newer state", async () => {
    const id = await newJob();
    const wall = newWall();
    await put(id, wall).expect(200);
    await put(id, { ...wall, name: "Renamed" } as typeof wall, 1).expect(200);
    const { body } = await put(id, { ...wall, name: "Too late" } as typeof wall, 1).expect(409);
    expect(body.current).toMatchObject({ revision: 2, part: { name: "Renamed" } });
  });

  it("of two changes sent at once, take exactly one", async () => {
    const id = await newJob();
    const wall = newWall();
    await put(id, wall).expect(200);
    const answers = await Promise.all(["A", "B", "C", "D"].map((name) => put(id, { ...wall, name } as typeof wall, 1)));
    expect(answers.map((answer) => answer.status).toSorted()).toEqual([200, 409, 409, 409]);
  });

  it("go to the bin and come out of it", async () => {
    const id = await newJob();
    const wall = newWall();
    await put(id, wall).expect(200);
    const path = `/api/v1/jobs/${id}/parts/${wall.id}/bin`;
    await ros.post(path).send({ commandId: randomUUID(), baseRevision: 1 }).expect(200);
    expect((await ros.get(`/api/v1/jobs/${id}`)).body.parts).toEqual([]);
    await put(id, wall, 2).expect(200);
    expect((await ros.get(`/api/v1/jobs/${id}`)).body.parts).toHaveLength(1);
    await ros
      .post(`/api/v1/jobs/${id}/parts/${randomUUID()}/bin`)
      .send({ commandId: randomUUID(), baseRevision: 1 })
      .expect(404);
  });

  it.each([
    ["not-positive", "part.length", { valueNm: 0, typed: "0", assumed: false }],
    ["not-positive", "part.length", { valueNm: -5, typed: "-5", assumed: false }],
    ["too-long", "part.length", { valueNm: 201_000_000_000, typed: "201m", assumed: false }],
    ["invalid_type", "part.length.valueNm", { valueNm: 1.5, typed: "", assumed: false }],
    ["invalid_type", "part.length.valueNm", { valueNm: "12'", typed: "", assumed: false }],
  ])("with %s are refused at %s", async (code, path, length) => {
    const id = await newJob();
    const { body } = await put(id, { ...newWall(), length } as never).expect(422);
    expect(body.problems[0]).toMatchObject({ code, path });
  });

  it("with an opening wider than the wall, or two that overlap, are refused by field", async () => {
    const id = await newJob();
    const inches = (count: number) => ({ valueNm: count * 25_400_000, typed: "", assumed: false });
    const opening = (name: string, position: number, width: number) => ({
      id: name,
      kind: "door",
      name,
      measuredAs: "rough",
      along: "from-left",
      position: inches(position),
      width: inches(width),
      height: inches(80),
      sill: inches(0),
    });
    const wide = { ...newWall(), openings: [opening("a", 12, 150)] };
    expect((await put(id, wide as never).expect(422)).body.problems[0]).toMatchObject({
      code: "opening-too-wide",
      path: "part.openings.a.width",
    });
    const overlapping = { ...newWall(), openings: [opening("a", 12, 40), opening("b", 40, 40)] };
    expect((await put(id, overlapping as never).expect(422)).body.problems[0].code).toBe("openings-overlap");
  });

  it("with an id that is not the address's, or no UUID, are refused", async () => {
    const id = await newJob();
    const body = { commandId: randomUUID(), baseRevision: 0, part: newWall() };
    await ros.put(`/api/v1/jobs/${id}/parts/${randomUUID()}`).send(body).expect(422);
    await put(id, newWall("plain")).expect(422);
  });
});

describe("bad bodies", () => {
  it("are 4xx with problem details, never 5xx", async () => {
    const post = () => ros.post("/api/v1/jobs").set("content-type", "application/json");
    expect((await post().send("{ not json")).status).toBe(400);
    expect((await post().send(`"${"x".repeat(5_000_000)}"`)).status).toBe(413);
    for (const body of ["null", "[]", '"text"', "7", "{}"]) {
      const answer = await post().send(body);
      expect([400, 422]).toContain(answer.status);
      expect(answer.type).toBe("application/problem+json");
    }
    expect((await ros.post("/api/v1/jobs").set("content-type", "text/plain").send("x")).status).toBe(422);
  });
});

describe("the price list", () => {
  it("changes one item on its revision, and the price of open jobs with it", async () => {
    const { body } = await ros.get("/api/v1/price-list").expect(200);
    const record = body.items.find((each: { item: { code: string } }) => each.item.code === "nail/8d");
    const item = { ...record.item, buying: { ...record.item.buying, price: "20.00" } };
    const change = () => ros.put("/api/v1/price-list/nail%2F8d").send({ baseRevision: record.revision, item });
    expect((await change().expect(200)).body).toMatchObject({ revision: 2, item: { buying: { price: "20.00" } } });
    expect((await change().expect(409)).body.current.revision).toBe(2);
    await ros.put("/api/v1/price-list/nail%2F10d").send({ baseRevision: 1, item }).expect(422);
    await ros.put("/api/v1/price-list/none").send({ baseRevision: 1, item }).expect(404);
    const broken = { ...item, buying: { ...item.buying, price: "-3" } };
    const refused = await ros.put("/api/v1/price-list/nail%2F8d").send({ baseRevision: 2, item: broken }).expect(422);
    expect(refused.body.problems[0].path).toBe("item.buying.price");
  });
});

describe("what changed since", () => {
  it("is nothing but the number while nothing did; then the parts that did, and no other", async () => {
    const id = await newJob();
    const [a, b] = [newWall(), newWall()];
    await put(id, a).expect(200);
    await put(id, b).expect(200);
    const { body: whole } = await ros.get(`/api/v1/jobs/${id}`).expect(200);
    const since = (change: number) => ros.get(`/api/v1/jobs/${id}/changes?since=${change}`);
    expect((await since(whole.change).expect(200)).body).toEqual({ change: whole.change });
    await put(id, Object.assign({}, b, { name: "Longer" }), 1).expect(200);
    const { body: one } = await since(whole.change).expect(200);
    expect(one.change).toBe(whole.change + 1);
    expect(one.changed.parts).toMatchObject([{ id: b.id, revision: 2, binned: false, part: { name: "Longer" } }]);
    expect(one.changed.assemblies.length).toBeGreaterThan(0);
    const bin = { commandId: randomUUID(), baseRevision: 1 };
    await ros.post(`/api/v1/jobs/${id}/parts/${a.id}/bin`).send(bin).expect(200);
    const { body: two } = await since(one.change).expect(200);
    expect(two.changed.parts).toMatchObject([{ id: a.id, binned: true }]);
    const change = { commandId: randomUUID(), baseRevision: 1, changes: { title: "Renamed" } };
    await ros.patch(`/api/v1/jobs/${id}`).send(change).expect(200);
    const { body: three } = await since(two.change).expect(200);
    expect(three).toMatchObject({ change: two.change + 1, changed: { parts: [], job: { job: { title: "Renamed" } } } });
  });

  it("has no assembly in a version that the device says it has, whole or changed", async () => {
    const id = await newJob();
    await put(id, newWall()).expect(200);
    const { body: whole } = await ros.get(`/api/v1/jobs/${id}`).expect(200);
    const known = whole.assemblies.map((each: { id: string; version: number }) => `${each.id}@${each.version}`);
    const ask = (path: string) => ros.get(`/api/v1/jobs/${id}${path}known=${encodeURIComponent(known.join(","))}`);
    expect(known.length).toBeGreaterThan(0);
    expect((await ask("?").expect(200)).body.assemblies).toEqual([]);
    expect((await ask("/changes?since=0&").expect(200)).body.changed.assemblies).toEqual([]);
    const others = await ros.get(`/api/v1/jobs/${id}?known=${known[0]}x,,@,${"y".repeat(200)}`).expect(200);
    expect(others.body.assemblies).toEqual(whole.assemblies);
    await ros.get(`/api/v1/jobs/${id}?known=${"y".repeat(9000)}`).expect(422);
  });

  it("is told to nobody outside the company, of no job that is not there, and by no number that is none", async () => {
    const id = await newJob();
    await stranger.get(`/api/v1/jobs/${id}/changes?since=1`).expect(404);
    await ros.get(`/api/v1/jobs/${randomUUID()}/changes?since=1`).expect(404);
    for (const since of ["", "-1", "1.5", "x", "1e99"])
      await ros.get(`/api/v1/jobs/${id}/changes?since=${since}`).expect(since === "" ? 200 : 422);
  });

  it("has no costs for crew", async () => {
    const id = await newJob();
    const crew = await juno.get(`/api/v1/jobs/${id}/changes?since=0`).expect(200);
    expect(crew.body.changed.job.job.pricing).toBe((await juno.get(`/api/v1/jobs/${id}`)).body.job.job.pricing);
  });
});
