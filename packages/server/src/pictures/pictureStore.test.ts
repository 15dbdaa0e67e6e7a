import { randomUUID } from "node:crypto";
import { mkdtempSync, readdirSync, rmSync } from "node:fs";
import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import supertest from "supertest";
import { createApp } from "../app";
import { readConfig } from "../config";
import { startHeavyAnswers } from "../pool/heavyAnswers";
import { closeServices, startServices } from "../services";
import { startTestServer } from "../testing/testServer";
import { ONE_PIXEL } from "../testing/validRequests";
import { folderStore } from "./folderStore";
import { objectStore } from "./objectStore";
import type { PictureStore } from "./pictureStore";

const [company, id] = [randomUUID(), randomUUID()];

async function keeps(store: PictureStore): Promise<void> {
  expect(await store.get(company, id)).toBeUndefined();
  await store.put(company, id, ONE_PIXEL);
  await store.put(company, id, ONE_PIXEL);
  expect((await store.get(company, id))?.equals(ONE_PIXEL)).toBe(true);
  expect(await store.get(randomUUID(), id)).toBeUndefined();
}

/** A small store of objects in memory, that wants each request signed (AWS Signature Version 4: the header's form is published). */
async function startObjects() {
  const kept = new Map<string, Buffer>();
  const server = createServer((request, response) => {
    const chunks: Buffer[] = [];
    request.on("data", (chunk: Buffer) => chunks.push(chunk));
    request.on("end", () => {
      const isSigned =
        /^AWS4-HMAC-SHA256 Credential=key\/\d{8}\/region-1\/s3\/aws4_request, SignedHeaders=[\w;-]*host[\w;-]*, Signature=[0-9a-f]{64}$/;
      const at = request.url ?? "";
      if (!isSigned.test(request.headers.authorization ?? "")) response.writeHead(403).end();
      else if (request.method === "PUT") {
        kept.set(at, Buffer.concat(chunks));
        response.writeHead(200).end();
      } else if (kept.has(at)) response.writeHead(200).end(kept.get(at));
      else response.writeHead(404).end();
    });
  });
  await new Promise<void>((listening) => server.listen(0, "127.0.0.1", listening));
  const { port } = server.address() as AddressInfo;
  return {
    address: `http://127.0.0.1:${port}/porch`,
    kept,
    stop: () => new Promise((stopped) => server.close(stopped)),
  };
}

describe("photos in a place of their own", () => {
  const folder = mkdtempSync(join(tmpdir(), "wide porch photos "));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));

  it("are files in a folder, each whole, and no way out of it", async () => {
    const store = folderStore(folder);
    await keeps(store);
    expect(readdirSync(join(folder, company, id.slice(0, 2)))).toEqual([id]);
    await expect(store.get(company, "../../etc/passwd")).rejects.toThrow(/is no id/);
    await expect(store.put("..", id, ONE_PIXEL)).rejects.toThrow(/is no id/);
  });

  it("are objects in a bucket, with requests that are signed; one that does not answer is 503", async () => {
    const objects = await startObjects();
    const settings = { address: objects.address, accessKeyId: "key", secretAccessKey: "secret", region: "region-1" };
    await keeps(objectStore(settings));
    expect([...objects.kept.keys()]).toEqual([`/porch/${company}/${id}`]);
    await expect(objectStore({ ...settings, region: "region-2" }).put(company, id, ONE_PIXEL)).rejects.toMatchObject({
      details: { status: 503 },
    });
    await objects.stop();
  });

  it("are named in full by the settings, or the server says what lacks", () => {
    const read = (more: object) =>
      readConfig({ WIDE_PORCH_DB_PORT: "1", WIDE_PORCH_DB_PASSWORD: "x", ...more } as NodeJS.ProcessEnv).photos;
    expect(read({})).toEqual({ in: "database" });
    expect(read({ WIDE_PORCH_PHOTOS: "folder", WIDE_PORCH_PHOTOS_FOLDER: "/photos" })).toMatchObject({
      folder: "/photos",
    });
    expect(() => read({ WIDE_PORCH_PHOTOS: "folder" })).toThrow(/WIDE_PORCH_PHOTOS_FOLDER is not set/);
    expect(() => read({ WIDE_PORCH_PHOTOS: "s3" })).toThrow(/not set/);
  });

  it("go through the app: sent, shown, in the job's file and brought in again, with none in the database", async () => {
    const server = await startTestServer();
    const config = { ...server.config, photos: { in: "folder", folder } as const };
    const services = startServices(config, server.logger, () => "");
    const heavy = startHeavyAnswers(config, server.logger);
    try {
      const app = createApp(server.dataSource, config, server.logger, { ...server, services, heavy });
      const agent = supertest.agent(app);
      const person = { email: "ros@fernhollow.example", password: "porch-demo-2026" };
      agent.set("x-csrf-token", (await agent.post("/api/v1/session").send(person).expect(201)).body.csrfToken);
      const { items } = (await agent.get("/api/v1/jobs?find=Skylark").expect(200)).body;
      const job = items[0].id;
      const at = `/api/v1/jobs/${job}/photos/${randomUUID()}`;
      await agent.put(at).set("content-type", "image/png").send(ONE_PIXEL).expect(200);
      expect(Buffer.from((await agent.get(at).expect(200)).body).equals(ONE_PIXEL)).toBe(true);
      const file = (await agent.get(`/api/v1/jobs/${job}/file`).expect(200)).body;
      expect(file.photos).toMatchObject([{ base64: ONE_PIXEL.toString("base64") }]);
      await agent.post("/api/v1/job-files").send(file).expect(201);
      const rows = await server.dataSource.query("SELECT bytes FROM photo");
      expect(rows.map((row: { bytes: unknown }) => row.bytes)).toEqual([null, null]);
    } finally {
      await heavy.close();
      await closeServices(services);
      await server.stop();
    }
  });
});
