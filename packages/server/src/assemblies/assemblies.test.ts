import { randomUUID } from "node:crypto";
import { type Assembly, PART_KINDS, partContext } from "@wide-porch/core";
import { library, starterAssemblies } from "@wide-porch/library";
import { addCompany, NEW_JOB, newWall, startTestServer, type TestServer } from "../testing/testServer";

let server: TestServer;
let ros: Awaited<ReturnType<TestServer["signedInAs"]>>;
let juno: typeof ros;

beforeAll(async () => {
  server = await startTestServer();
  ros = await server.signedInAs("ros@fernhollow.example");
  juno = await server.signedInAs("juno@fernhollow.example");
});
afterAll(() => server.stop());

const all = async (agent = ros): Promise<{ assembly: Assembly; retired: boolean }[]> =>
  (await agent.get("/api/v1/assemblies").expect(200)).body.items;

async function insideWall(): Promise<Assembly> {
  const found = (await all()).find(({ assembly }) => assembly.id === "inside-wall" && assembly.system === "imperial");
  if (!found) throw new Error("no inside wall");
  return found.assembly;
}

const save = (assembly: Assembly, baseVersion: number, agent = ros) =>
  agent.put(`/api/v1/assemblies/${assembly.system}/${assembly.id}`).send({ baseVersion, assembly });

describe("assemblies of a company", () => {
  it("begin with the starters, sound and in both systems", async () => {
    const { items } = (await ros.get("/api/v1/assemblies").expect(200)).body;
    expect(items).toHaveLength(starterAssemblies.length);
    expect(items.every((each: { problems: number; failingExamples: number }) => each.problems === 0)).toBe(true);
    expect(items.every((each: { failingExamples: number }) => each.failingExamples === 0)).toBe(true);
  });

  it("are saved as a next version, and a job keeps the version its walls have", async () => {
    const job = (await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201)).body;
    const wall = newWall(randomUUID());
    const part = { commandId: randomUUID(), baseRevision: 0, part: wall };
    await ros.put(`/api/v1/jobs/${job.id}/parts/${wall.id}`).send(part).expect(200);
    const before = (await ros.get(`/api/v1/jobs/${job.id}/counts`).expect(200)).body.counts[0].lines;

    const now = await insideWall();
    const rules = now.rules.map((rule) =>
      rule.name === "studNails" ? { ...rule, formula: '6 * pieces("stud")' } : rule,
    );
    const saved = await save({ ...now, rules }, now.version).expect(200);
    expect(saved.body.assembly.version).toBe(now.version + 1);
    expect((await insideWall()).version).toBe(now.version + 1);

    const full = (await ros.get(`/api/v1/jobs/${job.id}`).expect(200)).body;
    expect(full.assemblies.map((each: Assembly) => [each.id, each.version])).toEqual([["inside-wall", 1]]);
    expect((await ros.get(`/api/v1/jobs/${job.id}/counts`)).body.counts[0].lines).toEqual(before);

    // Once the wall takes the new version, its nails follow.
    const newer = { ...wall, assembly: { id: "inside-wall", version: now.version + 1 } };
    const change = { commandId: randomUUID(), baseRevision: 1, part: newer };
    await ros.put(`/api/v1/jobs/${job.id}/parts/${wall.id}`).send(change).expect(200);
    const after = (await ros.get(`/api/v1/jobs/${job.id}/counts`)).body.counts[0].lines;
    const nails = (lines: { rule: string; quantity: number }[]) =>
      lines.find((line) => line.rule === "studNails")?.quantity;
    expect([nails(before), nails(after)]).toEqual([40, 60]);
  });

  it("are refused where somebody saved one meanwhile, with the newest", async () => {
    const now = await insideWall();
    const { body } = await save(now, now.version - 1).expect(409);
    expect(body.current.version).toBe(now.version);
  });

  it("are saved with mistakes in them, and marked", async () => {
    const now = await insideWall();
    const [first] = now.rules;
    if (!first) throw new Error("no rule");
    const broken: Assembly = {
      ...now,
      id: "broken-wall",
      name: "Broken",
      rules: [{ ...first, formula: "lenght / 2" }],
      examples: [],
    };
    const { body } = await save(broken, 0).expect(200);
    expect(body).toMatchObject({ problems: 1, assembly: { version: 1 } });
  });

  it("that are no assembly are refused, told where", async () => {
    const now = await insideWall();
    const wrong = { ...now, rules: [{ ...now.rules[0], formula: "" }] };
    const { body } = await save(wrong as Assembly, now.version).expect(422);
    expect(body.problems[0].path).toBe("assembly.rules.0.formula");
    const renamed = await ros
      .put("/api/v1/assemblies/imperial/another")
      .send({ baseVersion: 0, assembly: now })
      .expect(422);
    expect(renamed.body.problems[0].code).toBe("id-changed");
  });

  it("can be put away and taken out again", async () => {
    const path = "/api/v1/assemblies/imperial/party-wall";
    expect((await ros.patch(path).send({ retired: true }).expect(200)).body.retired).toBe(true);
    expect(
      (await all()).find(({ assembly }) => assembly.id === "party-wall" && assembly.system === "imperial")?.retired,
    ).toBe(true);
    expect((await ros.patch(path).send({ retired: false }).expect(200)).body.retired).toBe(false);
    await ros.patch("/api/v1/assemblies/imperial/none").send({ retired: true }).expect(404);
  });

  it("are read by crew, and changed by those who see costs", async () => {
    expect((await all(juno)).length).toBeGreaterThan(0);
    const now = await insideWall();
    await save(now, now.version, juno).expect(403);
  });

  it("are each company's own", async () => {
    await addCompany(server.dataSource, "isolde@dunnock.example");
    const isolde = await server.signedInAs("isolde@dunnock.example");
    expect((await all(isolde)).some(({ assembly }) => assembly.id === "broken-wall")).toBe(false);
  });
});

