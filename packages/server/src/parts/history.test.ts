import { randomUUID } from "node:crypto";
import { type Agent, addCompany, NEW_JOB, newWall, startTestServer, type TestServer } from "../testing/testServer";

let server: TestServer;
let ros: Agent;
let piet: Agent;
let stranger: Agent;
let jobId: string;

beforeAll(async () => {
  server = await startTestServer();
  await addCompany(server.dataSource, "isolde@dunnock.example");
  ros = await server.signedInAs("ros@fernhollow.example");
  piet = await server.signedInAs("piet@fernhollow.example");
  stranger = await server.signedInAs("isolde@dunnock.example");
  jobId = (await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201)).body.id;
});
afterAll(() => server.stop());

const at = (partId: string, action = "") => `/api/v1/jobs/${jobId}/parts/${partId}${action}`;
const versions = async (partId: string) => (await ros.get(at(partId, "/history")).expect(200)).body.items;

describe("a part's history", () => {
  it("has every version with who made it, newest first", async () => {
    const wall = newWall();
    await ros.put(at(wall.id)).send({ commandId: randomUUID(), baseRevision: 0, part: wall }).expect(200);
    const renamed = { ...wall, name: "Renamed" };
    await piet.put(at(wall.id)).send({ commandId: randomUUID(), baseRevision: 1, part: renamed }).expect(200);
    await ros.post(at(wall.id, "/bin")).send({ commandId: randomUUID(), baseRevision: 2 }).expect(200);
    const items = await versions(wall.id);
    expect(
      items.map((each: { how: string; by: string; revision: number }) => [each.how, each.by, each.revision]),
    ).toEqual([
      ["binned", "Ros Adeyemi-Lund", 3],
      ["saved", "Piet Marrow", 2],
      ["saved", "Ros Adeyemi-Lund", 1],
    ]);
    expect(items[2].part.name).toBe(wall.name);
  });

  it("keeps a version that was not chosen, once, and leaves the part as it is", async () => {
    const wall = newWall();
    await ros.put(at(wall.id)).send({ commandId: randomUUID(), baseRevision: 0, part: wall }).expect(200);
    const aside = { commandId: randomUUID(), part: { ...wall, name: "Not chosen" } };
    await piet.post(at(wall.id, "/set-aside")).send(aside).expect(200);
    await piet.post(at(wall.id, "/set-aside")).send(aside).expect(200);
    const items = await versions(wall.id);
    expect(items.map((each: { how: string; part: { name: string } }) => [each.how, each.part.name])).toEqual([
      ["set-aside", "Not chosen"],
      ["saved", wall.name],
    ]);
    const { body } = await ros.get(`/api/v1/jobs/${jobId}`).expect(200);
    expect(body.parts.find((each: { id: string }) => each.id === wall.id)).toMatchObject({
      revision: 1,
      part: { name: wall.name },
    });
  });

  it("dates a change by how long ago it was made, whatever the device's clock says", async () => {
    const wall = newWall();
    const hour = 3_600_000;
    await ros
      .put(at(wall.id))
      .send({ commandId: randomUUID(), baseRevision: 0, part: wall, ageMs: 2 * hour })
      .expect(200);
    const [version] = await versions(wall.id);
    const ageMs = Date.now() - Date.parse(version.at);
    expect(Math.abs(ageMs - 2 * hour)).toBeLessThan(60_000);
    const future = { commandId: randomUUID(), baseRevision: 1, part: wall, ageMs: -5 };
    await ros.put(at(wall.id)).send(future).expect(422);
  });

  it("is nobody else's, and is not found where there is none", async () => {
    const wall = newWall();
    await ros.put(at(wall.id)).send({ commandId: randomUUID(), baseRevision: 0, part: wall }).expect(200);
    await stranger.get(at(wall.id, "/history")).expect(404);
    await stranger.post(at(wall.id, "/set-aside")).send({ commandId: randomUUID(), part: wall }).expect(404);
    await ros.get(at(randomUUID(), "/history")).expect(404);
  });
});
