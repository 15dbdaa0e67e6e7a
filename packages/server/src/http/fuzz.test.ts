import { allEndpoints } from "../endpoints";
import { brokenJobFile } from "../testing/brokenJobFiles";
import { hostileRequest, randomBy } from "../testing/hostileRequests";
import { type Agent, startTestServer, type TestServer } from "../testing/testServer";
import { validRequests } from "../testing/validRequests";
import { keyOf } from "./endpoint";

let server: TestServer;
let ros: Agent;
beforeAll(async () => {
  server = await startTestServer();
  ros = await server.signedInAs("ros@fernhollow.example");
});
afterAll(() => server.stop());

const ROUNDS = 6;
const FILES = 60;
/** What a job that was taken in must answer for ever. */
const OPENED = ["", "/counts", "/price", "/quote-draft", "/changes?since=0"];
/** They end the session that all else is asked by. */
const LEFT_OUT = new Set(["delete /session", "delete /account/sessions/:id"]);

/** The whole of it is `npm run fuzz`: 5,000 requests at a running server, with times and memory. */
it("hostile requests over every endpoint are answered, and none as a failure of ours", async () => {
  const ask = async (method: string, path: string, body?: unknown) => {
    const asking = ros[method.toLowerCase() as "get"](`/api/v1${path}`);
    return (await (body === undefined ? asking : asking.send(body as object))).body;
  };
  const valid = await validRequests(ask);
  const endpoints = allEndpoints(server.dataSource, server.config, server.services);
  const random = randomBy(20_261_127);
  const failures: string[] = [];
  let asked = 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    for (const endpoint of endpoints.filter((each) => !LEFT_OUT.has(keyOf(each)))) {
      const request = hostileRequest(random, endpoint, valid.get(keyOf(endpoint)) ?? { params: {} });
      // What signs somebody in would sign this one out.
      const agent = endpoint.access === "public" ? server.stranger() : ros;
      const asking = agent[endpoint.method](`/api/v1${request.path}`).set(request.headers);
      const { status } = await (request.body === undefined ? asking : asking.send(request.body));
      asked += 1;
      // A stand-in that is not there in this test is a failed dependency, and said as that.
      if (status >= 500) failures.push(`${keyOf(endpoint)} (${request.odd}): ${status}`);
    }
  }
  expect(asked).toBeGreaterThan(350);
  expect(failures).toEqual([]);
  await ros.get("/api/v1/health").expect(200);
}, 120_000);

it("a job file with broken records is refused, or makes a job that opens", async () => {
  const { items } = (await ros.get("/api/v1/jobs?find=Quillmoor").expect(200)).body;
  const valid = (await ros.get(`/api/v1/jobs/${items[0].id}/file`).expect(200)).body;
  const random = randomBy(20_261_201);
  const failures: string[] = [];
  const statuses = new Set<number>();
  for (let index = 0; index < FILES; index += 1) {
    const { text, odd } = brokenJobFile(random, valid);
    const answer = await ros.post("/api/v1/job-files").set("content-type", "application/json").send(text);
    statuses.add(answer.status);
    if (answer.status !== 201 && answer.status !== 422 && answer.status !== 400)
      failures.push(`${odd}: ${answer.status}`);
    if (answer.status !== 201) continue;
    for (const path of OPENED) {
      const opened = await ros.get(`/api/v1/jobs/${answer.body.id}${path}`);
      if (opened.status !== 200) failures.push(`${path} of ${odd}: ${opened.status}`);
    }
  }
  expect(failures).toEqual([]);
  expect([...statuses].toSorted()).toEqual(expect.arrayContaining([201, 422]));
}, 120_000);

describe("what hostile requests have found", () => {
  it("an address for mail that is an object with a way of its own to be text is no address", async () => {
    await server
      .stranger()
      .post("/api/v1/session")
      .send({ email: { toString: 1 }, password: "x" })
      .expect(422);
  });

  it("a token that is a list nested without end lets nobody in, and breaks nothing", async () => {
    const token = `${"[".repeat(5000)}${"]".repeat(5000)}`;
    const asking = server.stranger().post("/api/v1/invitation/accept").set("content-type", "application/json");
    await asking.send(`{"token":${token},"name":"N","password":"wet rope and shovel"}`).expect(422);
  });

  it("two parts of one id in a job file are refused by their places, and at once", async () => {
    const { items } = (await ros.get("/api/v1/jobs?find=Quillmoor").expect(200)).body;
    const file = (await ros.get(`/api/v1/jobs/${items[0].id}/file`).expect(200)).body;
    const parts = [...file.parts, { ...file.parts[0], name: "Its double" }];
    const { body } = await ros
      .post("/api/v1/job-files")
      .send({ ...file, parts })
      .expect(422);
    expect(body.problems).toMatchObject([{ code: "doubled", path: `parts.${file.parts.length}.id` }]);
  });

  it("a body nested without end goes to no thread", async () => {
    const deep = `${"[".repeat(5000)}${"]".repeat(5000)}`;
    const { status } = await ros
      .post("/api/v1/price-batches/none/undo")
      .set("content-type", "application/json")
      .send(deep);
    expect(status).toBe(404);
  });

  it("a mark that is cut off half-way is no picture", async () => {
    const png = Buffer.from(
      "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==",
      "base64",
    );
    for (let cut = 1; cut < png.length; cut += 6) {
      const answer = await ros.put("/api/v1/company/mark").set("content-type", "image/png").send(png.subarray(0, cut));
      expect([cut, answer.status < 500]).toEqual([cut, true]);
    }
  });
});
