import { boundsOf, overlapRings, type Point, polygonArea, signedArea } from "../../geometry";
import type { JoistChoices } from "../../joists/choices";
import { floorOpeningName, supportName } from "../../joists/figures";
import type { FloorOpening, Joisted, SupportKind } from "../../joists/schema";
import {
  type Area,
  bayOf,
  bearingOf,
  type JoistEdgeUV,
  type JoistShape,
  joistShape,
  openingArea,
  overhangOf,
  reachOf,
  runsWithJoists,
} from "../../joists/shape";
import type { PartContext } from "../../kinds";
import { type Section, sectionOf } from "../../kinds";
import { millimetres, type Nanometres } from "../../units";

export type LaidSupport = {
  readonly id: string;
  readonly name: string;
  readonly kind: SupportKind;
  readonly u: Nanometres;
};
/** An opening as far as it lies in the floor; `past` where some of it does not. */
export type LaidOpening = {
  readonly opening: FloorOpening;
  readonly name: string;
  readonly area: Area;
  readonly past: boolean;
};

/** What laying joists stands on: the outline in their axes, sizes, and what lies in the way, everything measured. */
export type FloorPlan = {
  readonly part: Joisted;
  readonly choices: JoistChoices;
  readonly shape: JoistShape;
  readonly reach: Area;
  readonly joist: Section;
  readonly beam: Section;
  readonly supports: readonly LaidSupport[];
  readonly doubledAt: readonly { readonly id: string; readonly v: Nanometres }[];
  readonly openings: readonly LaidOpening[];
  /** Those that lie nowhere in it. */
  readonly outside: readonly { readonly id: string; readonly name: string }[];
  /** How thick a beam is that lies between joists. */
  readonly beamThickNm: Nanometres;
  /** Between the outermost joists, where there are any inside of what hangs over. */
  readonly bay: Area;
  readonly context: PartContext;
};

/** Undefined while the outline does not close. */
export function floorPlan(part: Joisted, choices: JoistChoices, context: PartContext): FloorPlan | undefined {
  const shape = joistShape(part);
  if (!shape) return undefined;
  const joist = sectionOf(context.sections, choices.joistSection);
  const beam = sectionOf(context.sections, choices.beamSection);
  const own = part.supports.flatMap(({ id, kind, at }): LaidSupport[] => {
    return at.valueNm === null ? [] : [{ id, kind, u: at.valueNm, name: supportName(part, id) ?? "" }];
  });
  const found = (part.found?.supports ?? []).map(({ name, atNm }, index): LaidSupport => {
    return { id: `found-${index + 1}`, kind: "wall", u: atNm, name };
  });
  const doubled = part.doubled.flatMap(({ id, at }) => (at.valueNm === null ? [] : [{ id, v: at.valueNm }]));
  const walls = (choices.doubleUnderWalls ? (part.found?.doubled ?? []) : []).map(({ atNm }, index) => ({
    id: `found-${index + 1}`,
    v: atNm,
  }));
  const reach = reachOf(shape.ring);
  return {
    part,
    choices,
    shape,
    reach,
    bay: bayOf(shape),
    joist,
    beam,
    supports: [...own, ...found, ...platesUnder(shape, choices)].toSorted((a, b) => a.u - b.u),
    doubledAt: [...doubled, ...walls],
    ...openingsIn(part, choices, shape),
    beamThickNm: beam.thicknessNm * choices.beamPlies,
    context,
  };
}

const cornersOf = ({ u0, u1, v0, v1 }: Area): Point[] => [
  { xNm: u0, yNm: v0 },
  { xNm: u1, yNm: v0 },
  { xNm: u1, yNm: v1 },
  { xNm: u0, yNm: v1 },
];

/** Less of an opening than this in the floor is none. */
const LEAST_OPENING_NM = millimetres(1);

/** Openings as they lie in the outline. */
function openingsIn(
  part: Joisted,
  choices: JoistChoices,
  { ring }: JoistShape,
): Pick<FloorPlan, "openings" | "outside"> {
  const outline = ring.map(({ u, v }) => ({ xNm: u, yNm: v }));
  const openings: LaidOpening[] = [];
  const outside: { id: string; name: string }[] = [];
  for (const opening of part.openings) {
    const asked = openingArea(opening, part, choices);
    if (!asked) continue;
    const name = floorOpeningName(part, opening.id) ?? "";
    const within = overlapRings(cornersOf(asked), outline).filter((each) => signedArea(each) > 0);
    const bounds = boundsOf(within.flat());
    const area = bounds && { u0: bounds.min.xNm, u1: bounds.max.xNm, v0: bounds.min.yNm, v1: bounds.max.yNm };
    if (!area || area.u1 - area.u0 < LEAST_OPENING_NM || area.v1 - area.v0 < LEAST_OPENING_NM) {
      outside.push({ id: opening.id, name });
      continue;
    }
    const inside = within.reduce((sum, each) => sum + signedArea(each), 0);
    openings.push({ opening, name, area, past: inside < polygonArea(cornersOf(asked)) * 0.999 });
  }
  return { openings, outside };
}

/** What joists pass over that hang out beyond an edge: the wall plate stands in from it by the overhang. */
function platesUnder({ edges }: JoistShape, choices: JoistChoices): LaidSupport[] {
  return edges.flatMap((line): LaidSupport[] => {
    const { edge, from, to } = line;
    const over = overhangOf(edge);
    if (runsWithJoists(line) || over === 0 || bearingOf(edge, choices) !== "free") return [];
    // Against the clock the inside lies to the left: ahead of an edge that runs down across the joists.
    const inside = to.v < from.v ? 1 : -1;
    return [
      { id: `plate-${edge.id}`, name: "Wall plate", kind: "wall", u: Math.round((from.u + to.u) / 2) + inside * over },
    ];
  });
}

/** What an edge takes off the end of a joist, square to the edge; less than nothing where the joist goes into the wall. */
export function takenByEdge({ edge }: JoistEdgeUV, { choices, joist, beamThickNm }: FloorPlan): Nanometres {
  switch (bearingOf(edge, choices)) {
    case "plate":
    case "beam":
    case "open":
    case "ledger":
      return joist.thicknessNm;
    case "flush-beam":
      return beamThickNm;
    case "built-in":
      return -choices.endBearing;
    default:
      return 0;
  }
}
