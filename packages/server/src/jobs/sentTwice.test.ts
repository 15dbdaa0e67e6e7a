import { randomUUID } from "node:crypto";
import { starterAssemblies, starterPriceList } from "@wide-porch/library";
import { type Agent, NEW_JOB, startTestServer, type TestServer } from "../testing/testServer";

let server: TestServer;
let ros: Agent;
beforeAll(async () => {
  server = await startTestServer();
  ros = await server.signedInAs("ros@fernhollow.example");
});
afterAll(() => server.stop());

type Verb = "post" | "put";
const sent = (method: Verb, path: string, body: object, id: string) =>
  ros[method](`/api/v1${path}`).set("Idempotency-Key", id).send(body);

const count = async (table: string): Promise<number> => {
  const [row] = await server.dataSource.query(`SELECT COUNT(*) AS count FROM ${table}`);
  return Number(row.count);
};

const [assembly] = starterAssemblies;
const [item] = starterPriceList;
if (!assembly || !item) throw new Error("the library has assemblies and prices");
const ownItem = (code: string) => ({ ...item, code });

type Case = readonly [name: string, method: Verb, path: string, body: object, table: string];
const CASES: readonly Case[] = [
  ["a job that is started", "post", "/jobs", NEW_JOB, "job"],
  ["an item of the price list", "post", "/price-list", { item: ownItem("twice/one") }, "price_item"],
  [
    "prices out of a file",
    "post",
    "/price-batches",
    { fromWhere: "a file", changes: [{ baseRevision: 0, item: ownItem("twice/two") }] },
    "price_batch",
  ],
  [
    "a version of an assembly",
    "put",
    `/assemblies/${assembly.system}/${assembly.id}`,
    { baseVersion: assembly.version, assembly },
    "assembly",
  ],
];

describe("what is sent twice, because no answer came", () => {
  it.each(CASES)("%s is made once, and answered alike", async (_, method, path, body, table) => {
    const before = await count(table);
    const id = randomUUID();
    const answers = await Promise.all([1, 2, 3].map(() => sent(method, path, body, id)));
    const later = await sent(method, path, body, id);
    expect(new Set([...answers, later].map(({ text }) => text)).size).toBe(1);
    expect(later.status).toBeLessThan(300);
    expect(await count(table)).toBe(before + 1);
  });

  it("a job's file is brought in once", async () => {
    const { body } = await ros.get("/api/v1/jobs?find=Skylark").expect(200);
    const file = (await ros.get(`/api/v1/jobs/${body.items[0].id}/file`).expect(200)).body;
    const before = await count("job");
    const id = randomUUID();
    const first = await sent("post", "/job-files", file, id).expect(201);
    const second = await sent("post", "/job-files", file, id).expect(201);
    expect(second.body).toEqual(first.body);
    expect(await count("job")).toBe(before + 1);
  });

  it("under a name that was used for something else is refused, and under none is made again", async () => {
    const id = randomUUID();
    await sent("post", "/jobs", NEW_JOB, id).expect(201);
    const { body } = await sent("post", "/jobs", { ...NEW_JOB, title: "Another" }, id).expect(422);
    expect(body.problems[0].code).toBe("command-reused");
    await sent("post", "/jobs", NEW_JOB, "no uuid").expect(422);
    const before = await count("job");
    await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201);
    await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201);
    expect(await count("job")).toBe(before + 2);
  });
});
