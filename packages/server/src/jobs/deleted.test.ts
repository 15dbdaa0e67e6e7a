import { randomUUID } from "node:crypto";
import { tidyUp } from "../housekeeping/keepHouse";
import { thinVersions } from "../housekeeping/versions";
import { type Agent, NEW_JOB, newWall, startTestServer, type TestServer } from "../testing/testServer";
import { ONE_PIXEL } from "../testing/validRequests";

let server: TestServer;
let ros: Agent;
let juno: Agent;
beforeAll(async () => {
  server = await startTestServer();
  ros = await server.signedInAs("ros@fernhollow.example");
  juno = await server.signedInAs("juno@fernhollow.example");
});
afterAll(() => server.stop());

const start = async (): Promise<string> => (await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201)).body.id;
const bin = (id: string, agent = ros) => agent.post(`/api/v1/jobs/${id}/bin`).send({ commandId: randomUUID() });
const restore = (id: string) => ros.post(`/api/v1/jobs/${id}/restore`).send({ commandId: randomUUID() });
const put = (id: string, part = newWall(), baseRevision = 0) =>
  juno.put(`/api/v1/jobs/${id}/parts/${part.id}`).send({ commandId: randomUUID(), baseRevision, part });
const count = async (table: string, jobId: string): Promise<number> => {
  const [row] = await server.dataSource.query(`SELECT COUNT(*) AS count FROM ${table} WHERE jobId = ?`, [jobId]);
  return Number(row.count);
};

describe("a job that is deleted", () => {
  it("is there for nobody, says why, and comes back whole", async () => {
    const id = await start();
    await put(id).expect(200);
    await bin(id, juno).expect(403);
    await bin(id).expect(200);
    for (const path of [`jobs/${id}`, `jobs/${id}/changes?since=0`, `jobs/${id}/price`, `jobs/${id}/quotes`]) {
      const { body } = await ros.get(`/api/v1/${path}`).expect(404);
      expect([path, body.problems?.[0]?.code]).toEqual([path, "job-deleted"]);
    }
    // What a phone sends late is refused with words, and stays on it.
    expect((await put(id).expect(404)).body.detail).toMatch(/deleted.*restored/);
    await bin(id).expect(404);
    const listed = async () => (await ros.get("/api/v1/jobs?perPage=100").expect(200)).body.items;
    expect((await listed()).some((each: { id: string }) => each.id === id)).toBe(false);
    const { items } = (await ros.get("/api/v1/deleted-jobs").expect(200)).body;
    expect(items[0]).toMatchObject({ id, title: "Test job", by: "Ros Adeyemi-Lund" });
    expect(Date.parse(items[0].goneAt) - Date.parse(items[0].binnedAt)).toBe(30 * 86_400_000);
    await restore(id).expect(200);
    await restore(id).expect(404);
    expect((await ros.get(`/api/v1/jobs/${id}`).expect(200)).body.parts).toHaveLength(1);
  });

  it("is gone after thirty days with its parts, photos and quotes, and the log says so", async () => {
    const id = await start();
    await put(id).expect(200);
    const photo = randomUUID();
    await ros.put(`/api/v1/jobs/${id}/photos/${photo}`).set("content-type", "image/png").send(ONE_PIXEL).expect(200);
    await ros.post(`/api/v1/jobs/${id}/quotes`).send({ commandId: randomUUID() }).expect(201);
    await bin(id).expect(200);
    const removed: string[] = [];
    const store = {
      put: async () => undefined,
      get: async () => undefined,
      remove: async (_company: string, gone: string) => void removed.push(gone),
    };
    const deletedFor = (days: number) =>
      server.dataSource.query("UPDATE job SET binnedAt = UTC_TIMESTAMP() - INTERVAL ? DAY WHERE id = ?", [days, id]);
    await deletedFor(29);
    expect(await tidyUp(server.dataSource, store)).toMatchObject({ "deleted jobs": 0 });
    await deletedFor(31);
    expect(await tidyUp(server.dataSource, store)).toMatchObject({ "deleted jobs": 1 });
    expect(removed).toEqual([photo]);
    for (const table of ["part", "part_version", "photo", "quote", "job_total"]) {
      expect([table, await count(table, id)]).toEqual([table, 0]);
    }
    const [line] = (await ros.get("/api/v1/events").expect(200)).body.items;
    expect(line).toMatchObject({ what: "job-gone", about: "Test job" });
  });
});

