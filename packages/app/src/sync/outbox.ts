import { ApiProblem, NoAnswer } from "../api/client";
import type { DeviceStore } from "../device/store";
import { type Command, Gone, readCommand, type Stuck } from "./command";
import type { Confirmed, Send } from "./send";

const RETRY_MS = 2500;
const LONGEST_PAUSE_MS = 60_000;
/** So often an answer that is not understood is asked for again, before a person is told. */
const MOST_PUZZLES = 5;

/** Each person's changes lie apart: who signs in next on this device does not send another's. */
const prefixOf = (owner: string): string => `outbox/${owner}/`;

export type SyncState = "saved" | "sending" | "on-device" | "needs-you";

export type OutboxView = {
  readonly loaded: boolean;
  readonly commands: readonly Command[];
  /** Changes that wait for a person, at most one for each record. */
  readonly stuck: readonly Stuck[];
  readonly offline: boolean;
  /** Whether all of `commands` lies on the device, and would outlive the page. */
  readonly stored: boolean;
  /** Whether the device has refused to keep something that waits: full, or not allowed. */
  readonly cannotStore: boolean;
  /** Whether the device keeps nothing at all, as in some private windows: the app works with signal, and by it alone. */
  readonly keepsNothing: boolean;
  /** Changes on the device that this program does not know: they stay there as they are. */
  readonly notKnown: number;
};

/** What failed to be sent, how often, and when it is its turn again. */
type Pause = { readonly tries: number; readonly until: number };

const NOTHING: OutboxView = {
  loaded: false,
  commands: [],
  stuck: [],
  offline: false,
  stored: true,
  cannotStore: false,
  keepsNothing: false,
  notKnown: 0,
};

export type OutboxParts = {
  readonly store: DeviceStore;
  readonly send: Send;
  /** Gets the server's state of a record, or undefined when it must be asked for anew. */
  readonly onConfirmed: (command: Command, confirmed: Confirmed | undefined) => void;
  readonly onSignedOut: () => void;
  readonly retryMs?: number;
  /** How long an entry waits before it is sent, so that showing it comes first. */
  readonly sendAfterMs?: number;
};

/**
 * Changes on their way to the server, in order, each kept on the device until it is confirmed. Several unsent changes of one
 * record become one. A change the server cannot take holds up its own record until a person decides, and no other; nothing
 * is dropped by itself.
 */
export class Outbox {
  private view: OutboxView = NOTHING;
  private readonly listeners = new Set<() => void>();
  /** Commands that may have reached the server: they are repeated as they are, so that its note of them holds. */
  private readonly tried = new Set<string>();
  private readonly revisions = new Map<string, number>();
  /** Keys of what lies on the device, by command. */
  private readonly places = new Map<string, string>();
  private next = 1;
  private owner: string | undefined;
  private sending: string | undefined;
  private timer: ReturnType<typeof setTimeout> | undefined;
  /** Records that the server failed at, each with its own pause: they hold up no other. */
  private readonly pauses = new Map<string, Pause>();
  /** While nothing gets through, all wait. */
  private silence: Pause | undefined;
  private writing: Promise<void> = Promise.resolve();
  private writes = 0;

  constructor(private readonly parts: OutboxParts) {}

  readonly subscribe = (listener: () => void): (() => void) => {
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
    this.close();
    this.owner = owner;
    let keepsNothing = false;
    const kept = await this.parts.store.under(prefixOf(owner)).catch(() => {
      keepsNothing = true;
      return [];
    });
    if (this.owner !== owner) return;
    const commands = kept.flatMap(([key, value]) => {
      const command = readCommand(value);
      this.next = Math.max(this.next, Number(key.split("/")[2]) + 1);
      if (!command) return [];
      this.places.set(command.commandId, key);
      this.tried.add(command.commandId);
      return [command];
    });
    const notKnown = kept.length - commands.length;
    this.set({ loaded: true, keepsNothing, notKnown, commands: [...commands, ...this.view.commands] });
    void this.flush();
  }

  /** On signing out. What is unsent stays on the device for when the same person is back. */
  close(): void {
    clearTimeout(this.timer);
    this.owner = undefined;
    this.places.clear();
    this.pauses.clear();
    this.silence = undefined;
    this.set(NOTHING);
  }

  add(...added: readonly Command[]): void {
    const commands = added.reduce((now, command) => this.withCommand(now, command), this.view.commands);
    this.set({ commands });
    const { sendAfterMs } = this.parts;
    if (sendAfterMs === undefined) void this.flush();
    else setTimeout(() => void this.flush(), sendAfterMs);
  }

