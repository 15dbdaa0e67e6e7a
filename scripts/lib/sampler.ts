/** Draws without putting back, the same for the same seed (mulberry32, a public-domain generator). */
export const sampler =
  (seed: number) =>
  <T>(items: readonly T[], count: number): T[] => {
    let state = seed >>> 0;
    const random = (): number => {
      state = (state + 0x6d2b79f5) >>> 0;
      let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
      mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
      return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
    };
    const left = [...items];
    const drawn: T[] = [];
    while (drawn.length < count && left.length > 0) {
      const at = Math.floor(random() * left.length);
      const [item] = left.splice(at, 1);
      if (item !== undefined) drawn.push(item);
    }
    return drawn;
  };
