import supertest from "supertest";
import { createApp } from "../app";
import type { Config } from "../config";
import { startTestServer, type TestServer } from "../testing/testServer";

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const PERSON = { email: "ros@fernhollow.example", password: "porch-demo-2026" };
const appWith = (more: Partial<Config>) =>
  supertest(createApp(server.dataSource, { ...server.config, ...more }, server.logger, server));

describe("behind a proxy", () => {
  it("that speaks https, cookies go by https alone, and browsers are told to use nothing else", async () => {
    const secure = appWith({ address: "https://jobs.example.com", secureCookies: true, trustedHops: 1 });
    const answer = await secure.post("/api/v1/session").set("x-forwarded-proto", "https").send(PERSON).expect(201);
    expect(answer.headers["set-cookie"]?.[0]).toMatch(/; Secure/);
    expect(answer.headers["strict-transport-security"]).toMatch(/max-age=31536000/);
  });

  it("that is not there, plain http is served as it is", async () => {
    const answer = await appWith({}).post("/api/v1/session").send(PERSON).expect(201);
    expect(answer.headers["set-cookie"]?.[0]).not.toMatch(/Secure/);
    expect(answer.headers["strict-transport-security"]).toBeUndefined();
  });

  it("who asks is whom a trusted one names, and what others write in the header is nothing", async () => {
    const wrong = (app: ReturnType<typeof appWith>, from: string, index: number) =>
      app
        .post("/api/v1/session")
        .set("x-forwarded-for", from)
        .send({ email: `p${index}@proxy.example`, password: "guess" });
    const trusting = appWith({ trustedHops: 1 });
    for (let index = 0; index < 60; index += 1) await wrong(trusting, "203.0.113.7", index).expect(401);
    await wrong(trusting, "203.0.113.7", 61).expect(429);
    await wrong(trusting, "203.0.113.8", 62).expect(401);
    // With no proxy of one's own another address in the header is the same place.
    const plain = appWith({ trustedHops: 0 });
    const statuses = new Set<number>();
    for (let index = 0; index < 62; index += 1)
      statuses.add((await wrong(plain, `198.51.100.${index}`, 100 + index)).status);
    expect(statuses).toEqual(new Set([401, 429]));
  }, 60_000);
});
