import { randomUUID } from "node:crypto";
import { mergeParts, type Part } from "@wide-porch/core";
import type { z } from "zod";
import { ApiProblem, NoAnswer } from "../../packages/app/src/api/client";
import { type FullJob, fullJobSchema } from "../../packages/app/src/api/records";
import { memoryStore } from "../../packages/app/src/device/memoryStore";
import type { Command, Stuck } from "../../packages/app/src/sync/command";
import { Outbox, syncState } from "../../packages/app/src/sync/outbox";
import { withConfirmed, withPending } from "../../packages/app/src/sync/overlay";
import { type Ask, type Confirmed, sendBy } from "../../packages/app/src/sync/send";
import {
  type Decision,
  leftInBin,
  letGo,
  partConflict,
  settledPart,
  settledWhole,
} from "../../packages/app/src/sync/settle";
import type { KillableServer } from "./server";

const RETRY_MS = 4;
const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** What can happen to a request on its way. */
export type Network = "there" | "cut" | "answers-lost" | "repeats";

/** A device: the app's own outbox over a store of its own, and a network that can be bad. */
export class Device {
  network: Network = "there";
  private readonly store = memoryStore();
  private outbox: Outbox;
  private cookie = "";
  private csrfToken = "";
  private full: FullJob | undefined;

  constructor(
    private readonly server: KillableServer,
    private readonly email: string,
  ) {
    this.outbox = this.newOutbox();
  }

  async signIn(): Promise<void> {
    const response = await fetch(`${this.server.address}/api/v1/session`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ email: this.email, password: "porch-demo-2026" }),
    });
    this.cookie = response.headers.get("set-cookie")?.split(";")[0] ?? "";
    const { csrfToken } = (await response.json()) as { csrfToken: string };
    this.csrfToken = csrfToken;
  }

  async open(jobId: string): Promise<void> {
    this.full = await this.ask(fullJobSchema, "GET", `/jobs/${jobId}`);
    await this.outbox.open(this.email);
  }

  /** The page is closed and opened again: only what lies on the device is left. */
  async restart(): Promise<void> {
    // An entry that the mark still calls on its way is not acknowledged; a person waits that instant.
    while (!this.outbox.read().stored) await pause(1);
    this.outbox.close();
    this.outbox = this.newOutbox();
    await this.outbox.open(this.email);
  }

  /** The job as a person sees it here. */
  seen(): FullJob {
    if (!this.full) throw new Error("seen: no job is open");
    return withPending(this.full, this.outbox.read().commands);
  }

  get state() {
    return syncState(this.outbox.read());
  }

  put(part: Part): void {
    const known = this.seen().parts.find((each) => each.id === part.id);
    const baseRevision = known?.revision ?? this.outbox.lastRevision(part.id);
    this.outbox.add({ ...this.fresh(part.id, baseRevision), kind: "put-part", part, before: known?.part ?? null });
  }

  bin(partId: string): void {
    const known = this.seen().parts.find((each) => each.id === partId);
    if (known) this.outbox.add({ ...this.fresh(partId, known.revision), kind: "bin-part" });
  }

  /** Settles whatever waits for a person, as `choose` says. */
  settle(choose: () => "mine" | "theirs" | "merge"): void {
    const { stuck, commands } = this.outbox.read();
    for (const each of stuck) {
      const { commands: decided, current } = this.decide(each, commands, choose());
      this.outbox.settle(each.command.target, decided, current);
    }
  }

  async pull(): Promise<void> {
    if (!this.full || this.network === "cut") return;
    const id = this.full.job.id;
    try {
      this.full = await this.ask(fullJobSchema, "GET", `/jobs/${id}`);
    } catch (error) {
      if (!(error instanceof NoAnswer)) throw error;
    }
  }

  /** Until nothing is on its way; what waits for a person stays. */
  async rest(): Promise<void> {
    for (let tries = 0; tries < 10_000; tries += 1) {
      if (this.state === "saved" || this.state === "needs-you") return;
      void this.outbox.flush();
      await pause(2);
    }
    throw new Error(`rest: ${this.email} still has ${this.outbox.read().commands.length} unsent changes`);
  }

  close(): void {
    this.outbox.close();
  }

  readonly ask: Ask = async <T>(schema: z.ZodType<T>, method: string, path: string, body?: unknown): Promise<T> => {
    let response: Response;
    try {
      response = await fetch(`${this.server.address}/api/v1${path}`, {
        method,
        headers: { "content-type": "application/json", cookie: this.cookie, "x-csrf-token": this.csrfToken },
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      });
    } catch {
      throw new NoAnswer();
    }
    const text = await response.text().catch(() => {
      throw new NoAnswer();
    });
    const answer: { detail?: string; title?: string; current?: unknown } = JSON.parse(text);
    if (!response.ok) throw new ApiProblem(response.status, answer.detail ?? answer.title ?? "", [], answer.current);
    return schema.parse(answer);
  };

  private newOutbox(): Outbox {
    const sendOnce = sendBy(this.ask, async () => undefined);
    return new Outbox({
      store: this.store,
      retryMs: RETRY_MS,
      onSignedOut: () => undefined,
      onConfirmed: (command, confirmed) => this.confirmed(command, confirmed),
      send: async (command) => {
        if (this.network === "cut") throw new NoAnswer();
        const answer = await sendOnce(command);
        if (this.network === "answers-lost") throw new NoAnswer();
        return this.network === "repeats" ? sendOnce(command) : answer;
      },
    });
  }

  private confirmed(_command: Command, confirmed: Confirmed | undefined): void {
    if (confirmed && this.full) this.full = withConfirmed(this.full, confirmed);
  }

  private fresh(target: string, baseRevision: number) {
    return { commandId: randomUUID(), jobId: this.seen().job.id, target, baseRevision, madeAt: Date.now() };
  }

  private decide(stuck: Stuck, commands: readonly Command[], choice: "mine" | "theirs" | "merge"): Decision {
    if (stuck.reason === "refused") return letGo(stuck, commands);
    const conflict = partConflict(stuck, commands);
    if (!conflict) return settledWhole(stuck, commands, choice === "mine" ? "mine" : "theirs");
    const { base, mine, theirs } = conflict;
    if (theirs.binned && choice === "theirs") return leftInBin(stuck, conflict);
    const chosen = { mine, theirs: theirs.part, merge: mergeParts(base, mine, theirs.part) }[choice];
    return settledPart(stuck, conflict, chosen);
  }
}
