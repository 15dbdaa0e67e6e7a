import fc from "fast-check";
import { contexts, openingOf, wallOf } from "../testing/library";
import { entered, walkedRoom } from "../testing/rooms";
import { feet, inches } from "../units";
import { differenceName, differencesBetween, differenceText, fieldText, mergeParts, type Side } from "./merge";
import { newRoomOpening, type Room } from "./room";

const context = contexts.imperial;
const base = walkedRoom([["12'"], ["10'"], ["12'"], ["10'"]]);

const withDoor = (room: Room, id: string, hostId = "a"): Room => {
  const door = newRoomOpening(room, hostId, "door", id, context);
  return door ? { ...room, openings: [...room.openings, door] } : room;
};

describe("a field's value in words", () => {
  // `undefined` is a field that one side does not have.
  it.each<[unknown, string]>([
    [undefined, "not there"],
    [null, "none"],
    [true, "yes"],
    [false, "no"],
    ["", "empty"],
    ["oak", "oak"],
    [0, "0"],
    [[1, 2], "a list"],
    [{ valueNm: feet(12), typed: "12'", assumed: false }, "12' 0\""],
    [{ valueNm: feet(12), typed: "12'", assumed: true }, "12' 0\", assumed"],
    [{ valueNm: null, typed: "", assumed: false }, "not measured"],
    [{ value: true, assumed: true }, "yes, assumed"],
    [{ value: 2, assumed: false }, "2"],
    [{ how: "gable" }, "gable"],
    [{ name: "Door 1" }, "Door 1"],
    [{}, "there"],
  ])("%j is %s", (value, words) => {
    expect(fieldText(value, context)).toBe(words);
  });
});

