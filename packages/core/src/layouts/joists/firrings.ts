import type { FramingPiece } from "../../drawing/piece";
import type { SpaceFigure } from "../../drawing/spaceFigure";
import { distance, type Point } from "../../geometry";
import { runsWithJoists } from "../../joists/shape";
import type { Nanometres } from "../../units";
import type { CutJoist } from "./cutJoists";
import { inStock, type Longest } from "./edges";
import type { FloorPlan } from "./floorPlan";
import { cornersUV, levelStick, uprightAlong } from "./stick";

/** Which way a roof falls: along its joists or across them, and towards the greater or the lesser side. */
export type Fall = { readonly along: boolean; readonly up: boolean };

/** The fall towards an edge of the outline; undefined for one that slants. */
export function fallTowards({ shape, reach }: FloorPlan, edgeId: string): Fall | undefined {
  const line = shape.edges.find(({ edge }) => edge.id === edgeId);
  if (!line) return undefined;
  if (runsWithJoists(line)) return { along: false, up: line.from.v * 2 > reach.v0 + reach.v1 };
  if (Math.abs(line.from.u - line.to.u) > 1000) return undefined;
  return { along: true, up: line.from.u * 2 > reach.u0 + reach.u1 };
}

/** How high the fall stands at a place: the least at the low side, rising from there. */
function heightAt({ choices, reach }: FloorPlan, fall: Fall, at: Nanometres): Nanometres {
  const [low, high] = fall.along ? [reach.u0, reach.u1] : [reach.v0, reach.v1];
  const over = fall.up ? high - at : at - low;
  return choices.leastFirring + Math.round(over / choices.fallOver);
}

/** A strip seen from its side: level beneath, as high at each end as it is there. */
const taperedOver = (
  line: readonly [Point, Point],
  [first, last]: readonly [Nanometres, Nanometres],
  thickNm: Nanometres,
): SpaceFigure => {
  const long = distance(...line);
  return uprightAlong(
    line,
    [
      [0, 0],
      [long, 0],
      [long, last],
      [0, first],
    ],
    thickNm,
  );
};

type Under = Pick<CutJoist, "id" | "u0" | "u1" | "v0" | "v1">;

/** One on each joist: tapered where the joists run with the fall; each of one height, stepping down, where they lie across it. */
export function firringsOf(
  plan: FloorPlan,
  under: readonly Under[],
  fall: Fall | undefined,
  longest: Longest,
): FramingPiece[] {
  const { joist, shape, choices } = plan;
  if (!choices.firrings || !fall) return [];
  return under.flatMap((each) => {
    const long = each.u1 - each.u0;
    const stretches = inStock(long, longest("firring", joist.id));
    return stretches.map(([from, to], index): FramingPiece => {
      const [u0, u1] = [each.u0 + from, each.u0 + to];
      const middle = Math.round((each.v0 + each.v1) / 2);
      const ends = fall.along ? [heightAt(plan, fall, u0), heightAt(plan, fall, u1)] : [heightAt(plan, fall, middle)];
      const [lowNm, highNm] = [Math.min(...ends), Math.max(...ends)];
      const id = `firring-${each.id}${stretches.length > 1 ? `-${index + 1}` : ""}`;
      const corners = cornersUV({ u0, u1, v0: each.v0, v1: each.v1 });
      const stick = levelStick(
        { id, role: "firring", section: joist, corners, cutLengthNm: to - from, topNm: highNm, deepNm: highNm },
        shape,
      );
      const line = [shape.fromUV({ u: u0, v: middle }), shape.fromUV({ u: u1, v: middle })] as const;
      const inSpace = taperedOver(line, [ends[0] ?? highNm, ends[1] ?? ends[0] ?? highNm], joist.thicknessNm);
      return { ...stick, heightsNm: { lowNm, highNm }, inSpace };
    });
  });
}
