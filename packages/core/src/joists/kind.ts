import { choicePoints } from "../parts/choicePoints";
import { assumedDimension, unmeasured } from "../parts/dimension";
import { gapPoint } from "../parts/gapPoint";
import { figurePoints } from "../parts/openPointsOf";
import type { PartKind } from "../parts/partKind";
import type { Slot, SlotParameter } from "../parts/slot";
import type { Scalar } from "../parts/use";
import { edgeLetter, extentOf } from "../parts/walkedOutline";
import { type MeasuringSystem, millimetres } from "../units";
import { type JoistChoices, joistSlot, usualJoists } from "./choices";
import { drawJoisted } from "./draw";
import {
  doubledName,
  floorOpeningName,
  followsByItself,
  joistDimensions,
  joistSetters,
  spotName,
  supportName,
} from "./figures";
import { joistProblems, sectionProblems } from "./problems";
import { JOIST_QUANTITIES, joistMeasures, joistQuantities } from "./quantities";
import { JOIST_ROLES } from "./roles";
import type { Follows, JoistEdge, Joisted } from "./schema";

export const newJoistEdge = (id: string): JoistEdge => ({ id, length: unmeasured, turnDegrees: 90, bears: null });

/** What a new one begins with: a rectangle whose sides wait for a tape, its joists across Edge A. */
export const newJoisted = () => ({
  edges: ["a", "b", "c", "d"].map(newJoistEdge),
  place: { xNm: 0, yNm: 0, turnDegrees: 0 },
  follows: { how: "own" as const },
  runs: "across" as const,
  firstJoist: unmeasured,
  openings: [],
  supports: [],
  doubled: [],
  spots: [],
  panelShift: unmeasured,
  rowShift: unmeasured,
  top: assumedDimension(0),
  standing: unmeasured,
  choices: {},
});

/** Posts stand on something only where there are beams; till then nobody is asked how high they are. */
function needsStanding({ supports, edges, spots, settled }: Joisted): boolean {
  const onBeam = (bears: JoistEdge["bears"]) => bears === "beam" || bears === "flush-beam";
  if (spots.some(({ kind }) => kind === "post")) return true;
  if (settled?.choices.postSpacing === 0) return false;
  return (
    supports.some(({ kind }) => kind !== "wall") ||
    edges.some(({ bears }) => onBeam(bears ?? settled?.choices.edgesBear ?? null))
  );
}

function renamedIn(follows: Follows, renamed: (id: string) => string): Follows {
  if (follows.how === "rooms") return { how: "rooms", roomIds: follows.roomIds.map(renamed) };
  return follows.how === "side" ? { ...follows, roomId: renamed(follows.roomId) } : follows;
}

const asksFor = (part: Joisted) =>
  joistDimensions(part).filter(
    ({ path, dimension }) =>
      path !== "standing" || dimension.valueNm !== null || dimension.refused !== undefined || needsStanding(part),
  );

/** What everything of joists answers alike; what differs is its schema, its name and the choices it offers. */
export function joistedKindFields<P extends Joisted>(
  parameters: readonly SlotParameter[],
  words: Pick<Slot<never>, "question" | "moreWords">,
  /** Of a kind with choices of its own beside those of joists. */
  own?: { readonly slot: Slot<P>; readonly usual: (system: MeasuringSystem) => Readonly<Record<string, Scalar>> },
): Omit<PartKind<P>, "kind" | "label" | "plural" | "schema" | "migrations" | "defaults" | "functions"> {
  return {
    order: 1,
    measures: joistMeasures,
    quantityNames: JOIST_QUANTITIES,
    quantities: joistQuantities,
    roles: JOIST_ROLES,
    slot:
      own?.slot ??
      joistSlot<P & { readonly settled?: { choices: JoistChoices; assumed: ReadonlySet<string> } }>(parameters, words),
    outline: ({ edges }) => extentOf(edges),
    draw: drawJoisted,
    depthOf: () => ({ nearNm: 0, deepNm: millimetres(1) }),
    placeOf: ({ place, top }) => ({ ...place, heightNm: top.valueNm ?? 0 }),
    problems: (part, context) => [...joistProblems(part, context), ...sectionProblems(part, parameters, context)],
    openPoints: (part, context) => [
      ...figurePoints(
        asksFor(part).filter(({ path }) => !followsByItself(part, path)),
        context.system,
      ),
      ...choicePoints(part, parameters, (own?.usual ?? usualJoists)(context.system)),
      ...gapPoint(part.edges, context.system),
    ],
    waits: (part) =>
      part.edges.some(({ length }) => length.valueNm === null) || gapPoint(part.edges, "metric").length > 0,
    dimensions: asksFor,
    ...joistSetters<P>(),
    withReferences: (part, renamed) => ({ ...part, follows: renamedIn(part.follows, renamed) }),
    nameOfItem: (part, id) =>
      floorOpeningName(part, id) ??
      supportName(part, id) ??
      doubledName(part, id) ??
      spotName(part, id) ??
      (part.edges.some((edge) => edge.id === id) ? `Edge ${edgeLetter(part.edges, id)}` : undefined),
  };
}
