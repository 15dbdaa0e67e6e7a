import { createServer } from "node:http";

/** A stand-in for a bucket that speaks S3: objects in memory, on loopback, for requests that are signed as such are. */
export async function startObjects() {
  const kept = new Map();
  const server = createServer((request, response) => {
    const chunks = [];
    request.on("data", (chunk) => chunks.push(chunk));
    request.on("end", () => {
      if (!/^AWS4-HMAC-SHA256 Credential=/.test(request.headers.authorization ?? "")) {
        response.writeHead(403).end();
        return;
      }
      if (request.method === "PUT") kept.set(request.url, Buffer.concat(chunks));
      if (request.method === "DELETE") kept.delete(request.url);
      if (request.method !== "GET") response.writeHead(request.method === "DELETE" ? 204 : 200).end();
      else if (kept.has(request.url)) response.writeHead(200).end(kept.get(request.url));
      else response.writeHead(404).end();
    });
  });
  await new Promise((done) => server.listen(0, "127.0.0.1", done));
  return {
    environment: {
      WIDE_PORCH_PHOTOS: "s3",
      WIDE_PORCH_S3_ADDRESS: `http://127.0.0.1:${server.address().port}/porch-photos`,
      WIDE_PORCH_S3_KEY: "stand-in",
      WIDE_PORCH_S3_SECRET: "stand-in",
    },
    stop: () => new Promise((done) => server.close(done)),
  };
}
