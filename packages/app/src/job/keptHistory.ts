import { jobChangesSchema, partSchema } from "@wide-porch/core";
import { z } from "zod";
import type { DeviceStore } from "../device/store";
import { DEEPEST, type History, type Step } from "./history";

const changeSchema = z.discriminatedUnion("kind", [
  z.object({ kind: z.literal("part"), id: z.string(), before: partSchema.optional(), after: partSchema.optional() }),
  z.object({ kind: z.literal("job"), before: jobChangesSchema, after: jobChangesSchema }),
]);
const stepSchema = z.object({ changes: z.array(changeSchema) });
const placeSchema = z.object({ done: z.array(z.number()), undone: z.array(z.number()) });

/**
 * A job's steps on the device, so that undo reaches back past a reload. Each step lies by itself, and one short list says
 * which are done and which were taken back: an entry writes its own step and no other.
 */
export class KeptHistory {
  private numbers = new Map<Step, number>();
  private next = 1;
  private writing: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly store: DeviceStore,
    private readonly prefix: string,
  ) {}

  /** The history kept last time; empty where there is none, or where a newer version of the app has left it behind. */
  async load(): Promise<History> {
    const place = placeSchema.safeParse(await this.store.get(`${this.prefix}/place`));
    if (!place.success) return { done: [], undone: [] };
    const kept = new Map(await this.store.under(`${this.prefix}/step/`));
    const stepAt = (number: number): Step[] => {
      const read = stepSchema.safeParse(kept.get(this.keyOf(number)));
      if (!read.success) return [];
      const step: Step = { changes: read.data.changes.map((change) => change as Step["changes"][number]) };
      this.numbers.set(step, number);
      this.next = Math.max(this.next, number + 1);
      return [step];
    };
    return { done: place.data.done.flatMap(stepAt), undone: place.data.undone.flatMap(stepAt) };
  }

  /** Keeps a history as it is now. */
  save(history: History): Promise<unknown> {
    const live = [...history.done, ...history.undone];
    const gone = [...this.numbers].filter(([step]) => !live.includes(step));
    const added = live.filter((step) => !this.numbers.has(step));
    for (const [step] of gone) this.numbers.delete(step);
    const numbered = added.map((step) => {
      this.numbers.set(step, this.next);
      this.next += 1;
      return [this.keyOf(this.next - 1), step] as const;
    });
    const numbersOf = (steps: readonly Step[]) => steps.flatMap((step) => this.numbers.get(step) ?? []).slice(-DEEPEST);
    const place = { done: numbersOf(history.done), undone: numbersOf(history.undone) };
    this.writing = this.writing
      .then(() => Promise.all(numbered.map(([key, step]) => this.store.set(key, step))))
      .then(() => this.store.set(`${this.prefix}/place`, place))
      .then(() => this.store.removeMany(gone.map(([, number]) => this.keyOf(number))))
      // Undo that does not outlive a reload is no loss of an entry; the entry itself is kept by the outbox.
      .catch(() => undefined);
    return this.writing;
  }

  private keyOf(number: number): string {
    return `${this.prefix}/step/${String(number).padStart(9, "0")}`;
  }
}
