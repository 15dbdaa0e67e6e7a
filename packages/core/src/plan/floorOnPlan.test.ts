import { countPart } from "../count";
import { along, boundsOf, headingFrom, overlapArea } from "../geometry";
import {
  alongSide,
  type Deck,
  deckKind,
  type FlatRoof,
  type Floor,
  flatRoofKind,
  floorKind,
  isDeck,
  isFlatRoof,
  measured,
  type Part,
  rectangleDefaults,
  renameParts,
  studWallKind,
  withSide,
} from "../kinds";
import { onPlan } from "../parts/walkedOutline";
import { contexts, library } from "../testing/library";
import { entered } from "../testing/rooms";
import { toMetres } from "../units";
import { footprintEdges } from "./footprintEdges";
import { resolveParts } from "./resolve";
import { planJob } from "./storeyPlan";

const { metric } = contexts;
const room = (id: string, a: string, b: string, storey = "Ground") => ({
  ...entered(rectangleDefaults(id, id, metric), { "runs.a.length": a, "runs.b.length": b }),
  storey,
});
const kitchen = room("kitchen", "5 m", "4 m");
const hall = {
  ...room("hall", "3 m", "4 m"),
  place: { how: "joined" as const, toRoomId: "kitchen", toRunId: "b", runId: "d", offset: measured(0, "") },
};
/** The wall between them, carrying. */
const between: Part = {
  ...studWallKind.defaults("w", "Between", metric),
  plan: { roomId: "kitchen", hostId: "b", stretch: { how: "whole" as const } },
  choices: { bearing: true },
};

const floorOver = (roomIds: string[], more: Partial<Floor> = {}): Floor => ({
  ...floorKind.defaults("f", "Floor", metric),
  follows: { how: "rooms", roomIds },
  ...more,
});
function resolved(parts: readonly Part[]): Floor {
  const found = resolveParts(parts, planJob(parts)).find(({ id }) => id === "f");
  if (found?.kind !== "floor") throw new Error("there is no floor");
  return found;
}
const sides = ({ edges }: Pick<Floor, "edges">) =>
  edges.map(({ length }) => toMetres(length.valueNm ?? 0)).toSorted((a, b) => a - b);

