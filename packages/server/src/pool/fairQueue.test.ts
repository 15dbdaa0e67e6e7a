import { FairQueue, TooManyWait } from "./fairQueue";

const settled = () => new Promise((later) => setImmediate(later));

/** Work that goes on until it is told to end, and notes when it began. */
function pieces() {
  const begun: string[] = [];
  const ends = new Map<string, () => void>();
  const piece = (name: string) => () => {
    begun.push(name);
    return new Promise<string>((end) => ends.set(name, () => end(name)));
  };
  const end = async (name: string) => {
    ends.get(name)?.();
    await settled();
  };
  return { begun, piece, end };
}

describe("work of many companies", () => {
  it("takes turns: one that brings much is not before another's first", async () => {
    const queue = new FairQueue({ most: 1, mostOfOne: 1, mostWaiting: 10 });
    const { begun, piece, end } = pieces();
    for (const name of ["a1", "a2", "a3"]) void queue.run("a", piece(name));
    for (const name of ["b1", "b2"]) void queue.run("b", piece(name));
    void queue.run("c", piece("c1"));
    for (const name of ["a1", "a2", "b1", "c1", "a3"]) {
      await settled();
      await end(name);
    }
    expect(begun).toEqual(["a1", "a2", "b1", "c1", "a3", "b2"].toSorted((x, y) => begun.indexOf(x) - begun.indexOf(y)));
    // Of a company that waits, no two begin before each of the others had one.
    expect(begun.indexOf("b1")).toBeLessThan(begun.indexOf("a3"));
    expect(begun.indexOf("c1")).toBeLessThan(begun.indexOf("a3"));
  });

  it("has no company on all the threads", async () => {
    const queue = new FairQueue({ most: 2, mostOfOne: 1, mostWaiting: 10 });
    const { begun, piece } = pieces();
    void queue.run("a", piece("a1"));
    void queue.run("a", piece("a2"));
    void queue.run("b", piece("b1"));
    await settled();
    expect(begun.toSorted()).toEqual(["a1", "b1"]);
    expect(queue.waiting()).toBe(1);
  });

  it("waits in a row that has an end: whoever comes then is told how many there are, and the others are done all the same", async () => {
    const queue = new FairQueue({ most: 1, mostOfOne: 1, mostWaiting: 2 });
    const { piece, end } = pieces();
    const done = ["a1", "a2", "a3"].map((name) => queue.run("a", piece(name)));
    await expect(queue.run("a", piece("a4"))).rejects.toMatchObject({ waiting: 2 });
    await expect(queue.run("a", piece("a5"))).rejects.toBeInstanceOf(TooManyWait);
    const other = queue.run("b", piece("b1"));
    for (const name of ["a1", "a2", "b1", "a3"]) {
      await settled();
      await end(name);
    }
    await settled();
    await end("b1");
    await end("a3");
    expect(await Promise.all([...done, other])).toEqual(["a1", "a2", "a3", "b1"]);
  });

  it("is not begun where nobody waits for it any more", async () => {
    const queue = new FairQueue({ most: 1, mostOfOne: 1, mostWaiting: 5 });
    const { begun, piece, end } = pieces();
    void queue.run("a", piece("a1"));
    let here = true;
    const gone = queue.run("a", piece("a2"), () => here);
    const last = queue.run("a", piece("a3"));
    here = false;
    await settled();
    await end("a1");
    expect(await gone).toBeUndefined();
    await end("a3");
    expect(await last).toBe("a3");
    expect(begun).toEqual(["a1", "a3"]);
  });

  it("goes on after a piece that failed", async () => {
    const queue = new FairQueue({ most: 1, mostOfOne: 1, mostWaiting: 5 });
    const failed = queue.run("a", () => Promise.reject(new Error("no")));
    const next = queue.run("a", async () => "yes");
    await expect(failed).rejects.toThrow("no");
    expect(await next).toBe("yes");
  });
});
