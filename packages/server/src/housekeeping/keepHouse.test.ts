import { randomUUID } from "node:crypto";
import { startTestServer } from "../testing/testServer";
import { tidyUp } from "./keepHouse";

describe("housekeeping", () => {
  it("throws out what is of no more use, and nothing else", async () => {
    const server = await startTestServer();
    const { dataSource } = server;
    const count = async (table: string): Promise<number> => {
      const [row] = await dataSource.query(`SELECT COUNT(*) AS count FROM ${table}`);
      return Number(row.count);
    };
    try {
      const ros = await server.signedInAs("ros@fernhollow.example");
      await server.signedInAs("juno@fernhollow.example");
      await dataSource.query(
        "UPDATE session SET expiresAt = UTC_TIMESTAMP() - INTERVAL 1 DAY WHERE userId IN (SELECT id FROM user WHERE role = 'crew')",
      );
      const put = (id: string, days: number) =>
        dataSource.query(
          "INSERT INTO command (companyId, id, target, answer, createdAt, kind, userId) VALUES (?, ?, '', '{}', UTC_TIMESTAMP() - INTERVAL ? DAY, '', '')",
          [randomUUID(), id, days],
        );
      for (let index = 0; index < 1500; index += 500)
        await Promise.all(Array.from({ length: 500 }, () => put(randomUUID(), 121)));
      await put(randomUUID(), 119);
      const attempt = (key: string, minutes: number) =>
        dataSource.query(
          "INSERT INTO sign_in_attempt (`key`, count, resetAt) VALUES (?, 1, UTC_TIMESTAMP() + INTERVAL ? MINUTE)",
          [key, minutes],
        );
      await attempt("over", -1);
      await attempt("under way", 5);
      const before = await count("sign_in_attempt");
      expect(await tidyUp(dataSource)).toMatchObject({ commands: 1500, sessions: 1 });
      expect(await count("command")).toBe(1);
      expect(await count("sign_in_attempt")).toBeLessThan(before);
      const [kept] = await dataSource.query("SELECT COUNT(*) AS count FROM sign_in_attempt WHERE `key` = 'under way'");
      expect(Number(kept.count)).toBe(1);
      await ros.get("/api/v1/jobs").expect(200);
    } finally {
      await server.stop();
    }
  }, 90_000);
});
