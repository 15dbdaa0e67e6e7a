type Limits = {
  /** Bytes of one person, place or company that are held at once. */
  readonly ofOne: number;
  /** Bytes that are held at once in all. */
  readonly inAll: number;
};

/** Which limit was met. */
export type Met = "of-one" | "in-all";

/** Counts the bytes of requests, or of answers, that are held in memory, so that they are refused before they take it all. */
export class BytesInFlight {
  private readonly held = new Map<string, number>();
  private all = 0;

  constructor(private readonly limits: Limits) {}

  inAll(): number {
    return this.all;
  }

  /** Counts them, or says which limit they would pass; then nothing is counted. */
  take(key: string, bytes: number): Met | undefined {
    const own = (this.held.get(key) ?? 0) + bytes;
    if (own > this.limits.ofOne) return "of-one";
    if (this.all + bytes > this.limits.inAll) return "in-all";
    this.held.set(key, own);
    this.all += bytes;
    return undefined;
  }

  giveBack(key: string, bytes: number): void {
    const left = (this.held.get(key) ?? 0) - bytes;
    if (left > 0) this.held.set(key, left);
    else this.held.delete(key);
    this.all -= bytes;
  }
}
