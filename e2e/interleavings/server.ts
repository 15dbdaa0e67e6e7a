import { type ChildProcess, spawn } from "node:child_process";
import { randomUUID } from "node:crypto";
import { resolve } from "node:path";
import { createConnection } from "mysql2/promise";

const root = resolve(__dirname, "../..");

/** The real server in a process of its own, over a database of its own, that can be killed and started again. */
export class KillableServer {
  private child: ChildProcess | undefined;
  private readonly name = `wide_porch_sync_${randomUUID().slice(0, 8)}`;
  address = "";

  async create(): Promise<void> {
    await this.query(`CREATE DATABASE ${this.name}`);
    await this.start();
  }

  async start(): Promise<void> {
    const child = spawn(process.execPath, ["--import", "tsx", resolve(root, "packages/server/src/main.ts")], {
      cwd: root,
      env: {
        ...process.env,
        PORT: "0",
        WIDE_PORCH_DB_NAME: this.name,
        WIDE_PORCH_DEMO: "1",
        WIDE_PORCH_WARM_THREADS: "0",
        LOG_LEVEL: "fatal",
      },
      stdio: ["ignore", "ignore", "inherit", "ipc"],
    });
    this.child = child;
    const port = await new Promise<number>((done, fail) => {
      child.once("message", (message: { listening: number }) => done(message.listening));
      child.once("exit", (code) => fail(new Error(`the server ended with ${code} before it listened`)));
    });
    this.address = `http://127.0.0.1:${port}`;
  }

  /** At once, in the middle of whatever it does. */
  async kill(): Promise<void> {
    const { child } = this;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const gone = new Promise((done) => child.once("exit", done));
    child.kill("SIGKILL");
    await gone;
  }

  async destroy(): Promise<void> {
    await this.kill();
    await this.query(`DROP DATABASE ${this.name}`);
  }

  private async query(statement: string): Promise<void> {
    const { WIDE_PORCH_DB_PORT: port, WIDE_PORCH_DB_USER: user, WIDE_PORCH_DB_PASSWORD: password } = process.env;
    const connection = await createConnection({ host: "127.0.0.1", port: Number(port), user, password });
    await connection.query(statement);
    await connection.end();
  }
}
