import type { Request, RequestHandler } from "express";
import pLimit, { type Limit } from "p-limit";
import { busy } from "./problemDetails";

type Turn = {
  /** Requests that are under way together; the others wait. */
  readonly most: number;
  /** So many may wait; beyond it they are refused, and can be sent again. */
  readonly mostWaiting: number;
  /** Those of one key take turns. */
  readonly of: (request: Request) => string;
};

/** One after another, as at a door: whoever waits is not read yet, and takes no memory. Throws 503 where too many wait. */
export function inTurn({ most, mostWaiting, of }: Turn): RequestHandler {
  const doors = new Map<string, Limit>();
  return (request, response, next) => {
    const key = of(request);
    const door = doors.get(key) ?? pLimit(most);
    if (door.pendingCount >= mostWaiting) throw busy();
    doors.set(key, door);
    const passed = async (): Promise<void> => {
      // Whoever went away while they waited is let through no more.
      if (response.destroyed) return;
      const closed = new Promise<void>((done) => response.once("close", done));
      next();
      await closed;
      if (door.activeCount === 1 && door.pendingCount === 0) doors.delete(key);
    };
    void door(passed);
  };
}
