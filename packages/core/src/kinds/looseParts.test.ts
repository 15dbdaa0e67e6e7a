import { enterDimension } from "../parts/entry";
import { ALONE } from "../parts/partKind";
import { contexts } from "../testing/library";
import { feet } from "../units";
import { kindOf, PART_KINDS, type Part, partSchema } from "./registry";
import { renameParts } from "./renameParts";

const context = contexts.imperial;
const { length: lengthKind, area: areaKind, spots: spotsKind, storey: storeyKind } = PART_KINDS;

describe("loose parts", () => {
  it("measure a length and an area with their working, and nothing while a figure is missing", () => {
    const rail = enterDimension(lengthKind, lengthKind.defaults("l", "Rail", context), "length", "31'6", context).part;
    expect(lengthKind.measures(rail, context, ALONE)).toMatchObject([
      { text: "31.5 ft", working: { withNumbers: "31'6" } },
    ]);
    const deck = enterDimension(areaKind, areaKind.defaults("a", "Deck", context), "length", "12'", context).part;
    expect(areaKind.measures(deck, context, ALONE)).toEqual([]);
    const whole = enterDimension(areaKind, deck, "width", "10'", context).part;
    expect(areaKind.measures(whole, context, ALONE)).toMatchObject([{ text: "120 sq ft" }]);
  });

  it.each([
    [lengthKind, "length"],
    [areaKind, "width"],
    [storeyKind, "outsideUp"],
  ] as const)("refuse nothing and less than nothing (%#)", (kind, path) => {
    // Each kind with a part of its own; the table is over kinds.
    const each = kind as typeof lengthKind;
    const part = each.defaults("p", "P", context);
    for (const typed of ["0", "-3'"]) {
      const result = enterDimension(each, part, path, typed, context);
      expect(result.problem?.code).toBe("not-positive");
      expect(each.openPoints(result.part, context).some((point) => point.kind === "refused")).toBe(true);
    }
    expect(() => each.withDimension(part, "colour", feet(1), "1'", context)).toThrow(
      '"colour" is not one of its figures',
    );
  });

  it("say what is missing: a figure, a count; a check nobody made is nothing missing", () => {
    expect(areaKind.openPoints(areaKind.defaults("a", "Deck", context), context)).toHaveLength(2);
    const spots = spotsKind.defaults("s", "Sockets", context);
    expect(spotsKind.openPoints(spots, context)).toMatchObject([{ kind: "missing" }]);
    expect(spotsKind.openPoints({ ...spots, count: 0 }, context)).toEqual([]);
    expect(storeyKind.openPoints(storeyKind.defaults("g", "Ground", context), context)).toEqual([]);
  });

  it("count spots with what and where", () => {
    const posts = { ...spotsKind.defaults("s", "Posts", context), what: "post", count: 7, location: "Porch" };
    expect(spotsKind.measures(posts, context, ALONE)).toMatchObject([
      { text: "7 × post", working: { sentence: "Counted on site at Porch." } },
    ]);
    expect(() => spotsKind.withDimension(posts, "length", 1, "", context)).toThrow(
      '"length" is not one of its figures',
    );
  });
});

describe("every kind of part", () => {
  const parts: Part[] = Object.values(PART_KINDS).map((kind) => kind.defaults(kind.kind, kind.label, context) as Part);

  it("starts as its own schema takes it, and is found by its name", () => {
    for (const part of parts) {
      expect(partSchema.parse(JSON.parse(JSON.stringify(part)))).toEqual(part);
      expect(kindOf(part).kind).toBe(part.kind);
      expect(kindOf(part).problems(part, context)).toEqual([]);
    }
  });

  it("keeps each refused entry beside its figure, and takes it away again", () => {
    for (const part of parts) {
      const kind = kindOf(part);
      for (const { path } of kind.dimensions(part, context).filter((slot) => !isHead(slot.path))) {
        const marked = kind.withRefused(part, path, "oops");
        expect(kind.dimensions(marked, context).find((slot) => slot.path === path)?.dimension.refused).toBe("oops");
        expect(kind.withRefused(marked, path, undefined)).toEqual(part);
      }
    }
  });

  it("is renamed with all that names it", () => {
    const [room] = parts;
    const wall = parts.find((part) => part.kind === "stud-wall");
    if (room?.kind !== "room" || wall?.kind !== "stud-wall") throw new Error("kinds are missing");
    const closet: Part = {
      ...room,
      id: "closet",
      belongsTo: "room",
      place: { how: "joined", toRoomId: "room", toRunId: "a", runId: "a", offset: room.tolerance },
    };
    const standing: Part = { ...wall, plan: { roomId: "elsewhere", hostId: "a", stretch: { how: "whole" } } };
    const renamed = renameParts([room, closet, standing], (id) => `new ${id}`);
    expect(renamed).toMatchObject([
      { id: "new room" },
      { id: "new closet", belongsTo: "new room", place: { toRoomId: "new room" } },
      { id: "new stud-wall", plan: { roomId: "elsewhere" } },
    ]);
  });
});

/** A head height follows from others and keeps its refused entry at the height. */
const isHead = (path: string): boolean => path.endsWith(".head");
