import { createServer, type Server } from "node:http";
import { type AddressInfo, connect, type Socket } from "node:net";
import express from "express";
import { DEMO_PASSWORD } from "../demo/people";
import { type Agent, NEW_JOB, startTestServer, type TestServer } from "../testing/testServer";
import { BytesInFlight } from "./bytesInFlight";
import { problemHandler } from "./problemDetails";
import { type Receiving, startReceiving } from "./receiving";

/** Waits for what a busy machine takes its time over. */
async function until(is: () => boolean): Promise<void> {
  for (const end = Date.now() + 15_000; !is() && Date.now() < end; )
    await new Promise((later) => setTimeout(later, 20));
  expect(is()).toBe(true);
}

describe("bytes that are held", () => {
  it("are counted by whose they are and in all, and given back", () => {
    const bytes = new BytesInFlight({ ofOne: 10, inAll: 15 });
    expect(bytes.take("a", 8)).toBeUndefined();
    expect(bytes.take("a", 3)).toBe("of-one");
    expect(bytes.take("b", 8)).toBe("in-all");
    expect(bytes.take("b", 7)).toBeUndefined();
    bytes.giveBack("a", 8);
    expect(bytes.inAll()).toBe(7);
    expect(bytes.take("a", 8)).toBeUndefined();
  });
});

describe("a body", () => {
  let receiving: Receiving;
  let server: Server;
  let port = 0;
  const sockets: Socket[] = [];
  beforeAll(async () => {
    receiving = startReceiving({ graceMs: 400 });
    const app = express();
    app.post(
      "/",
      receiving.upTo(() => 16_384),
      express.raw({ type: () => true, inflate: false, limit: 16_384 }),
    );
    app.post("/", (request, response) => {
      response.json({ bytes: request.body.length });
    });
    app.use(problemHandler);
    server = createServer(app);
    await new Promise<void>((listening) => server.listen(0, "127.0.0.1", listening));
    port = (server.address() as AddressInfo).port;
  });
  afterAll(async () => {
    for (const socket of sockets) socket.destroy();
    server.closeAllConnections();
    await new Promise((closed) => server.close(closed));
  });

  /** Announces a body and sends the beginning of it. */
  function begin(announced: number, sent: number): { readonly answer: Promise<string>; readonly socket: Socket } {
    const socket = connect(port, "127.0.0.1");
    sockets.push(socket);
    let text = "";
    socket.on("data", (chunk) => {
      text += chunk;
    });
    socket.on("error", () => undefined);
    socket.write(
      `POST / HTTP/1.1\r\nHost: x\r\nContent-Type: application/json\r\nContent-Length: ${announced}\r\n\r\n`,
    );
    socket.write("x".repeat(sent));
    const answer = new Promise<string>((done) => socket.once("close", () => done(text)));
    return { answer, socket };
  }
  const post = (bytes: number) =>
    fetch(`http://127.0.0.1:${port}/`, {
      method: "POST",
      body: "x".repeat(bytes),
      headers: { "content-type": "text/plain" },
    });

  it("that says it is larger than may be sent is refused before it is read", async () => {
    const { answer } = begin(4_000_000, 0);
    expect(await answer).toMatch(/^HTTP\/1\.1 413 .*Connection: close.*At most 16 kB/s);
    expect(receiving.held()).toBe(0);
  });

  it("that comes a byte at a time is given up, and holds nobody up meanwhile", async () => {
    const slow = Array.from({ length: 20 }, () => begin(16_000, 1));
    for (let tries = 0; tries < 5; tries += 1) expect((await post(1000)).status).toBe(200);
    const texts = await Promise.all(slow.map(({ answer }) => answer));
    expect(texts.every((text) => /^HTTP\/1\.1 408 /.test(text))).toBe(true);
    expect(receiving.held()).toBe(0);
  });

  it("of very many from one place is refused with when to come again, before they take the memory", async () => {
    const many = Array.from({ length: 200 }, () => begin(16_000, 15_000));
    await until(() => receiving.held() > 2 * 1024 * 1024 - 16_000);
    expect(receiving.held()).toBeLessThanOrEqual(2 * 1024 * 1024);
    const refused = await post(15_000);
    expect([refused.status, refused.headers.get("retry-after")]).toEqual([429, "2"]);
    for (const { socket } of many) socket.destroy();
    await Promise.all(many.map(({ answer }) => answer));
    await until(() => receiving.held() === 0);
    expect((await post(15_000)).status).toBe(200);
  });

  it("that is compressed is taken by nobody: a small one may be a very large one", async () => {
    const answer = await fetch(`http://127.0.0.1:${port}/`, {
      method: "POST",
      body: "x",
      headers: { "content-type": "text/plain", "content-encoding": "gzip" },
    });
    expect(answer.status).toBe(415);
  });
});

describe("the app", () => {
  let server: TestServer;
  let ros: Agent;
  beforeAll(async () => {
    server = await startTestServer();
    ros = await server.signedInAs("ros@fernhollow.example");
  });
  afterAll(() => server.stop());

  it("takes little from whoever is not signed in, and what a record needs from whoever is", async () => {
    const email = "ros@fernhollow.example";
    const padded = (bytes: number) => ({ email, password: DEMO_PASSWORD, more: "x".repeat(bytes) });
    await server.stranger().post("/api/v1/session").send(padded(17_000)).expect(413);
    await server.stranger().post("/api/v1/session").send(padded(10_000)).expect(201);
    await server.stranger().post("/api/v1/job-files").send(padded(17_000)).expect(401);
    await ros
      .post("/api/v1/jobs")
      .send({ ...NEW_JOB, more: "x".repeat(100_000) })
      .expect(201);
    await ros
      .post("/api/v1/jobs")
      .send({ ...NEW_JOB, more: "x".repeat(140_000) })
      .expect(413);
  });

  it("says of a request that its sender cut off that it was cut off, not that the database is away", async () => {
    const app = server.appWith({});
    const listening = createServer(app);
    await new Promise<void>((done) => listening.listen(0, "127.0.0.1", done));
    const statuses: number[] = [];
    listening.on("request", (_request, response) => response.on("close", () => statuses.push(response.statusCode)));
    const socket = connect((listening.address() as AddressInfo).port, "127.0.0.1");
    socket.write(
      "POST /api/v1/session HTTP/1.1\r\nHost: x\r\nContent-Type: application/json\r\nContent-Length: 500\r\n\r\n{",
    );
    await new Promise((later) => setTimeout(later, 150));
    socket.destroy();
    await new Promise((later) => setTimeout(later, 150));
    await new Promise((closed) => listening.close(closed));
    expect(statuses).toHaveLength(1);
    expect(statuses[0]).not.toBe(503);
  });
});
