import { randomUUID } from "node:crypto";
import { QueryFailedError } from "typeorm";
import { toldOf, whyFailed } from "../database/failures";
import { type Agent, addCompany, NEW_JOB, startTestServer, type TestServer } from "../testing/testServer";

let server: TestServer;
let ros: Agent;
beforeAll(async () => {
  server = await startTestServer();
  await addCompany(server.dataSource, "isolde@dunnock.example");
  ros = await server.signedInAs("ros@fernhollow.example");
});
afterAll(() => server.stop());

type Line = { id: string; what: string; who: string; place: string; about: string };
const log = async (query = ""): Promise<Line[]> => (await ros.get(`/api/v1/events${query}`).expect(200)).body.items;

describe("the log of a company", () => {
  it("has what matters, with who, when and where from; newest first", async () => {
    await server.anonymous
      .post("/api/v1/session")
      .send({ email: "juno@fernhollow.example", password: "no" })
      .expect(401);
    const juno = await server.signedInAs("juno@fernhollow.example");
    const { items } = (await ros.get("/api/v1/people").expect(200)).body;
    const id = items.find((each: { email: string }) => each.email.startsWith("juno")).id;
    await ros.patch(`/api/v1/people/${id}`).send({ role: "estimator" }).expect(200);
    await ros.patch(`/api/v1/people/${id}`).send({ role: "crew" }).expect(200);
    await ros.get("/api/v1/company/file").expect(200);
    const jobId = (await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201)).body.id;
    await ros.get(`/api/v1/jobs/${jobId}/file`).expect(200);
    await ros.post(`/api/v1/jobs/${jobId}/bin`).send({ commandId: randomUUID() }).expect(200);
    const lines = await log();
    expect(lines.slice(0, 7).map(({ what, who }) => [what, who])).toEqual([
      ["job-deleted", "Ros Adeyemi-Lund"],
      ["job-exported", "Ros Adeyemi-Lund"],
      ["company-exported", "Ros Adeyemi-Lund"],
      ["person-changed", "Ros Adeyemi-Lund"],
      ["person-changed", "Ros Adeyemi-Lund"],
      ["signed-in-on-new-device", "Juno Vale"],
      ["not-signed-in", "Juno Vale"],
    ]);
    expect(lines.slice(0, 4).map(({ about }) => about)).toEqual([
      NEW_JOB.title,
      NEW_JOB.title,
      "",
      "Juno Vale, role crew",
    ]);
    expect(lines.every(({ place }) => /127\.0\.0\.1/.test(place))).toBe(true);
    await juno.get("/api/v1/events").expect(403);
  });

  it("says in words what was taken, changed or taken back, also of what is gone", async () => {
    const [item] = (await ros.get("/api/v1/price-list").expect(200)).body.items;
    const changes = [{ baseRevision: 0, item: { ...item.item, code: "noted/one" } }];
    const batch = (await ros.post("/api/v1/price-batches").send({ fromWhere: "yard.csv", changes }).expect(201)).body;
    await ros.post(`/api/v1/price-batches/${batch.id}/undo`).expect(200);
    await ros.patch("/api/v1/company/safety").send({ idleHours: 48, longestDays: null }).expect(200);
    await ros.patch("/api/v1/company/safety").send({ idleHours: null, longestDays: 20 }).expect(200);
    const invite = { name: "Wren", email: "wren@puddock.example", role: "crew" };
    const { invitation } = (await ros.post("/api/v1/invitations").send(invite).expect(201)).body;
    await ros.delete(`/api/v1/invitations/${invitation.id}`).expect(204);
    expect((await log()).slice(0, 6).map(({ what, about }) => [what, about])).toEqual([
      ["invitation-taken-back", "wren@puddock.example"],
      ["invited", "email wren@puddock.example, role crew"],
      ["safety-changed", "signed out without a visit: as on the server, signed out in any case: 20 d"],
      ["safety-changed", "signed out without a visit: 2 d, signed out in any case: as on the server"],
      ["prices-taken-back", "yard.csv, items: 1"],
      ["prices-taken", "yard.csv, items: 1"],
    ]);
    await ros.patch("/api/v1/company/safety").send({ longestDays: null }).expect(200);
  });

  it("has nothing of what was refused, nothing of another company, and no password", async () => {
    const isolde = await server.signedInAs("isolde@dunnock.example");
    const own = (await isolde.get("/api/v1/events").expect(200)).body.items;
    expect(own.map(({ who }: Line) => who)).toEqual(["Isolde Dunnock"]);
    const before = (await log()).length;
    await ros.patch("/api/v1/people/none").send({ role: "crew" }).expect(404);
    await ros.post("/api/v1/invitations").send({ name: "x", email: "none", role: "crew" }).expect(422);
    expect((await log()).length).toBe(before);
    expect(JSON.stringify(await server.dataSource.query("SELECT * FROM event"))).not.toMatch(/porch-demo/);
  });

  it("is read page by page, and by kinds", async () => {
    const rows = Array.from({ length: 120 }, () => "signed-out");
    const [{ companyId }] = await server.dataSource.query(
      "SELECT companyId FROM user WHERE email = 'ros@fernhollow.example'",
    );
    for (const what of rows) {
      await server.dataSource.query(
        "INSERT INTO event (companyId, at, what, who, place, device, about) VALUES (?, UTC_TIMESTAMP(3), ?, 'x', '', '', '')",
        [companyId, what],
      );
    }
    const seen = new Set<string>();
    let before = "";
    for (let more = true; more; ) {
      const { body } = await ros.get(`/api/v1/events?of=signed-out${before}`).expect(200);
      for (const { id, what } of body.items) {
        expect([what, seen.has(id)]).toEqual(["signed-out", false]);
        seen.add(id);
      }
      before = `&before=${body.items.at(-1).id}`;
      more = body.more;
    }
    expect(seen.size).toBe(120);
  });
});

describe("the server's own logs", () => {
  it("have none of the values of a statement that failed", async () => {
    const email = "somebody-7341@secret.example";
    const insert = () =>
      server.dataSource.query(
        "INSERT INTO user (id, companyId, email, name, role, passwordHash) SELECT UUID(), companyId, ?, ?, role, '' FROM user LIMIT 1",
        [email, "Nobody 7341"],
      );
    await insert();
    const error = await insert().catch((caught: unknown) => caught);
    if (!(error instanceof QueryFailedError)) throw new Error("the same address twice is refused");
    expect(JSON.stringify([error.message, error.parameters])).toContain("7341");
    const told = JSON.stringify([toldOf(error), whyFailed(error)]);
    expect(told).not.toMatch(/7341|secret/);
    expect(told).toMatch(/INSERT INTO user failed: ER_DUP_ENTRY/);
    expect(toldOf(new Error("plain")).message).toBe("plain");
  });
});
