import { allEndpoints } from "../endpoints";
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

describe("what hostile requests have found", () => {
  it("an address for mail that is an object with a way of its own to be text is no address", async () => {
    await server
      .stranger()
      .post("/api/v1/session")
      .send({ email: { toString: 1 }, password: "x" })
      .expect(422);
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
