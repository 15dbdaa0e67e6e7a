import express from "express";
import { pino } from "pino";
import request from "supertest";
import { problemHandler } from "./problemDetails";
import { requestLog } from "./requestLog";

/** What lets somebody in, and what somebody typed: none of it may stand in a log. */
const SECRETS = ["session-secret", "csrf-secret", "new-session-secret", "bearer-secret", "Wilhelmina", "typed-secret"];

function asked() {
  const lines: string[] = [];
  const app = express();
  app.use(requestLog(pino({ level: "info" }, { write: (line: string) => lines.push(line) })), express.json());
  app.post("/api/v1/things/:id", (_, response) => {
    response.cookie("session", "new-session-secret");
    throw new Error("it broke");
  });
  app.post("/api/v1/well", (_, response) => void response.cookie("session", "new-session-secret").sendStatus(201));
  app.use(problemHandler);
  const send = (path: string) =>
    request(app)
      .post(`/api/v1/${path}?find=Wilhelmina`)
      .set({ cookie: "session=session-secret", "x-csrf-token": "csrf-secret", authorization: "bearer-secret" })
      .send({ password: "typed-secret" });
  return { lines, send };
}

it.each([
  ["things/7", 500, "it broke"],
  ["well", 201, "request completed"],
])("a request of %s is logged by its path, with nothing of what lets in or was typed", async (path, status, words) => {
  const { lines, send } = asked();
  await send(path).expect(status);
  const text = lines.join("\n");
  expect(text).toContain(`"path":"/api/v1/${path}"`);
  expect(text).toContain(`"statusCode":${status}`);
  expect(text).toContain(words);
  expect(SECRETS.filter((secret) => text.includes(secret))).toEqual([]);
});
