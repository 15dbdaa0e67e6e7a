import { randomUUID } from "node:crypto";
import supertest from "supertest";
import { createApp } from "../app";
import { DEMO_PASSWORD } from "../demo/people";
import { type Agent, startTestServer, type TestServer } from "../testing/testServer";
import { startHeavyAnswers } from "./heavyAnswers";

let server: TestServer;
let ros: Agent;
beforeAll(async () => {
  server = await startTestServer();
  ros = await server.signedInAs("ros@fernhollow.example");
});
afterAll(() => server.stop());

const firstJob = async (): Promise<string> => (await ros.get("/api/v1/jobs?sort=title").expect(200)).body.items[0].id;

/** Somebody signed in at a server whose threads have so long for an answer. */
async function withThreadsFor(longestMs: number, work: (agent: ReturnType<typeof supertest.agent>) => Promise<void>) {
  const heavy = startHeavyAnswers(server.config, server.logger, { longestMs });
  try {
    const agent = supertest.agent(createApp(server.dataSource, server.config, server.logger, { ...server, heavy }));
    const { body } = await agent
      .post("/api/v1/session")
      .send({ email: "ros@fernhollow.example", password: DEMO_PASSWORD })
      .expect(201);
    agent.set("x-csrf-token", body.csrfToken);
    await work(agent);
  } finally {
    await heavy.close();
  }
}

// Threads yield to all else: on a machine with much to do they take long to begin.
jest.setTimeout(120_000);

describe("work in threads of the pool", () => {
  it("that takes too long is answered as a problem, and ends nothing else", async () => {
    await withThreadsFor(5, async (agent) => {
      const id = await firstJob();
      const answer = await agent.get(`/api/v1/jobs/${id}/counts`).expect(422);
      expect(answer.type).toBe("application/problem+json");
      expect(answer.body.problems).toMatchObject([{ code: "too-much-work" }]);
      await agent.get("/api/v1/health").expect(200);
      await agent.get("/api/v1/account/sessions").expect(200);
      // Another server's threads are none of its business.
      await ros.get(`/api/v1/jobs/${id}/counts`).expect(200);
    });
  });

  it("on a record that takes too long is no fault of the record: it can be sent again, and is made once", async () => {
    await withThreadsFor(1, async (agent) => {
      const id = await firstJob();
      const { parts } = (await ros.get(`/api/v1/jobs/${id}`).expect(200)).body;
      const path = `/api/v1/jobs/${id}/parts/${parts[0].id}`;
      const change = { commandId: randomUUID(), baseRevision: parts[0].revision, ageMs: 0, part: parts[0].part };
      const answer = await agent.put(path).send(change).expect(503);
      expect(answer.body.problems).toMatchObject([{ code: "busy" }]);
      expect(Number(answer.headers["retry-after"])).toBeGreaterThan(0);
      const again = await ros.put(path).send(change).expect(200);
      expect(again.body.revision).toBe(parts[0].revision + 1);
    });
  });

  it("is not begun with a body of so many values that reading it would take all the memory", async () => {
    const ones = (count: number) => `{"format":"x","parts":[${"1,".repeat(count)}1]}`;
    const send = (path: string, body: string) =>
      ros.post(`/api/v1${path}`).set("content-type", "application/json").send(body);
    await send("/job-files", ones(20_000_000)).expect(413);
    await send("/price-batches", ones(10_000_000)).expect(413);
    await send("/jobs", ones(1_000_000)).expect(413);
    // As many as are taken, all of them wrong: said, and borne.
    const { body } = await send("/price-batches", `{"fromWhere":"x","changes":[${"1,".repeat(1_000_000)}1]}`).expect(
      422,
    );
    expect(body.problems.length).toBeGreaterThan(0);
    await send("/jobs", ones(90_000)).expect(413);
    await send("/jobs", ones(19_000)).expect(422);
    await ros.get("/api/v1/health").expect(200);
  }, 60_000);

  it("leaves an answer to be worked out once for all who ask for the same, and says so by its tag", async () => {
    const id = await firstJob();
    const answers = await Promise.all(Array.from({ length: 6 }, () => ros.get(`/api/v1/jobs/${id}`).expect(200)));
    const tags = new Set(answers.map(({ headers }) => headers.etag));
    expect(tags.size).toBe(1);
    const [tag] = tags;
    await ros
      .get(`/api/v1/jobs/${id}`)
      .set("if-none-match", tag ?? "")
      .expect(304);
    const juno = await server.signedInAs("juno@fernhollow.example");
    const crew = await juno.get(`/api/v1/jobs/${id}`).set("if-none-match", tag ?? "");
    expect(crew.status).toBe(200);
    expect(crew.body.job.job.pricing).toBeNull();
  });

  it("passes a refusal on as it was said there", async () => {
    const answer = await ros.post("/api/v1/job-files").set("content-type", "application/json").send("{ not json");
    expect(answer.status).toBe(400);
    const id = await firstJob();
    const picture = await ros.put(`/api/v1/jobs/${id}/photos/no-uuid`).set("content-type", "image/png").send("x");
    expect(picture.status).toBe(422);
  });
});
