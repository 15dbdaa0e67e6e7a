import { createServer, type Server } from "node:net";

const listening = (server: Server): Promise<number> =>
  new Promise((done, fail) => {
    server.once("error", fail);
    server.listen(0, "127.0.0.1", () => {
      const address = server.address();
      done(typeof address === "object" && address ? address.port : 0);
    });
  });

/** So many ports of this machine that were free a moment ago, no two alike: where something will listen is known before it does. */
export async function freePorts(count: number): Promise<number[]> {
  const servers = Array.from({ length: count }, () => createServer());
  const ports = await Promise.all(servers.map(listening));
  await Promise.all(servers.map((server) => new Promise((closed) => server.close(closed))));
  return ports;
}
