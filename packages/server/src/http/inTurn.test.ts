import express from "express";
import supertest from "supertest";
import { inTurn } from "./inTurn";
import { problemHandler } from "./problemDetails";

describe("requests in turn", () => {
  it("are under way so many at a time, each key by itself, and refused where too many wait", async () => {
    const under = new Map<string, number>();
    const together: number[] = [];
    const app = express();
    app.use(inTurn({ most: 2, mostWaiting: 3, of: (request) => request.path }));
    app.get(/.*/, async (request, response) => {
      const now = (under.get(request.path) ?? 0) + 1;
      under.set(request.path, now);
      together.push(now);
      await new Promise((later) => setTimeout(later, 60));
      under.set(request.path, (under.get(request.path) ?? 1) - 1);
      response.end("done");
    });
    app.use(problemHandler);
    const server = app.listen(0);
    const agent = supertest(server);
    const answers = await Promise.all([...Array(8).fill("/a"), "/b"].map((path) => agent.get(path)));
    const statuses = answers.map(({ status }) => status);
    expect(Math.max(...together)).toBeLessThanOrEqual(2);
    expect(statuses.filter((each) => each === 200).length).toBeGreaterThanOrEqual(6);
    expect(statuses.filter((each) => each === 503).length).toBe(9 - statuses.filter((each) => each === 200).length);
    expect(statuses.at(-1)).toBe(200);
    expect((await agent.get("/a")).status).toBe(200);
    server.close();
  });
});