describe("versions of parts", () => {
  it("are shown page by page, each once", async () => {
    const id = await start();
    const wall = newWall();
    await put(id, wall).expect(200);
    for (let revision = 1; revision < 70; revision += 1) {
      await put(id, { ...wall, name: `Version ${revision}` }, revision).expect(200);
    }
    const at = `/api/v1/jobs/${id}/parts/${wall.id}/history`;
    const first = (await ros.get(at).expect(200)).body;
    expect([first.items.length, first.more, first.items[0].revision]).toEqual([50, true, 70]);
    const rest = (await ros.get(`${at}?before=${first.items.at(-1).id}`).expect(200)).body;
    expect([rest.items.length, rest.more, rest.items.at(-1).revision]).toEqual([20, false, 1]);
  });

  it("of which a job has very many are thinned: all of today stay, of a day the last, and the one before each issue", async () => {
    const id = await start();
    const wall = newWall();
    await put(id, wall).expect(200);
    for (let revision = 1; revision < 12; revision += 1) await put(id, { ...wall, name: `V ${revision}` }, revision);
    await ros.post(`/api/v1/jobs/${id}/quotes`).send({ commandId: randomUUID() }).expect(201);
    const set = (revision: number, when: string) =>
      server.dataSource.query(`UPDATE part_version SET at = ${when} WHERE jobId = ? AND revision = ?`, [id, revision]);
    const daysAgo = (days: number, hour: number) => `UTC_DATE() - INTERVAL ${days} DAY + INTERVAL ${hour} HOUR`;
    for (const revision of [1, 2, 3, 4]) await set(revision, daysAgo(3, revision));
    for (const revision of [5, 6, 7, 8]) await set(revision, daysAgo(2, revision));
    await server.dataSource.query(`UPDATE quote SET issuedAt = ${daysAgo(3, 2)} + INTERVAL 30 MINUTE WHERE jobId = ?`, [
      id,
    ]);
    expect(await thinVersions(server.dataSource, 1000)).toBe(0);
    expect(await thinVersions(server.dataSource, 10)).toBe(5);
    const left = await server.dataSource.query("SELECT revision FROM part_version WHERE jobId = ? ORDER BY id", [id]);
    // 2 is what the quote was made from, 4 and 8 the last of their days, 9 to 12 of today.
    expect(left.map((row: { revision: number }) => row.revision)).toEqual([2, 4, 8, 9, 10, 11, 12]);
  });
});

describe("a part's record", () => {
  it("has a limit for all that is in it together, set aside as well as saved", async () => {
    const id = await start();
    const wall = newWall();
    await put(id, wall).expect(200);
    const choices = Object.fromEntries(Array.from({ length: 900 }, (_, index) => [`choice${index}`, "x".repeat(70)]));
    const large = { ...wall, choices } as typeof wall;
    const { body } = await put(id, large, 1).expect(422);
    expect(body.problems[0]).toMatchObject({ code: "too-large", path: "part" });
    await juno
      .post(`/api/v1/jobs/${id}/parts/${wall.id}/set-aside`)
      .send({ commandId: randomUUID(), part: large })
      .expect(422);
    const broken = { ...wall, length: { ...wall.length, valueNm: 1 } };
    const aside = await juno
      .post(`/api/v1/jobs/${id}/parts/${wall.id}/set-aside`)
      .send({ commandId: randomUUID(), part: broken });
    expect(aside.status).toBe(422);
    await juno
      .post(`/api/v1/jobs/${id}/parts/${wall.id}/set-aside`)
      .send({ commandId: randomUUID(), part: { ...wall, name: "Another" } })
      .expect(200);
  });

  it("under an id in other letters is no part", async () => {
    const id = await start();
    const wall = newWall();
    await put(id, wall).expect(200);
    const capitals = wall.id.toUpperCase();
    await juno
      .put(`/api/v1/jobs/${id}/parts/${capitals}`)
      .send({ commandId: randomUUID(), baseRevision: 1, part: { ...wall, id: capitals } })
      .expect(404);
    await ros.get(`/api/v1/jobs/${id.toUpperCase()}`).expect(404);
    await ros.get(`/api/v1/jobs/${"a".repeat(2000)}`).expect(404);
  });
});

describe("a job file with parts that are none", () => {
  it("is refused, and the place is said", async () => {
    const id = await start();
    await put(id).expect(200);
    const file = (await ros.get(`/api/v1/jobs/${id}/file`).expect(200)).body;
    for (const broken of [true, 0, "", null, [], "x"]) {
      const { body } = await ros
        .post("/api/v1/job-files")
        .send({ ...file, parts: [...file.parts, broken] })
        .expect(422);
      expect([broken, body.problems[0].path]).toEqual([broken, "parts.1"]);
    }
  });

  it("that were let in before are kept beside the others, and take no job with them", async () => {
    const id = await start();
    await put(id).expect(200);
    for (const stored of ["true", "0", '""', "[]", '{"kind":7}']) {
      await server.dataSource.query(
        `INSERT INTO part (id, companyId, jobId, revision, changeNumber, place, data, updatedAt, updatedBy)
         SELECT UUID(), companyId, jobId, 1, 1, 9, ?, updatedAt, updatedBy FROM part WHERE jobId = ? LIMIT 1`,
        [stored, id],
      );
    }
    const { body } = await ros.get(`/api/v1/jobs/${id}`).expect(200);
    expect(body.parts).toHaveLength(6);
    await ros.get(`/api/v1/jobs/${id}/counts`).expect(200);
    await ros.get(`/api/v1/jobs/${id}/price`).expect(200);
    await ros.get(`/api/v1/jobs/${id}/changes?since=0`).expect(200);
    await ros.get(`/api/v1/jobs/${id}/file`).expect(200);
    await ros.get("/api/v1/company/file").expect(200);
  });
});
