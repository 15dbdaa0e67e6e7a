import type { FramingPiece } from "../../drawing/piece";
import { runsWithJoists } from "../../joists/shape";
import type { Nanometres } from "../../units";
import type { CutJoist } from "./cutJoists";
import { inStock, type Longest } from "./edges";
import type { FloorPlan } from "./floorPlan";
import { cornersUV, levelStick } from "./stick";

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
      return { ...stick, heightsNm: { lowNm, highNm } };
    });
  });
}
