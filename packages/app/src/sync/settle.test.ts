import { partContext, studWallKind } from "@wide-porch/core";
import { library } from "@wide-porch/library";
import type { Command, Stuck } from "./command";
import { leftInBin, letGo, partConflict, settledPart, settledWhole } from "./settle";

const base = studWallKind.defaults("part", "Wall", partContext("imperial", library));
const mine = { ...base, name: "Mine" };
const theirs = { id: "part", revision: 7, binned: false, part: { ...base, notes: "theirs" } };
const command: Command = {
  kind: "put-part",
  commandId: "c",
  jobId: "job",
  target: "part",
  baseRevision: 5,
  madeAt: 0,
  part: mine,
  before: base,
};
const stuck: Stuck = { command, reason: "conflict", message: "", current: theirs };

describe("settling two versions of a part", () => {
  const conflict = partConflict(stuck, [command, { ...command, commandId: "d", part: { ...mine, notes: "later" } }]);

  it("sets the newest of this device against the server's, with what both started from", () => {
    expect(conflict).toMatchObject({ base: { name: "Wall" }, mine: { notes: "later" }, theirs: { revision: 7 } });
  });

  it("sends a mixture on the newer revision, and this device's version to the history first", () => {
    if (!conflict) throw new Error("no conflict");
    const chosen = { ...theirs.part, name: "Mine" };
    const { commands } = settledPart(stuck, conflict, chosen);
    expect(commands.map((each) => [each.kind, each.baseRevision])).toEqual([
      ["set-aside", 7],
      ["put-part", 7],
    ]);
    expect(commands[0]).toMatchObject({ part: { name: "Mine", notes: "later" } });
    expect(new Set(commands.map((each) => each.commandId)).size).toBe(2);
  });

  it("sets nothing aside when this device's version is taken whole, and puts nothing when the other's is", () => {
    if (!conflict) throw new Error("no conflict");
    expect(settledPart(stuck, conflict, conflict.mine).commands.map((each) => each.kind)).toEqual(["put-part"]);
    expect(settledPart(stuck, conflict, theirs.part).commands.map((each) => each.kind)).toEqual(["set-aside"]);
  });

  it("takes a binned part out with the chosen version, or leaves it with this device's in its history", () => {
    const binned = { ...stuck, current: { ...theirs, binned: true } };
    const other = partConflict(binned, [command]);
    if (!other) throw new Error("no conflict");
    expect(settledPart(binned, other, other.theirs.part).commands.at(-1)?.kind).toBe("put-part");
    expect(leftInBin(binned, other).commands.map((each) => each.kind)).toEqual(["set-aside"]);
  });

  it("keeps a refused version in the history when it is let go, but for a part the server never had", () => {
    expect(letGo(stuck, [command]).commands).toMatchObject([{ kind: "set-aside", part: { name: "Mine" } }]);
    expect(letGo(stuck, [{ ...command, baseRevision: 0 }]).commands).toEqual([]);
  });

  it("has no fields to choose between for a part that was binned here and changed there", () => {
    const bin: Command = { kind: "bin-part", commandId: "b", jobId: "job", target: "part", baseRevision: 5, madeAt: 0 };
    const other: Stuck = { ...stuck, command: bin };
    expect(partConflict(other, [bin])).toBeUndefined();
    expect(settledWhole(other, [bin], "mine").commands).toMatchObject([{ kind: "bin-part", baseRevision: 7 }]);
    expect(settledWhole(other, [bin], "theirs").commands).toEqual([]);
  });
});