describe("two versions of one part", () => {
  it("joins changes of different fields by itself", () => {
    const mine = entered(base, { "runs.a.length": "12'1" });
    const theirs = withDoor({ ...base, name: "Boot room" }, "d", "r2");
    const merged = mergeParts(base, mine, theirs) as Room;
    expect(merged.runs[0]?.length.valueNm).toBe(feet(12) + feet(1) / 12);
    expect(merged.name).toBe("Boot room");
    expect(merged.openings.map((each) => each.id)).toEqual(["d"]);
  });

  it("shows both versions of a field that both changed, and takes the one chosen", () => {
    const mine = entered(base, { "runs.a.length": "12'1" });
    const theirs = entered(base, { "runs.a.length": "12'2" });
    const [difference, ...rest] = differencesBetween(base, mine, theirs);
    expect(rest).toEqual([]);
    expect(difference).toMatchObject({ path: "runs.a.length", changedBy: "both" });
    expect(differenceName("runs.a.length", mine, theirs, context)).toBe("Wall A");
    expect([difference?.mine, difference?.theirs].map((value) => fieldText(value, context))).toEqual([
      "12' 1\"",
      "12' 2\"",
    ]);
    const chosen = mergeParts(base, mine, theirs, new Map<string, Side>([["runs.a.length", "theirs"]]));
    expect(chosen).toEqual(theirs);
    expect(mergeParts(base, mine, theirs)).toEqual(mine);
  });

  it("keeps what one added and the other never saw, in its place", () => {
    const mine = withDoor(base, "mine");
    const theirs = withDoor(base, "theirs", "r3");
    const merged = mergeParts(base, mine, theirs) as Room;
    expect(new Set(merged.openings.map((each) => each.id))).toEqual(new Set(["mine", "theirs"]));
  });

  it("asks when one took out what the other changed", () => {
    const start = withDoor(base, "d");
    const mine = entered(start, { "openings.d.width": "3'" });
    const found = differencesBetween(start, mine, base);
    expect(found).toMatchObject([{ path: "openings.d", changedBy: "both", theirs: undefined }]);
    expect(fieldText(found[0]?.theirs, context)).toBe("not there");
    expect(differenceName("openings.d", mine, base, context)).toBe("Door 1");
  });

  it("names photos by what they show", () => {
    const mine = { ...base, photos: [{ id: "0d6f", caption: "" }] };
    expect(differencesBetween(base, mine, base).map((each) => differenceName(each.path, mine, base, context))).toEqual([
      "Photo",
    ]);
    const shown = { ...base, photos: [{ id: "0d6f", caption: "Rot" }] };
    expect(differenceName("photos.0d6f", shown, base, context)).toBe("Photo “Rot”");
  });

  it("names choices and names of a stud wall", () => {
    const wall = wallOf("imperial", { lengthNm: feet(12), heightNm: feet(8) });
    const bearing = { ...wall, choices: { ...wall.choices, bearing: true } };
    const [found] = differencesBetween(wall, bearing, {
      ...wall,
      choices: { ...wall.choices, bearing: false },
    });
    expect(found?.path).toBe("choices.bearing");
    expect(differenceName("choices.bearing", wall, bearing, context)).toBe("Bearing");
    expect(differenceText("choices.bearing", wall, found?.mine, context)).toBe("Yes");
    const at16 = { ...wall, choices: { ...wall.choices, spacing: inches(16) } };
    const { spacing: _, ...following } = wall.choices;
    const [spacing] = differencesBetween(wall, at16, { ...wall, choices: following });
    const said = (value: unknown) => differenceText("choices.spacing", wall, value, context);
    expect([spacing?.path, said(at16.choices.spacing)]).toEqual(["choices.spacing", "16 in"]);
    expect(said(undefined)).toBe("as the assembly and the house have it");
  });

  it("says of an opening which of the two measured it by its unit", () => {
    const at = { positionNm: feet(3), widthNm: feet(3), heightNm: feet(4) };
    const opening = { ...openingOf("window", "w", at), name: "Window 1" };
    const wall = wallOf("imperial", { lengthNm: feet(12), heightNm: feet(8), openings: [opening] });
    const unit = { ...wall, openings: [{ ...opening, measuredAs: "unit" as const }] };
    const middle = { ...wall, openings: [{ ...opening, along: "centred" as const }] };
    const found = differencesBetween(wall, unit, middle);
    expect(found.map(({ path, changedBy }) => [path, changedBy])).toEqual([
      ["openings.w.measuredAs", "mine"],
      ["openings.w.along", "theirs"],
    ]);
    expect(differenceName("openings.w.measuredAs", unit, wall, context)).toBe("Window 1: measured as");
    expect(mergeParts(wall, unit, middle)).toMatchObject({ openings: [{ measuredAs: "unit", along: "centred" }] });
  });

  it("keeps counts set by hand by two people on different lines apart; the same line is for them to choose", () => {
    const set = (line: string, quantity: number) => ({ line, quantity, reason: "counted" });
    const start = { ...base, handSet: [set("boards", 20)] };
    const mine = { ...start, handSet: [set("boards", 20), set("screws", 900)] };
    const theirs = { ...start, handSet: [set("tape", 2), set("boards", 20)] };
    expect(differencesBetween(start, mine, theirs).map(({ path, changedBy }) => [path, changedBy])).toEqual([
      ["handSet.tape", "theirs"],
      ["handSet.screws", "mine"],
    ]);
    const merged = mergeParts(start, mine, theirs);
    expect(merged.handSet.map((each) => each.line).toSorted()).toEqual(["boards", "screws", "tape"]);
    const both = differencesBetween(
      start,
      { ...start, handSet: [set("boards", 21)] },
      { ...start, handSet: [set("boards", 22)] },
    );
    expect(both).toMatchObject([{ path: "handSet.boards.quantity", changedBy: "both" }]);
    // Given back by one, and nothing else touched by the other: it is given back.
    expect(mergeParts(start, { ...start, handSet: [] }, start).handSet).toEqual([]);
  });

  it("is the one version or the other when every field is chosen from it, and loses nothing (property)", () => {
    const length = fc.integer({ min: 1, max: 400 });
    const version = fc.record({
      a: length,
      b: length,
      name: fc.constantFrom("Hall", "Den", "Loft"),
      doors: fc.subarray(["a", "r2", "r3", "r4"]),
    });
    const made = (v: { a: number; b: number; name: string; doors: string[] }): Room => {
      const sized = entered(base, { "runs.a.length": `${v.a + 60}`, "runs.r2.length": `${v.b + 60}` });
      return v.doors.reduce((room, host) => withDoor(room, `door-${host}`, host), { ...sized, name: v.name });
    };
    fc.assert(
      fc.property(version, version, (first, second) => {
        const [mine, theirs] = [made(first), made(second)];
        const all = (side: Side) =>
          new Map(differencesBetween(base, mine, theirs).map((each) => [each.path, side] as const));
        const sorted = (room: Room) => ({
          ...room,
          openings: room.openings.toSorted((x, y) => x.id.localeCompare(y.id)),
        });
        expect(sorted(mergeParts(base, mine, theirs, all("mine")) as Room)).toEqual(sorted(mine));
        expect(sorted(mergeParts(base, mine, theirs, all("theirs")) as Room)).toEqual(sorted(theirs));
        // By itself it never drops a door that either put in.
        const ids = (mergeParts(base, mine, theirs) as Room).openings.map((each) => each.id);
        for (const each of [...mine.openings, ...theirs.openings]) expect(ids).toContain(each.id);
      }),
      { numRuns: 200 },
    );
  });
});
