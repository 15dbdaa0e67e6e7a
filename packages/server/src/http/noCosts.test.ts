import { randomUUID } from "node:crypto";
import { newExtra, plainHire } from "@wide-porch/core";
import { allEndpoints } from "../endpoints";
import { type Agent, NEW_JOB, newWall, startTestServer, type TestServer } from "../testing/testServer";

/** Figures that stand nowhere else: wherever one of them is answered, a cost is. */
const MARKS = {
  price: "913.57",
  oldPrice: "912.46",
  rate: "827.46",
  typed: "739.28",
  crew: "664.19",
  rateByHand: "553.71",
  wanted: "44821.63",
  allowance: "391.84",
  allowanceOfItem: "287.93",
  delivery: "176.52",
  quotedBy: "Somebody who quoted 65.41",
  hours: "5419.37",
};

let server: TestServer;
let ros: Agent;
let juno: Agent;
let jobId: string;
const wall = newWall();

async function changeItem(price: string): Promise<void> {
  const { body } = await ros.get("/api/v1/price-list").expect(200);
  const record = body.items.find((each: { item: { code: string } }) => each.item.code === "nail/8d");
  const hire = { ...plainHire, delivery: MARKS.delivery };
  const item = { ...record.item, hire, buying: { ...record.item.buying, price } };
  await ros.put("/api/v1/price-list/nail%2F8d").send({ baseRevision: record.revision, item }).expect(200);
}

beforeAll(async () => {
  server = await startTestServer();
  ros = await server.signedInAs("ros@fernhollow.example");
  juno = await server.signedInAs("juno@fernhollow.example");
  await changeItem(MARKS.oldPrice);
  // It keeps the old price, which is answered by an address of its own.
  jobId = (await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201)).body.id;
  await changeItem(MARKS.price);
  await ros
    .put(`/api/v1/jobs/${jobId}/parts/${wall.id}`)
    .send({ commandId: randomUUID(), baseRevision: 0, part: wall })
    .expect(200);
  const { body } = await ros.get(`/api/v1/jobs/${jobId}`).expect(200);
  const { body: counted } = await ros.get(`/api/v1/jobs/${jobId}/counts`).expect(200);
  const line = counted.counts[0].lines.find((each: { itemCode: string }) => each.itemCode !== "");
  const { pricing } = body.job.job;
  const extra = { ...newExtra("x", "plant", "Crane", MARKS.typed), quotedBy: MARKS.quotedBy };
  const changes = {
    pricing: {
      ...pricing,
      ratePerHour: MARKS.rate,
      crews: [{ id: "c", name: "Crew", ratePerHour: MARKS.crew, onCostPercent: "0", trades: ["Framing"] }],
      extras: [extra],
      taskHours: { studs: MARKS.hours },
      linesSet: { [`labour/${line.id}`]: { rate: MARKS.rateByHand } },
      adjust: { of: "total", amount: MARKS.wanted, over: ["labour"] },
    },
    lineChanges: { [line.id]: { supply: { by: "allowance", rate: MARKS.allowance }, note: "Said by the customer" } },
    supplies: [{ of: "item", id: "nail/8d", supply: { by: "allowance", rate: MARKS.allowanceOfItem } }],
  };
  await ros
    .patch(`/api/v1/jobs/${jobId}`)
    .send({ commandId: randomUUID(), baseRevision: body.job.revision, changes })
    .expect(200);
});
afterAll(() => server.stop());

const found = (text: string): string[] =>
  Object.entries(MARKS).flatMap(([name, mark]) => (text.includes(mark) ? [name] : []));

/** Every address that something is read from, with what is in the job and the price list in the place of its parameters. */
const addresses = (): string[] => {
  const values: Record<string, string> = {
    jobId,
    partId: wall.id,
    code: "nail%2F8d",
    system: "imperial",
    id: "outside-wall",
    version: "1",
  };
  return allEndpoints(
    server.dataSource,
    { ...server.config, roofReports: undefined, suppliers: undefined },
    server.services,
  )
    .filter(({ method }) => method === "get")
    .map(({ path }) => `/api/v1${path.replace(/:(\w+)/g, (_, name: string) => values[name] ?? "none")}`);
};

it("owners are answered every one of these figures: what crew are asked below can fail", async () => {
  const texts = await Promise.all(addresses().map(async (address) => (await ros.get(address)).text ?? ""));
  expect(new Set(texts.flatMap(found))).toEqual(new Set(Object.keys(MARKS)));
});

it("crew are answered none of them at any address", async () => {
  const told: string[] = [];
  for (const address of addresses()) {
    const { text = "", status } = await juno.get(address);
    expect([address, status < 500 || status === 424]).toEqual([address, true]);
    told.push(...found(text).map((name) => `${address}: ${name}`));
  }
  expect(addresses().length).toBeGreaterThan(20);
  expect(told).toEqual([]);
});

it("nor in the answers to what they may do", async () => {
  const put = await juno
    .put(`/api/v1/jobs/${jobId}/parts/${wall.id}`)
    .send({ commandId: randomUUID(), baseRevision: 1, part: { ...wall, name: "Crew's name for it" } })
    .expect(200);
  const { body, text } = await juno.get(`/api/v1/jobs/${jobId}/changes?since=0`).expect(200);
  expect([...found(put.text), ...found(text)]).toEqual([]);
  // The note and the choice are for those who build it; what is allowed is not.
  expect(JSON.stringify(body)).toContain("Said by the customer");
});
