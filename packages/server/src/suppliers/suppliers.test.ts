import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { guessPriceMatch, readPrices } from "@wide-porch/core";
import { starterPriceList } from "@wide-porch/library";
import supertest from "supertest";
import { DEMO_PASSWORD } from "../demo/people";
import type { StandIn } from "../standIns/roofReports";
import { type SupplierMode, startSuppliers } from "../standIns/suppliers";
import { type Agent, startTestServer, type TestServer } from "../testing/testServer";

let server: TestServer;
let standIn: StandIn;
let ros: Agent;

async function agentAsking(suppliers: string | undefined, email = "ros@fernhollow.example"): Promise<Agent> {
  const app = server.appWith({ suppliers });
  const own = supertest.agent(app);
  const answer = await own.post("/api/v1/session").send({ email, password: DEMO_PASSWORD }).expect(201);
  own.set("x-csrf-token", answer.body.csrfToken);
  return own;
}
const set = (mode: SupplierMode) =>
  fetch(`${standIn.address}/mode`, { method: "POST", body: new URLSearchParams({ mode }), redirect: "manual" });
const YARD = "/api/v1/suppliers/marlcroft-timber-yard/prices";
const read = (table: { columns: string[]; rows: string[][] }) =>
  readPrices(table, guessPriceMatch(table.columns), {
    priceList: starterPriceList,
    system: "imperial",
    today: "2026-12-01",
  });

beforeAll(async () => {
  server = await startTestServer();
  standIn = await startSuppliers();
  ros = await agentAsking(standIn.address);
});
afterAll(async () => {
  await standIn.stop();
  await server.stop();
});
afterEach(() => set("well"));

it("lists the suppliers, and reads one's prices as changes of our items by its own codes", async () => {
  const { body } = await ros.get("/api/v1/suppliers").expect(200);
  expect(body.items.map(({ name }: { name: string }) => name)).toContain("Marlcroft Timber Yard (invented)");
  expect(body.page).toBe(standIn.address);
  const changes = read((await ros.get(YARD).expect(200)).body);
  const own = starterPriceList.filter(({ supplier }) => supplier === "Marlcroft Timber Yard (invented)");
  expect(changes).toHaveLength(own.length);
  expect(new Set(changes.map(({ status }) => status))).toEqual(new Set(["changed", "same"]));
});

it("with wrong prices among the right ones: the wrong are refused or asked about, the others can be taken", async () => {
  await set("wrong");
  const changes = read((await ros.get(YARD).expect(200)).body);
  const words = changes.flatMap((change) => change.words).join(" ");
  expect(words).toContain("is less than nothing");
  expect(words).toContain("has a comma where a decimal point belongs");
  expect(words).toContain("there is no code");
  expect(changes.some(({ status }) => status === "asked")).toBe(true);
});

it.each([
  ["half", "broke off half-way"],
  ["down", "cannot (503)"],
  ["slow", "did not answer in five seconds"],
] as const)(
  "that is %s is told in words, and nothing is taken",
  async (mode, words) => {
    await set(mode);
    const { body } = await ros.get(YARD).expect(424);
    expect(body.detail).toContain(words);
    expect(body.detail).toContain("Nothing was taken.");
  },
  20_000,
);

it("that nobody knows, that is not set up, or is not there is told; crew ask nobody", async () => {
  await ros.get("/api/v1/suppliers/none/prices").expect(404);
  await (await agentAsking(undefined)).get("/api/v1/suppliers").expect(404);
  await (await agentAsking("http://127.0.0.1:1")).get("/api/v1/suppliers").expect(424);
  await (await agentAsking(standIn.address, "juno@fernhollow.example")).get("/api/v1/suppliers").expect(403);
});

it("that sends something else is told", async () => {
  const answers = ["<html>", "[1]", '{"prices":[{"code":1}]}'];
  let index = 0;
  const odd = createServer((request, response) => {
    response.end(request.url === "/suppliers" ? '[{"id":"a","name":"A"}]' : answers[index]);
  });
  await new Promise<void>((done) => odd.listen(0, "127.0.0.1", done));
  const agent = await agentAsking(`http://127.0.0.1:${(odd.address() as AddressInfo).port}`);
  for (index = 0; index < answers.length; index += 1) await agent.get("/api/v1/suppliers/a/prices").expect(424);
  await new Promise((done) => odd.close(done));
});

it("has a page with its switches, and takes no other word for one", async () => {
  await set("down");
  const page = await (await fetch(standIn.address)).text();
  expect(page).toContain("Does not work (now)");
  await fetch(`${standIn.address}/mode`, {
    method: "POST",
    body: new URLSearchParams({ mode: "gone" }),
    redirect: "manual",
  });
  expect(await (await fetch(standIn.address)).text()).toContain("Does not work (now)");
});
