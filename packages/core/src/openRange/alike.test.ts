import { type OpenPoint, PART_KINDS, type Part } from "../kinds";
import { contexts } from "../testing/library";
import { alikePoints, type PartPoint, partsText } from "./index";

const context = contexts.imperial;
const parts: Part[] = ["a", "b", "c"].map((id) => PART_KINDS["stud-wall"].defaults(id, `Wall ${id}`, context));
const partOf = (id: string) => parts.find((part) => part.id === id);
const pointOf = (partId: string, point: Partial<OpenPoint>): PartPoint => ({
  partId,
  partName: `Wall ${partId}`,
  point: { path: "choices.bearing", kind: "assumed", message: `Wall ${partId}: bearing is assumed.`, ...point },
});
const bearing = (partId: string) => pointOf(partId, { alike: "Bearing is assumed." });

describe("open points that are alike", () => {
  it("are one row, in the order they come, each with the parts it is of", () => {
    const length = pointOf("b", { path: "length", kind: "missing", message: "Length is missing." });
    const groups = alikePoints([bearing("a"), length, bearing("b")], partOf, context);
    expect(groups.map(({ message, points }) => [message, points.length])).toEqual([
      ["Bearing is assumed.", 2],
      ["Length is missing.", 1],
    ]);
  });

  it("keep their own words where there is one alone", () => {
    expect(alikePoints([bearing("a")], partOf, context)[0]?.message).toBe("Wall a: bearing is assumed.");
  });

  it("are confirmed together only where each can be: not of a part that is gone, nor a figure that is missing", () => {
    const confirmable = (points: PartPoint[]) => alikePoints(points, partOf, context).map((each) => each.confirmable);
    expect(confirmable([bearing("a"), bearing("b")])).toEqual([true]);
    expect(confirmable([bearing("a"), bearing("gone")])).toEqual([false]);
    expect(confirmable([pointOf("a", { path: "length" })])).toEqual([false]);
  });

  it("name two parts, and say how many more there are", () => {
    expect(partsText([bearing("a")])).toBe("Wall a");
    expect(partsText([bearing("a"), bearing("a")])).toBe("Wall a, 2 times");
    expect(partsText([bearing("a"), bearing("b")])).toBe("Wall a; Wall b");
    expect(partsText([bearing("a"), bearing("b"), bearing("c")])).toBe("Wall a; Wall b; 1 more");
  });
});
