import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import supertest from "supertest";
import { createApp } from "../app";
import { startTestServer, type TestServer } from "../testing/testServer";

let server: TestServer;
const webFolder = mkdtempSync(join(tmpdir(), "wide porch page "));
beforeAll(async () => {
  writeFileSync(join(webFolder, "index.html"), "<!doctype html><html><head></head><body>the page</body></html>");
  server = await startTestServer();
});
afterAll(async () => {
  await server.stop();
  rmSync(webFolder, { recursive: true, force: true });
});

describe("the page", () => {
  it("takes scripts of its own alone, and styles that carry its nonce, which is another each time", async () => {
    const app = supertest(createApp(server.dataSource, { ...server.config, webFolder }, server.logger, server));
    const nonces = new Set<string>();
    for (const path of ["/", "/index.html", "/jobs/anything", "/"]) {
      const { text, headers } = await app.get(path).set("Accept", "text/html").expect(200);
      const policy = headers["content-security-policy"] ?? "";
      expect(policy).not.toContain("unsafe-inline");
      expect(policy).not.toContain("unsafe-eval");
      expect(policy).toMatch(/script-src 'self';/);
      const nonce = /'nonce-([^']+)'/.exec(policy)?.[1] ?? "";
      expect(text).toContain(`<meta name="style-nonce" content="${nonce}" />`);
      expect(nonce).toMatch(/^[\w+/]{22}==$/);
      nonces.add(nonce);
      expect(headers["x-content-type-options"]).toBe("nosniff");
      expect(headers["x-powered-by"]).toBeUndefined();
    }
    expect(nonces.size).toBe(4);
  });
});