  private withCommand(commands: readonly Command[], command: Command): readonly Command[] {
    const waiting = commands.findIndex((each) => this.replaces(command, each));
    if (waiting < 0) {
      this.keep(command);
      return [...commands, command];
    }
    const merged = mergeOnto(commands[waiting], command);
    this.keep(merged, commands[waiting]);
    return commands.map((each, index) => (index === waiting ? merged : each));
  }

  private replaces(next: Command, waiting: Command): boolean {
    if (waiting.target !== next.target || this.tried.has(waiting.commandId)) return false;
    if (waiting.kind === "set-aside" || next.kind === "set-aside") return false;
    // A change of a part that is then binned still goes out: it belongs in the part's history.
    return next.kind !== "bin-part" || waiting.kind === "bin-part";
  }

  /** Replaces all that waits for one record by what a person decided; none, when the server's state stands. */
  settle(target: string, decided: readonly Command[], current: Confirmed | undefined): void {
    const gone = this.view.commands.filter((each) => each.target === target);
    for (const command of gone) this.forget(command);
    for (const command of decided) this.keep(command);
    const rest = this.view.commands.filter((each) => each.target !== target);
    const [first] = gone;
    if (first) this.parts.onConfirmed(first, current);
    if (current?.revision !== undefined) this.revisions.set(target, current.revision);
    const stuck = this.view.stuck.filter((each) => each.command.target !== target);
    this.set({ commands: [...rest, ...decided], stuck });
    void this.flush();
  }

  /** Sends again what the server would not have, as it is: for when what was in the way is gone. */
  again(target: string): void {
    this.pauses.delete(target);
    this.set({ stuck: this.view.stuck.filter((each) => each.command.target !== target) });
    void this.flush();
  }

  private waiting(): readonly Command[] {
    const held = new Set(this.view.stuck.map((each) => each.command.target));
    return this.view.commands.filter((each) => !held.has(each.target));
  }

  private nextToSend(): Command | undefined {
    const now = Date.now();
    return this.waiting().find((each) => (this.pauses.get(each.target)?.until ?? 0) <= now);
  }

  /** Comes back when the first pause is over. What waits lies on the device until then. */
  private sendLater(): void {
    clearTimeout(this.timer);
    const waiting = this.waiting();
    if (waiting.length === 0) return;
    const untils = waiting.map((each) => this.pauses.get(each.target)?.until ?? 0);
    const until = Math.max(this.silence?.until ?? 0, Math.min(...untils));
    this.timer = setTimeout(() => void this.flush(), Math.max(0, until - Date.now()));
    if (!this.view.offline) this.set({ offline: true });
  }

  private paused(before: Pause | undefined): Pause {
    const tries = (before?.tries ?? 0) + 1;
    const pauseMs = Math.min(LONGEST_PAUSE_MS, (this.parts.retryMs ?? RETRY_MS) * 2 ** (tries - 1));
    return { tries, until: Date.now() + pauseMs };
  }

  async flush(): Promise<void> {
    const command = this.nextToSend();
    const { owner } = this;
    if (this.sending || !this.view.loaded || owner === undefined) return;
    if (!command) {
      this.sendLater();
      return;
    }
    clearTimeout(this.timer);
    this.sending = command.commandId;
    this.tried.add(command.commandId);
    try {
      const confirmed = await this.parts.send(command);
      this.sending = undefined;
      if (this.owner !== owner) return;
      this.parts.onConfirmed(command, confirmed);
      this.confirm(command, confirmed);
      void this.flush();
    } catch (error) {
      this.sending = undefined;
      if (this.owner === owner) this.failed(command, error);
    }
  }

  private confirm(command: Command, { revision, part }: Confirmed): void {
    this.forget(command);
    this.silence = undefined;
    this.pauses.delete(command.target);
    const rest = this.view.commands.filter((each) => each.commandId !== command.commandId);
    if (revision === undefined) {
      this.set({ commands: rest, offline: false });
      return;
    }
    this.revisions.set(command.target, revision);
    const commands = rest.map((each): Command => {
      if (each.target !== command.target) return each;
      const moved = { ...each, baseRevision: revision };
      const rebased = moved.kind === "put-part" && part ? { ...moved, before: part.part } : moved;
      this.keep(rebased, each);
      return rebased;
    });
    this.set({ commands, offline: false });
  }