describe("house standards", () => {
  it("are saved as a next version; the job that names one counts by it", async () => {
    const { items } = (await ros.get("/api/v1/standards").expect(200)).body;
    const tight = items.find((each: { standard: { id: string } }) => each.standard.id === "tight-access").standard;
    const changed = { ...tight, parameters: [{ assemblyId: "", name: "spacing", value: 609_600_000 }] };
    const path = `/api/v1/standards/${tight.system}/${tight.id}`;
    const saved = await ros.put(path).send({ baseVersion: tight.version, standard: changed }).expect(200);
    const { version } = saved.body.standard;
    expect(version).toBe(2);

    const job = (
      await ros
        .post("/api/v1/jobs")
        .send({ ...NEW_JOB, system: tight.system })
        .expect(201)
    ).body;
    const changes = { standard: { id: tight.id, version } };
    await ros.patch(`/api/v1/jobs/${job.id}`).send({ commandId: randomUUID(), baseRevision: 1, changes }).expect(200);
    const full = (await ros.get(`/api/v1/jobs/${job.id}`).expect(200)).body;
    expect(full.standard).toMatchObject({ id: "tight-access", version: 2 });
  });
});

describe("what is allowed for a thing that is not chosen yet", () => {
  it("is told to those who see costs, and to nobody else in any answer", async () => {
    const set = (await all()).find(({ assembly }) => assembly.id === "door-set" && assembly.system === "imperial");
    if (!set) throw new Error("no door set");
    const rules = set.assembly.rules.map((rule) =>
      rule.name === "leaves" ? { ...rule, supply: { by: "allowance" as const, rate: "87.65" } } : rule,
    );
    const { version } = (await save({ ...set.assembly, rules }, set.assembly.version).expect(200)).body.assembly;
    const job = (await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201)).body;
    const context = partContext("imperial", library);
    const doors = {
      ...PART_KINDS.spots.defaults(randomUUID(), "Doors", context),
      count: 3,
      uses: [{ id: "use", assembly: { id: "door-set", version }, choices: {} }],
    };
    const part = { commandId: randomUUID(), baseRevision: 0, part: doors };
    await ros.put(`/api/v1/jobs/${job.id}/parts/${doors.id}`).send(part).expect(200);
    const paths = [
      "/api/v1/assemblies",
      `/api/v1/jobs/${job.id}`,
      `/api/v1/jobs/${job.id}/changes?since=0`,
      `/api/v1/jobs/${job.id}/counts`,
    ];
    for (const path of paths) {
      const crew = JSON.stringify((await juno.get(path).expect(200)).body);
      expect([path, crew.includes("87.65")]).toEqual([path, false]);
      // The line itself is there, with who supplies it.
      expect([path, crew.includes("allowance")]).toEqual([path, true]);
    }
    for (const path of paths.slice(0, 3)) {
      expect(JSON.stringify((await ros.get(path).expect(200)).body)).toContain("87.65");
    }
    expect((await ros.get(`/api/v1/jobs/${job.id}/price`).expect(200)).body.lines).toContainEqual(
      expect.objectContaining({ description: "Allowance: Door leaves", cost: "262.95" }),
    );
  });
});
