import type { FramingPiece, Piece } from "../../drawing/piece";
import { alongEdge, bearingOf, type JoistEdgeUV, runsWithJoists } from "../../joists/shape";
import type { Nanometres } from "../../units";
import type { FloorPlan } from "./floorPlan";
import { levelStick } from "./stick";

/** How long timber of a role is sold in a section; endless where nobody says. */
export type Longest = (role: string, sectionId: string) => Nanometres;

/** A length in as many alike as it takes to be cut from what is sold. */
export function inStock(lengthNm: Nanometres, soldNm: Nanometres): readonly (readonly [Nanometres, Nanometres])[] {
  const count = Number.isFinite(soldNm) && soldNm > 0 ? Math.max(1, Math.ceil(lengthNm / soldNm)) : 1;
  return Array.from({ length: count }, (_, index) => {
    return [Math.round((lengthNm * index) / count), Math.round((lengthNm * (index + 1)) / count)];
  });
}

type Band = {
  readonly role: string;
  readonly section: FloorPlan["joist"];
  readonly inwardNm: Nanometres;
};

function bandAlong(line: JoistEdgeUV, id: string, band: Band, plan: FloorPlan, longest: Longest): FramingPiece[] {
  const { at, lengthNm } = alongEdge(line);
  const { role, section, inwardNm } = band;
  const stretches = inStock(lengthNm, longest(role, section.id));
  return stretches.map(([from, to], index) =>
    levelStick(
      {
        id: stretches.length > 1 ? `${id}-${index + 1}` : id,
        role,
        section,
        corners: [
          at(from, inwardNm),
          at(to, inwardNm),
          at(to, inwardNm + section.thicknessNm),
          at(from, inwardNm + section.thicknessNm),
        ],
        cutLengthNm: to - from,
      },
      plan.shape,
    ),
  );
}

const RIMMED: ReadonlySet<string> = new Set(["plate", "beam", "open"]);

/** What lies along the edges that joists end on: rims and ledgers. Beams there are laid with the other beams. */
export function edgePieces(plan: FloorPlan, longest: Longest): Piece[] {
  const { joist, choices } = plan;
  return plan.shape.edges.flatMap((line): Piece[] => {
    if (runsWithJoists(line)) return [];
    const bears = bearingOf(line.edge, choices);
    const { id } = line.edge;
    const band = (role: string) => ({ role, section: joist, inwardNm: 0 });
    if (RIMMED.has(bears)) return bandAlong(line, `rim-${id}`, band("rim-joist"), plan, longest);
    return bears === "ledger" ? bandAlong(line, `ledger-${id}`, band("joist-ledger"), plan, longest) : [];
  });
}

/** Beams along edges, for what stands under them. */
export const beamEdges = ({ shape, choices }: FloorPlan): JoistEdgeUV[] =>
  shape.edges.filter((line) => {
    const bears = bearingOf(line.edge, choices);
    return bears === "beam" || (bears === "flush-beam" && !runsWithJoists(line));
  });
