import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { guessMatch, readReport } from "@wide-porch/core";
import { readReportTable } from "@wide-porch/core/reckoning";
import supertest from "supertest";
import { DEMO_PASSWORD } from "../demo/people";
import { type StandIn, startRoofReports } from "../standIns/roofReports";
import { type Agent, startTestServer, type TestServer } from "../testing/testServer";

const OWNER = "ros@fernhollow.example";
let server: TestServer;
let standIn: StandIn;
let agent: Agent;

async function agentAsking(roofReports: string | undefined): Promise<Agent> {
  const app = server.appWith({ roofReports });
  const own = supertest.agent(app);
  const answer = await own.post("/api/v1/session").send({ email: OWNER, password: DEMO_PASSWORD }).expect(201);
  own.set("x-csrf-token", answer.body.csrfToken);
  return own;
}

beforeAll(async () => {
  server = await startTestServer();
  standIn = await startRoofReports();
  agent = await agentAsking(standIn.address);
});
afterAll(async () => {
  await standIn.stop();
  await server.stop();
});

it("lists the reports of the service, and sends one alike as JSON and as CSV", async () => {
  const { body } = await agent.get("/api/v1/roof-reports").expect(200);
  const [first] = body.items;
  const figuresAs = async (as: string) => {
    const { body: sent } = await agent.get(`/api/v1/roof-reports/${first.id}?as=${as}`).expect(200);
    const read = readReportTable(sent.text);
    if (!read.ok) throw new Error(read.message);
    return readReport(read.table, 0, guessMatch(read.table, "imperial"), "imperial");
  };
  const [json, csv] = [await figuresAs("json"), await figuresAs("csv")];
  expect(json).toHaveLength(9);
  expect(csv).toEqual(json);
  expect(json.every(({ ok }) => ok)).toBe(true);
});

it("remembers how columns are matched, for everybody of the company", async () => {
  const match = { area: { column: "Area", unit: "sqft" } };
  await agent.put("/api/v1/report-columns").send({ shape: "area|roof", match }).expect(200);
  const { body } = await agent.get("/api/v1/report-columns").expect(200);
  expect(body.columns["area|roof"]).toEqual(match);
  await agent.put("/api/v1/report-columns").send({ shape: "", match }).expect(422);
  await agent
    .put("/api/v1/report-columns")
    .send({ shape: "x", match: { area: "Area" } })
    .expect(422);
});

it("forgets the oldest shapes, not the newest", async () => {
  for (let index = 0; index < 42; index += 1)
    await agent
      .put("/api/v1/report-columns")
      .send({ shape: `shape ${index}`, match: {} })
      .expect(200);
  const { body } = await agent.get("/api/v1/report-columns").expect(200);
  expect(Object.keys(body.columns)).toHaveLength(40);
  expect(body.columns["shape 41"]).toEqual({});
  expect(body.columns["shape 1"]).toBeUndefined();
});

it("tells what the service lacks, and asks nothing but reports of it", async () => {
  await agent.get("/api/v1/roof-reports/MR-0").expect(404);
  await agent.get(`/api/v1/roof-reports/${encodeURIComponent("../reports")}`).expect(404);
  await agent.get("/api/v1/roof-reports/MR-2041?as=pdf").expect(422);
  await server.anonymous.get("/api/v1/roof-reports").expect(401);
});

it("tells that the service does not answer, or sends what cannot be read; the rest goes on", async () => {
  const nobody = await agentAsking("http://127.0.0.1:9");
  const down = await nobody.get("/api/v1/roof-reports").expect(424);
  expect(down.body.detail).toContain("does not answer");
  const none = await agentAsking(undefined);
  await none.get("/api/v1/roof-reports").expect(404);
  const odd = createServer((request, response) => {
    response.statusCode = request.url?.includes("broken") ? 500 : 200;
    response.end("<html>");
  });
  await new Promise<void>((listening) => odd.listen(0, "127.0.0.1", listening));
  const strange = await agentAsking(`http://127.0.0.1:${(odd.address() as AddressInfo).port}`);
  const unread = await strange.get("/api/v1/roof-reports").expect(424);
  expect(unread.body.detail).toContain("cannot be read");
  await strange.get("/api/v1/roof-reports/broken").expect(424);
  await strange.get("/api/v1/jobs").expect(200);
  await new Promise((stopped) => odd.close(stopped));
});