describe("a floor over rooms", () => {
  it("lies to the outside of the walls round them, and goes along when a room changes", () => {
    const first = resolved([kitchen, floorOver(["kitchen"])]);
    const wall = (sides(first)[0] ?? 0) - 4;
    expect(wall).toBeCloseTo(2 * toMetres(kitchen.runs[0]?.thickness.valueNm ?? 0), 6);
    expect(sides(first)[3]).toBeCloseTo(5 + wall, 6);
    const longer = resolved([room("kitchen", "5.5 m", "4 m"), floorOver(["kitchen"])]);
    expect(sides(longer)[3]).toBeCloseTo(5.5 + wall, 6);
  });

  it("keeps what was said of an edge with the edge, and its first edge first", () => {
    const first = resolved([kitchen, floorOver(["kitchen"])]);
    const { found: _, ...kept } = first;
    const said = {
      ...kept,
      edges: kept.edges.map((edge, index) => (index === 0 ? { ...edge, bears: "ledger" as const } : edge)),
    };
    const grown = resolved([kitchen, hall, { ...said, follows: { how: "rooms", roomIds: ["kitchen", "hall"] } }]);
    expect(grown.edges.filter(({ bears }) => bears === "ledger").map(({ id }) => id)).toEqual([said.edges[0]?.id]);
    expect(grown.edges[0]?.id).toBe(said.edges[0]?.id);
  });

  it("is doubled under a wall that stands on it and runs with its joists, and not under one across them", () => {
    const lies = (runs: Floor["runs"]) => {
      const part = resolved([kitchen, hall, floorOver(["kitchen", "hall"], { runs })]);
      return [
        part.found?.doubled.length,
        countPart(part, "metric", library).pieces.filter(({ role }) => role === "doubled-joist").length,
      ];
    };
    expect([lies("along"), lies("across")].toSorted()).toEqual(
      [
        [0, 0],
        [1, 2],
      ].toSorted(),
    );
  });

  it("over the rooms it rests on the walls within that carry; those of its edges are its edges", () => {
    const over = (runs: Floor["runs"]) =>
      resolved([kitchen, hall, between, floorOver(["kitchen", "hall"], { runs, top: measured(2_600_000_000, "") })])
        .found?.supports.length;
    expect([over("along"), over("across")].toSorted()).toEqual([0, 1]);
  });

  it("says when a room is gone, and lies as it lay; when rooms hang together nowhere, it lies over the first", () => {
    const { found: _, ...laid } = resolved([kitchen, floorOver(["kitchen"])]);
    const gone = resolved([room("other", "2 m", "2 m"), laid]);
    expect(gone.edges).toEqual(laid.edges);
    expect(countPart(gone, "metric", library).problems.map(({ code }) => code)).toContain("rooms-gone");
    const apart = {
      ...room("shed", "2 m", "2 m"),
      place: { how: "free" as const, xNm: 20_000_000_000, yNm: 0, turnDegrees: 0 },
    };
    const two = resolved([kitchen, apart, floorOver(["kitchen", "shed"])]);
    expect(countPart(two, "metric", library).problems.map(({ code }) => code)).toContain("rooms-apart");
    expect(sides(two)).toEqual(sides(resolved([kitchen, floorOver(["kitchen"])])));
  });

  it("a flat roof hangs over the walls it lies on by what was said of each side, and goes on doing so", () => {
    const roof = {
      ...flatRoofKind.defaults("f", "Roof", metric),
      follows: { how: "rooms" as const, roomIds: ["kitchen"] },
    };
    const lay = (parts: readonly Part[]) => resolveParts(parts, planJob(parts)).find(isFlatRoof);
    const first = lay([kitchen, roof]);
    if (!first) throw new Error("there is no roof");
    const { found: _, ...kept } = first;
    const walls = sides(first);
    // Two sides beside each other are opened, and hang over by 400 mm.
    const open = kept.edges.slice(0, 2).reduce<FlatRoof>((now, { id }) => withSide(now, id, true, "metric"), kept);
    const over = {
      ...open,
      edges: open.edges.map((edge) => (edge.overhang ? { ...edge, overhang: measured(400_000_000, "") } : edge)),
    };
    const hung = lay([kitchen, over]);
    if (!hung) throw new Error("there is no roof");
    expect(sides(hung)).toEqual(walls.map((each) => expect.closeTo(each + 0.4, 6)));
    expect(hung.edges.map(({ overhang }) => overhang?.valueNm)).toEqual([
      400_000_000,
      400_000_000,
      undefined,
      undefined,
    ]);
    // What was stored as it lay is found again by its walls, whatever hangs over them.
    const { found: __, ...again } = hung;
    expect(lay([kitchen, again])?.edges).toEqual(hung.edges);
    expect(lay([kitchen, again])?.place).toEqual(hung.place);
  });

  it("stays where it is while nothing of the plan closes, and names its rooms anew in a copy", () => {
    const floor = floorOver(["kitchen"]);
    expect(resolved([rectangleDefaults("kitchen", "Kitchen", metric), floor]).edges).toBe(floor.edges);
    let made = 0;
    const copied = renameParts([kitchen, floor], () => `new-${++made}`);
    const moved = copied.find(({ kind }) => kind === "floor");
    const other = copied.find(({ kind }) => kind === "room");
    expect(moved).toMatchObject({ follows: { how: "rooms", roomIds: [other?.id] } });
  });
});

