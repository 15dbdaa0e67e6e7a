import { addCompany, startTestServer, type TestServer } from "../testing/testServer";
import { hashToken } from "./tokens";

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const ROS = "ros@fernhollow.example";

describe("signing in", () => {
  it("offers the demo people, and takes their password", async () => {
    const people = await server.anonymous.get("/api/v1/demo-people").expect(200);
    expect(people.body.items.map((each: { role: string }) => each.role)).toEqual(["owner", "estimator", "crew"]);
    const ros = await server.signedInAs(ROS);
    const { body } = await ros.get("/api/v1/session").expect(200);
    expect(body.session).toMatchObject({
      user: { email: ROS, role: "owner" },
      company: { name: "Fernhollow Building" },
    });
  });

  it("says nobody is signed in, and keeps them out, before", async () => {
    expect((await server.anonymous.get("/api/v1/session").expect(200)).body).toEqual({ session: null });
    const { body, type } = await server.anonymous.get("/api/v1/jobs").expect(401);
    expect(type).toBe("application/problem+json");
    expect(body).toMatchObject({ status: 401, title: "Sign in first" });
  });

  it("answers a wrong password and an unknown person alike", async () => {
    const wrong = await server.anonymous.post("/api/v1/session").send({ email: ROS, password: "x" }).expect(401);
    const unknown = await server.anonymous
      .post("/api/v1/session")
      .send({ email: "no@one.example", password: "x" })
      .expect(401);
    expect(wrong.body.detail).toBe(unknown.body.detail);
  });

  it("sets a cookie that scripts and other sites do not get, and stores only its hash", async () => {
    const answer = await server.anonymous
      .post("/api/v1/session")
      .send({ email: ROS, password: "porch-demo-2026" })
      .expect(201);
    const cookie = String(answer.headers["set-cookie"]);
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
    const token = /wide_porch_session=([^;]+)/.exec(cookie)?.[1] ?? "";
    const rows = await server.dataSource.query("SELECT id FROM session");
    expect(rows.map((row: { id: string }) => row.id)).toContain(hashToken(token));
    expect(JSON.stringify(rows)).not.toContain(token);
  });

  it("keeps passwords as argon2id", async () => {
    const rows = await server.dataSource.query("SELECT passwordHash FROM user");
    for (const row of rows) expect(row.passwordHash).toMatch(/^\$argon2id\$/);
  });

  it("refuses a change without the session's token", async () => {
    const ros = await server.signedInAs(ROS);
    await ros.post("/api/v1/jobs").set("x-csrf-token", "wrong").send({}).expect(403);
    await ros.post("/api/v1/jobs").set("x-csrf-token", "").send({}).expect(403);
  });

  it("ends with the session", async () => {
    const piet = await server.signedInAs("piet@fernhollow.example");
    await piet.delete("/api/v1/session").expect(204);
    await piet.get("/api/v1/jobs").expect(401);
  });

  it("does not take an expired session", async () => {
    const juno = await server.signedInAs("juno@fernhollow.example");
    await server.dataSource.query("UPDATE session SET expiresAt = UTC_TIMESTAMP() - INTERVAL 1 DAY");
    await juno.get("/api/v1/jobs").expect(401);
  });

  it("stops a run of wrong passwords, for that person only", async () => {
    await addCompany(server.dataSource, "isolde@dunnock.example");
    const attempt = () =>
      server.anonymous.post("/api/v1/session").send({ email: "isolde@dunnock.example", password: "guess" });
    for (let tries = 0; tries < 10; tries += 1) await attempt().expect(401);
    const { body } = await attempt().expect(429);
    expect(body.detail).toContain("Wait ten minutes");
    await server.signedInAs(ROS);
  });
});
