import { Agent, request as ask, createServer } from "node:http";

/**
 * A small proxy before several servers: each request goes to the next of them in turn. One that does not take the connection is passed over,
 * as nothing was sent to it; one that goes away while it answers leaves the answer cut off, and whoever asked asks again.
 */
export async function startProxy(targets, port = 0) {
  const agent = new Agent({ keepAlive: true, maxSockets: 200 });
  let turn = 0;
  const server = createServer((request, response) => {
    const chunks = [];
    request.on("data", (chunk) => chunks.push(chunk));
    request.on("end", () => {
      const body = Buffer.concat(chunks);
      const tryAt = (tries) => {
        if (tries >= targets.length) {
          response.writeHead(502).end();
          return;
        }
        turn += 1;
        const target = targets[turn % targets.length]();
        const headers = { ...request.headers, "x-forwarded-for": request.socket.remoteAddress };
        const asking = ask({
          host: "127.0.0.1",
          port: target,
          path: request.url,
          method: request.method,
          headers,
          agent,
        });
        asking.once("response", (answer) => {
          response.writeHead(answer.statusCode, answer.headers);
          answer.pipe(response);
          answer.once("error", () => response.destroy());
          answer.once("aborted", () => response.destroy());
        });
        asking.once("error", (error) => {
          if (error.code === "ECONNREFUSED" && !response.headersSent) tryAt(tries + 1);
          else response.destroy();
        });
        asking.end(body);
      };
      tryAt(0);
    });
  });
  await new Promise((done) => server.listen(port, "127.0.0.1", done));
  return {
    port: server.address().port,
    stop: async () => {
      server.closeAllConnections();
      await new Promise((done) => server.close(done));
      agent.destroy();
    },
  };
}