  /**
   * No answer: all wait, longer each time. A server that fails, or an answer that makes no sense: that record waits, longer
   * each time, and the others go on. Refused for good: that record is held until a person decides.
   */
  private failed(command: Command, error: unknown): void {
    if (error instanceof NoAnswer || isForAll(error)) {
      this.silence = this.paused(this.silence);
      if (error instanceof ApiProblem && error.status === 401) this.parts.onSignedOut();
      this.sendLater();
      return;
    }
    const pause = this.paused(this.pauses.get(command.target));
    if (mayPass(error, pause.tries)) {
      // A session's token may be an old one: the new one comes with the session.
      if (error instanceof ApiProblem && error.status === 403) this.parts.onSignedOut();
      this.pauses.set(command.target, pause);
      void this.flush();
      return;
    }
    this.hold(command, error);
  }

  private hold(command: Command, error: unknown): void {
    const known = error instanceof ApiProblem ? error : undefined;
    const reason = error instanceof Gone ? "gone" : known?.status === 409 ? "conflict" : "refused";
    const message = error instanceof Error ? error.message : String(error);
    const stuck: Stuck = { command, reason, message, current: known?.current };
    const others = this.view.stuck.filter((each) => each.command.target !== command.target);
    this.pauses.delete(command.target);
    this.set({ stuck: [...others, stuck], offline: false });
    void this.flush();
  }

  /** Puts a command on the device, in the place of the one it stands for. */
  private keep(command: Command, instead?: Command): void {
    if (this.owner === undefined) return;
    const place = instead && this.places.get(instead.commandId);
    const key = place ?? `${prefixOf(this.owner)}${String(this.next++).padStart(12, "0")}/${command.commandId}`;
    if (instead) this.places.delete(instead.commandId);
    this.places.set(command.commandId, key);
    this.write(() => this.parts.store.set(key, command));
  }

  private forget(command: Command): void {
    const key = this.places.get(command.commandId);
    if (!key) return;
    this.places.delete(command.commandId);
    this.write(() => this.parts.store.remove(key));
  }

  /** One write after the other; the mark says that an entry is on the device only once it is. */
  private write(work: () => Promise<void>): void {
    this.writes += 1;
    this.view = { ...this.view, stored: false };
    this.writing = this.writing.then(work).then(
      () => this.written(false),
      () => this.written(true),
    );
  }

  private written(failed: boolean): void {
    this.writes -= 1;
    // What the server has is nothing that the device would have to keep.
    const cannotStore = (failed || this.view.cannotStore) && this.view.commands.length > 0;
    const keepsNothing = failed || (this.view.keepsNothing && this.view.commands.length > 0);
    if (this.writes === 0 || cannotStore !== this.view.cannotStore)
      this.set({ stored: this.writes === 0, cannotStore, keepsNothing });
  }

  private set(change: Partial<OutboxView>): void {
    this.view = { ...this.view, ...change };
    for (const listener of this.listeners) listener();
  }
}

/** Of the whole way to the server, whatever is sent: nobody is signed in, or too much was asked. */
const isForAll = (error: unknown): boolean =>
  error instanceof ApiProblem && (error.status === 401 || error.status === 408 || error.status === 429);

/** Whether another try may do it: the server failed, the token was old, or the answer was somebody else's. */
function mayPass(error: unknown, tries: number): boolean {
  if (error instanceof Gone) return false;
  if (!(error instanceof ApiProblem)) return tries < MOST_PUZZLES;
  return error.status >= 500 || (error.status === 403 && tries < 2);
}

/** The later change of a record says it all, but for a job's, whose fields add up. It keeps the earlier base. */
function mergeOnto(waiting: Command | undefined, next: Command): Command {
  if (!waiting) return next;
  const { baseRevision } = waiting;
  if (waiting.kind === "patch-job" && next.kind === "patch-job") {
    return { ...next, baseRevision, changes: { ...waiting.changes, ...next.changes } };
  }
  if (waiting.kind === "put-part" && next.kind === "put-part") return { ...next, baseRevision, before: waiting.before };
  return { ...next, baseRevision };
}

/** Whether closing the page now would lose an entry. */
export const wouldLose = ({ commands, stored, cannotStore }: OutboxView): boolean =>
  commands.length > 0 && (!stored || cannotStore);

export function syncState(view: OutboxView): SyncState {
  if (view.stuck.length > 0 || view.cannotStore || view.notKnown > 0) return "needs-you";
  if (view.commands.length === 0) return "saved";
  return view.offline && view.stored ? "on-device" : "sending";
}
