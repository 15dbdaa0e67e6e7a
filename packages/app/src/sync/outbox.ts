import AsyncStorage from "@react-native-async-storage/async-storage";
import { z } from "zod";
import { ApiProblem } from "../api/client";
import { jobRecordSchema, partRecordSchema } from "../api/records";
import { type Command, commandSchema, type Stuck } from "./command";
import { newId } from "./newId";
import { type Confirmed, send } from "./send";

/** Each person's changes lie apart: who signs in next on this device does not send another's. */
const storageKey = (owner: string): string => `wide-porch/outbox/${owner}`;
const RETRY_MS = 2500;

export type SyncState = "saved" | "sending" | "on-device" | "needs-you";

export type OutboxView = {
  readonly loaded: boolean;
  readonly commands: readonly Command[];
  readonly stuck: Stuck | undefined;
  readonly offline: boolean;
};

type Listener = () => void;

/**
 * Changes on their way to the server, in order, kept on the device until confirmed. Several unsent changes of one record
 * become one. A change the server cannot take stops the line until a person decides; nothing is dropped by itself.
 */
export class Outbox {
  private view: OutboxView = { loaded: false, commands: [], stuck: undefined, offline: false };
  private readonly listeners = new Set<Listener>();
  /** Commands that may have reached the server: they are repeated as they are, so that its note of them holds. */
  private readonly tried = new Set<string>();
  private readonly revisions = new Map<string, number>();
  private owner: string | undefined;
  private sending: string | undefined;
  private timer: ReturnType<typeof setTimeout> | undefined;

  /** `onConfirmed` gets the server's state of a record, or undefined when it must be asked for anew. */
  constructor(
    private readonly onConfirmed: (command: Command, confirmed: Confirmed | undefined) => void,
    private readonly onSignedOut: () => void,
  ) {}

  readonly subscribe = (listener: Listener): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly read = (): OutboxView => this.view;

  /** The last revision the server confirmed here; a part taken out of the bin builds on it. 0 for a new one. */
  lastRevision(target: string): number {
    return this.revisions.get(target) ?? 0;
  }

  /** Takes up what a person left unsent on this device. */
  async open(owner: string): Promise<void> {
    if (this.owner === owner) {
      void this.flush();
      return;
    }
    this.owner = owner;
    this.set({ loaded: false, commands: [], stuck: undefined, offline: false });
    const stored = await AsyncStorage.getItem(storageKey(owner));
    const read = z.array(commandSchema).safeParse(stored === null ? [] : JSON.parse(stored));
    const kept = read.success ? read.data : [];
    for (const command of kept) this.tried.add(command.commandId);
    this.set({ loaded: true, commands: kept });
    void this.flush();
  }

  /** On signing out. What is unsent stays on the device for when the same person is back. */
  close(): void {
    this.owner = undefined;
    this.set({ loaded: false, commands: [], stuck: undefined, offline: false });
  }

  add(command: Command): void {
    const waiting = this.view.commands.findIndex((each) => this.replaces(command, each));
    const commands = this.view.commands.slice();
    if (waiting < 0) commands.push(command);
    else commands[waiting] = mergeOnto(this.view.commands[waiting], command);
    this.set({ commands });
    void this.flush();
  }

  private replaces(next: Command, waiting: Command): boolean {
    if (waiting.target !== next.target || this.tried.has(waiting.commandId)) return false;
    return !(next.kind === "bin-part" && waiting.baseRevision === 0);
  }

  /** Settles a stuck change: send it over the newer state, or let it go. */
  settle(choice: "mine" | "theirs"): void {
    const { stuck } = this.view;
    if (!stuck) return;
    const revision = z.object({ revision: z.number() }).safeParse(stuck.current);
    const commands = this.view.commands.flatMap((command): Command[] => {
      if (command.target !== stuck.command.target) return [command];
      if (choice === "theirs" || !revision.success) return [];
      return [{ ...command, commandId: newId(), baseRevision: revision.data.revision }];
    });
    if (choice === "theirs") this.onConfirmed(stuck.command, theirsOf(stuck.current));
    this.set({ commands, stuck: undefined });
    void this.flush();
  }

  async flush(): Promise<void> {
    const [command] = this.view.commands;
    if (!command || this.sending || this.view.stuck || !this.view.loaded) return;
    this.sending = command.commandId;
    this.tried.add(command.commandId);
    try {
      const confirmed = await send(command);
      this.sending = undefined;
      this.onConfirmed(command, confirmed);
      this.confirm(command, confirmed);
      void this.flush();
    } catch (error) {
      this.sending = undefined;
      this.failed(command, error);
    }
  }

  private confirm(command: Command, confirmed: Confirmed): void {
    this.revisions.set(command.target, confirmed.revision);
    const rest = this.view.commands.filter((each) => each.commandId !== command.commandId);
    const commands = rest.map((each) =>
      each.target === command.target ? { ...each, baseRevision: confirmed.revision } : each,
    );
    this.set({ commands, offline: false });
  }

  private failed(command: Command, error: unknown): void {
    if (error instanceof ApiProblem && [404, 409, 422].includes(error.status)) {
      const reason = error.status === 409 ? "conflict" : "refused";
      this.set({ stuck: { command, reason, message: error.message, current: error.current }, offline: false });
      return;
    }
    this.set({ offline: true });
    if (error instanceof ApiProblem && error.status === 401) this.onSignedOut();
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.flush(), RETRY_MS);
  }

  private set(change: Partial<OutboxView>): void {
    const before = this.view;
    this.view = { ...before, ...change };
    const keep = before.loaded && this.view.loaded && before.commands !== this.view.commands;
    if (keep && this.owner) void AsyncStorage.setItem(storageKey(this.owner), JSON.stringify(this.view.commands));
    for (const listener of this.listeners) listener();
  }
}

/** The newer state that came with a conflict; nothing where the server had none to show. */
function theirsOf(current: unknown): Confirmed | undefined {
  const part = partRecordSchema.safeParse(current);
  if (part.success) return { revision: part.data.revision, part: part.data };
  const job = jobRecordSchema.safeParse(current);
  return job.success ? { revision: job.data.revision, job: job.data } : undefined;
}

/** The later change of a record says it all, but for a job's, whose fields add up. It keeps the earlier base. */
function mergeOnto(waiting: Command | undefined, next: Command): Command {
  if (!waiting) return next;
  const baseRevision = waiting.baseRevision;
  if (waiting.kind === "patch-job" && next.kind === "patch-job") {
    return { ...next, baseRevision, changes: { ...waiting.changes, ...next.changes } };
  }
  return { ...next, baseRevision };
}

export function syncState(view: OutboxView): SyncState {
  if (view.stuck) return "needs-you";
  if (view.commands.length === 0) return "saved";
  return view.offline ? "on-device" : "sending";
}
