import supertest from "supertest";
import { createApp } from "../app";
import { startTestServer } from "../testing/testServer";

describe("what there is to watch", () => {
  it("is in the Prometheus format, by route, with nobody's id in it; from this machine, or by a token", async () => {
    const server = await startTestServer();
    try {
      const ros = await server.signedInAs("ros@fernhollow.example");
      const [job] = (await ros.get("/api/v1/jobs").expect(200)).body.items;
      await ros.get(`/api/v1/jobs/${job.id}/total`).expect(200);
      const { text, headers } = await server.anonymous.get("/metrics").expect(200);
      expect(headers["content-type"]).toMatch(/^text\/plain; version=0\.0\.4/);
      expect(text).toMatch(
        /http_request_duration_seconds_count\{method="GET",route="\/api\/v1\/jobs\/:jobId\/total",status="200"\} 1/,
      );
      for (const name of ["process_resident_memory_bytes", "wide_porch_pool_waiting", "wide_porch_not_caught_total"])
        expect(text).toContain(`\n${name} `);
      expect(text).not.toContain(job.id);
      await server.anonymous.get("/metrics").set("x-forwarded-for", "203.0.113.9").expect(404);
      const config = { ...server.config, metricsToken: "a token for the watchman" };
      const guarded = supertest(createApp(server.dataSource, config, server.logger, server));
      await guarded.get("/metrics").expect(404);
      await guarded.get("/metrics").set("authorization", "Bearer a token for the watchman").expect(200);
    } finally {
      await server.stop();
    }
  });

  it("says why the server is not well", async () => {
    const server = await startTestServer();
    expect((await server.anonymous.get("/api/v1/health").expect(200)).body).toMatchObject({
      status: "ok",
      checks: { database: { ok: true }, work: { ok: true, waiting: 0 } },
    });
    await server.dataSource.destroy();
    try {
      const { body } = await server.anonymous.get("/api/v1/health").expect(503);
      expect(body).toMatchObject({ status: "down", checks: { database: { ok: false, why: expect.any(String) } } });
    } finally {
      await server.dataSource.initialize();
      await server.stop();
    }
  });
});
