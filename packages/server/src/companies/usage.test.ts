import { randomUUID } from "node:crypto";
import { LARGEST_PHOTO_BYTES } from "@wide-porch/core";
import supertest from "supertest";
import type { Quotas } from "../config";
import { type Agent, NEW_JOB, startTestServer, type TestServer } from "../testing/testServer";
import { ONE_PIXEL } from "../testing/validRequests";

let server: TestServer;
let ros: Agent;
beforeAll(async () => {
  server = await startTestServer();
  ros = await server.signedInAs("ros@fernhollow.example");
});
afterAll(() => server.stop());

async function withRoom(change: Partial<Quotas>): Promise<Agent> {
  const agent = supertest.agent(server.appWith({ quotas: { ...server.config.quotas, ...change } }));
  const answer = await agent
    .post("/api/v1/session")
    .send({ email: "ros@fernhollow.example", password: "porch-demo-2026" })
    .expect(201);
  agent.set("x-csrf-token", answer.body.csrfToken);
  return agent;
}
const usage = async () => (await ros.get("/api/v1/company/safety").expect(200)).body.usage;
const photo = (agent: Agent, jobId: string, bytes: Buffer) =>
  agent.put(`/api/v1/jobs/${jobId}/photos/${randomUUID()}`).set("content-type", "image/png").send(bytes);

describe("how much a company may keep", () => {
  it("is counted as it is taken", async () => {
    const before = await usage();
    const { id } = (await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201)).body;
    await photo(ros, id, ONE_PIXEL).expect(200);
    const after = await usage();
    expect(after.jobs.used).toBe(before.jobs.used + 1);
    expect(after.photos.used).toBe(before.photos.used + 1);
    expect(after.photoBytes.used).toBe(before.photoBytes.used + ONE_PIXEL.length);
  });

  it("has an end for jobs, by whatever way they come, and for items and photos", async () => {
    const { jobs, items, photos, photoBytes } = await usage();
    const full = await withRoom({
      jobs: jobs.used,
      items: items.used,
      photos: photos.used + 1,
      photoBytes: photoBytes.used + ONE_PIXEL.length,
    });
    const [{ id }] = (await ros.get("/api/v1/jobs?sort=title").expect(200)).body.items;
    const file = (await ros.get(`/api/v1/jobs/${id}/file`).expect(200)).body;
    const copy = { title: "Copy", customerName: "C", site: "", partIds: null, shelf: "open", typed: false };
    const { item } = (await ros.get("/api/v1/price-list").expect(200)).body.items[0];
    for (const asked of [
      full.post("/api/v1/jobs").send(NEW_JOB),
      full.post("/api/v1/job-files").send(file),
      full.post(`/api/v1/jobs/${id}/copies`).send(copy),
      full.post("/api/v1/price-list").send({ item: { ...item, code: "one/more" } }),
      full
        .post("/api/v1/price-batches")
        .send({ fromWhere: "a file", changes: [{ baseRevision: 0, item: { ...item, code: "one/more" } }] }),
    ]) {
      const { body } = await asked.expect(422);
      expect(body.problems[0].code).toBe("no-room");
    }
    await photo(full, id, ONE_PIXEL).expect(200);
    expect((await photo(full, id, ONE_PIXEL).expect(422)).body.detail).toMatch(/photos/);
    // What is there already can be changed.
    const { revision } = (await ros.get("/api/v1/price-list").expect(200)).body.items[0];
    await full
      .put(`/api/v1/price-list/${encodeURIComponent(item.code)}`)
      .send({ baseRevision: revision, item: { ...item, wastePercent: 3 } })
      .expect(200);
  });
});

describe("what is as large as it may be", () => {
  it("is kept: a photo of exactly the limit; one byte more is too large", async () => {
    const { id } = (await ros.post("/api/v1/jobs").send(NEW_JOB).expect(201)).body;
    const largest = Buffer.concat([ONE_PIXEL, Buffer.alloc(LARGEST_PHOTO_BYTES - ONE_PIXEL.length, 7)]);
    const kept = await photo(ros, id, largest).expect(200);
    const back = await ros
      .get(`/api/v1/jobs/${id}/photos/${kept.body.id}`)
      .buffer()
      .parse((response, done) => {
        const chunks: Buffer[] = [];
        response.on("data", (chunk: Buffer) => chunks.push(chunk));
        response.on("end", () => done(null, Buffer.concat(chunks)));
      });
    expect(back.status).toBe(200);
    expect(Buffer.compare(back.body, largest)).toBe(0);
    await photo(ros, id, Buffer.concat([largest, Buffer.alloc(1)])).expect(413);
  });

  it("is taken in time: a price list of 50,000 items", async () => {
    const { item } = (await ros.get("/api/v1/price-list").expect(200)).body.items[0];
    const changes = Array.from({ length: 50_000 }, (_, index) => ({
      baseRevision: 0,
      item: { ...item, code: `bulk/${index}`, name: `Item ${index} of a very long list` },
    }));
    const answer = await ros.post("/api/v1/price-batches").send({ fromWhere: "list.csv", changes });
    expect([answer.status, answer.body]).toMatchObject([201, { itemCount: 50_000 }]);
    expect((await ros.get("/api/v1/price-list").expect(200)).body.items.length).toBeGreaterThan(50_000);
  }, 120_000);
});