describe("a deck along a side of the house", () => {
  const plan = (parts: readonly Part[]) => planJob(parts).storeys.find(({ name }) => name === "Ground");
  const side = (parts: readonly Part[], faceId: string) => {
    const storey = plan(parts);
    const found = storey && footprintEdges(storey).find((each) => each.faceId === faceId);
    if (!found) throw new Error(`there is no side ${faceId}`);
    return found;
  };
  const begun = deckKind.withDimension(deckKind.defaults("f", "Deck", metric), "edges.b.length", 2e9, "2 m", metric);
  const lay = (parts: readonly Part[]) => resolveParts(parts, planJob(parts)).find(isDeck);
  const beside = (parts: readonly Part[], faceId: string, more: Partial<Deck> = {}) => {
    const { id, roomId, lengthNm } = side(parts, faceId);
    return alongSide({ ...begun, storey: "Ground", ...more }, { roomId, side: id.slice(roomId.length + 1), lengthNm });
  };
  /** The corners of a deck on the plan. */
  const corners = (deck: Deck) => onPlan(deck.edges, deck.place).map(({ from }) => from);

  it("is as long as the side, lies outside the house against it, and goes along when the house changes", () => {
    for (const faceId of ["a", "b", "c", "d"]) {
      const of = side([kitchen], faceId);
      const deck = lay([kitchen, beside([kitchen], faceId)]);
      if (!deck) throw new Error("there is no deck");
      expect(deck.edges[0]?.length.valueNm).toBe(of.lengthNm);
      // None of it within the house, and one side on the wall.
      expect(overlapArea(corners(deck), plan([kitchen])?.footprint?.rings[0] ?? [])).toBeCloseTo(0, 6);
      const [first] = onPlan(deck.edges, deck.place);
      expect([first?.from, first?.to]).toEqual([of.to, of.from]);
    }
    const grown = room("kitchen", "5 m", "4.7 m");
    const moved = lay([grown, beside([kitchen], "c")]);
    expect(moved && onPlan(moved.edges, moved.place)[0]?.from).toEqual(side([grown], "c").to);
  });

  it("begins so far from the right end as is said, whichever way round it was walked", () => {
    const deck = deckKind.withDimension(beside([kitchen], "a"), "edges.a.length", 1.5e9, "1.5 m", metric);
    const at = deckKind.withDimension(deck, "sideFrom", 5e8, "0.5 m", metric);
    const back = { ...at, edges: at.edges.map((edge) => ({ ...edge, turnDegrees: -90 })) };
    const [one, other] = [lay([kitchen, at]), lay([kitchen, back])];
    if (!one || !other) throw new Error("there is no deck");
    const { to, from } = side([kitchen], "a");
    const heading = headingFrom(to, from) ?? { x: 1, y: 0 };
    expect(corners(one)).toContainEqual(along(to, heading, 5e8));
    const middle = (deck: Deck) => {
      const { min, max } = boundsOf(corners(deck)) ?? { min: to, max: to };
      return [(min.xNm + max.xNm) / 2, (min.yNm + max.yNm) / 2];
    };
    expect(middle(other)).toEqual(middle(one));
  });

  it("says when its side is gone, and lies as it lay; measured sides keep it there; a copy names its room anew", () => {
    const lone = beside([kitchen], "c");
    const other = room("den", "3 m", "3 m");
    const gone = lay([other, lone]);
    expect(gone && countPart(gone, "metric", library).problems.map(({ code }) => code)).toContain("side-gone");
    expect(gone?.place).toEqual(lone.place);
    const measuredOne = deckKind.withDimension(lone, "edges.a.length", 3e9, "3 m", metric);
    expect(measuredOne.follows.how).toBe("side");
    expect(
      deckKind.problems(deckKind.withDimension(lone, "sideFrom", -1, "", metric), metric).map(({ code }) => code),
    ).toEqual(["not-positive"]);
    let made = 0;
    const [copy] = renameParts([lone, kitchen], () => `new-${++made}`).filter(isDeck);
    expect(copy?.follows).toMatchObject({ how: "side", roomId: "new-2" });
  });
});
