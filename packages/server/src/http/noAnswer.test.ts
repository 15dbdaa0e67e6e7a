import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import supertest from "supertest";
import { QueryFailedError } from "typeorm";
import { createApp } from "../app";
import { databaseIsGone } from "../database/noAnswer";
import { NEW_JOB, startTestServer, type TestServer } from "../testing/testServer";

const withCode = (code: string) => Object.assign(new Error("no"), { code });

describe("a database that does not answer", () => {
  it("is told from what somebody asked wrongly", () => {
    expect(databaseIsGone(withCode("ECONNREFUSED"))).toBe(true);
    expect(databaseIsGone(new QueryFailedError("SELECT 1", [], withCode("PROTOCOL_CONNECTION_LOST")))).toBe(true);
    expect(databaseIsGone(new Error("Pool is closed."))).toBe(true);
    expect(databaseIsGone(new QueryFailedError("SELECT x", [], withCode("ER_BAD_FIELD_ERROR")))).toBe(false);
    expect(databaseIsGone(withCode("ER_DUP_ENTRY"))).toBe(false);
    expect([undefined, null, "ECONNREFUSED", {}].map(databaseIsGone)).toEqual([false, false, false, false]);
  });

  it("is answered 503 with when to try again, whatever is asked; what needs none goes on", async () => {
    const server: TestServer = await startTestServer();
    const ros = await server.signedInAs("ros@fernhollow.example");
    await ros.get("/api/v1/jobs").expect(200);
    await server.dataSource.destroy();
    try {
      for (const asked of [
        ros.get("/api/v1/jobs"),
        ros.post("/api/v1/jobs").send(NEW_JOB),
        ros.get("/api/v1/session"),
        server.anonymous.post("/api/v1/session").send({ email: "ros@fernhollow.example", password: "x".repeat(12) }),
      ]) {
        const answer = await asked;
        expect([answer.status, answer.headers["retry-after"]]).toEqual([503, "5"]);
        expect(answer.headers["content-type"]).toContain("application/problem+json");
        expect(answer.body.title).toBe("The database does not answer");
        // Nothing of the inside is said.
        expect(JSON.stringify(answer.body)).not.toMatch(/pool|sql|typeorm|127\.0/i);
      }
      await server.anonymous.get("/api/v1/nothing").expect(404);
    } finally {
      await server.dataSource.initialize();
      await server.stop();
    }
  });
});

describe("the app's own files", () => {
  it("are the page for every address of the app, and 404 for a part of it that is no more", async () => {
    const server = await startTestServer();
    const webFolder = mkdtempSync(join(tmpdir(), "wide porch web "));
    writeFileSync(join(webFolder, "index.html"), "<html>the page</html>");
    try {
      const app = supertest(createApp(server.dataSource, { ...server.config, webFolder }, server.logger, server));
      const page = await app.get("/jobs/anything").set("Accept", "text/html").expect(200);
      expect(page.text).toContain("the page");
      for (const gone of ["/_expo/static/js/web/entry-0123.js", "/assets/fonts/gone.ttf"]) {
        const answer = await app.get(gone).set("Accept", "*/*").expect(404);
        expect(answer.text).not.toContain("the page");
      }
    } finally {
      rmSync(webFolder, { recursive: true, force: true });
      await server.stop();
    }
  });
});
