import { along, headingFrom, minus, type Point, turned } from "../geometry";
import { outlineOfRoof, type PlacedRoofEdge, type Roof, roofOutlineOnPlan } from "../kinds";

export type RoofPlace = Roof["place"];

const degreesOf = (from: Point, to: Point): number => {
  const heading = headingFrom(from, to) ?? { x: 1, y: 0 };
  const degrees = (Math.atan2(heading.y, heading.x) * 180) / Math.PI;
  return Math.abs(degrees - Math.round(degrees)) < 1e-7 ? Math.round(degrees) : degrees;
};

/** So that one edge lies along another, seen from the other side, its nearer end so far from that one's left end. */
function placeAlong(own: PlacedRoofEdge, theirs: PlacedRoofEdge, alongNm: number): RoofPlace {
  const turnDegrees = degreesOf(theirs.to, theirs.from) - degreesOf(own.from, own.to);
  const heading = headingFrom(theirs.from, theirs.to) ?? { x: 1, y: 0 };
  return { ...minus(along(theirs.from, heading, alongNm), turned(own.to, turnDegrees)), turnDegrees };
}

/**
 * Where a roof lies: where it was put, or along the edge of another wherever that one lies. Its last known place while that edge is not
 * there, is not closed, or roofs lie along each other in a circle.
 */
export function placeOfRoof(roof: Roof, roofs: readonly Roof[], through: ReadonlySet<string> = new Set()): RoofPlace {
  const { beside } = roof;
  if (!beside || through.has(roof.id)) return roof.place;
  const host = roofs.find(({ id }) => id === beside.roofId);
  const outline = outlineOfRoof(roof);
  if (!host || !outline.ok || beside.along.valueNm === null) return roof.place;
  const place = placeOfRoof(host, roofs, new Set([...through, roof.id]));
  const theirs = roofOutlineOnPlan({ edges: host.edges, place }).find(({ edge }) => edge.id === beside.theirEdgeId);
  const own = outline.edges.find(({ edge }) => edge.id === beside.ownEdgeId);
  return theirs && own ? placeAlong(own, theirs, beside.along.valueNm) : roof.place;
}
