import type { ClientRateLimitInfo, Options, Store } from "express-rate-limit";
import type { DataSource } from "typeorm";

/** Keeps failed sign-ins in MariaDB, so that the limit holds over several servers and a restart. */
export class AttemptStore implements Store {
  localKeys = false;
  private windowMs = 60_000;

  constructor(private readonly dataSource: DataSource) {}

  init(options: Options): void {
    this.windowMs = options.windowMs;
  }

  async increment(key: string): Promise<ClientRateLimitInfo> {
    const seconds = Math.ceil(this.windowMs / 1000);
    await this.dataSource.query(
      `INSERT INTO sign_in_attempt (\`key\`, count, resetAt) VALUES (?, 1, UTC_TIMESTAMP() + INTERVAL ? SECOND)
       ON DUPLICATE KEY UPDATE count = IF(resetAt < UTC_TIMESTAMP(), 1, count + 1),
         resetAt = IF(resetAt < UTC_TIMESTAMP(), VALUES(resetAt), resetAt)`,
      [key, seconds],
    );
    const [row] = await this.dataSource.query("SELECT count, resetAt FROM sign_in_attempt WHERE `key` = ?", [key]);
    return { totalHits: Number(row?.count ?? 1), resetTime: row?.resetAt };
  }

  async decrement(key: string): Promise<void> {
    await this.dataSource.query("UPDATE sign_in_attempt SET count = GREATEST(0, count - 1) WHERE `key` = ?", [key]);
  }

  async resetKey(key: string): Promise<void> {
    await this.dataSource.query("DELETE FROM sign_in_attempt WHERE `key` = ?", [key]);
  }
}
