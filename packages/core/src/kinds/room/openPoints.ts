import { figurePoints } from "../../parts/openPointsOf";
import type { OpenPoint, PartContext } from "../../parts/partKind";
import { formatLength } from "../../units";
import { roomDimensions } from "./dimensions";
import { runName } from "./names";
import { outlineOf, type RoomOutline } from "./outline";
import type { Room } from "./schema";
import { gapSizeNm } from "./walk";

/** Where the walk stands, in a sentence; nothing for one that closes. */
export function walkPoint(room: Room, outline: RoomOutline, { system }: PartContext): OpenPoint | undefined {
  const [crossing] = outline.crossed;
  if (crossing) {
    const [a, b] = crossing;
    const message = `${runName(room, a.runId)} and ${runName(room, b.runId)} cross. Check a turn or measure one of them again`;
    return { path: "walk", kind: "conflict", message };
  }
  const gap = outline.gap ? formatLength(gapSizeNm(outline.gap), system) : "";
  switch (outline.state) {
    case "open":
      return { path: "walk", kind: "missing", message: "The walk has not come back to its start yet" };
    case "small":
      return {
        path: "walk",
        kind: "conflict",
        message: `The walk ends ${gap} from its start: spread it, square it up or measure again`,
      };
    case "large":
      return {
        path: "walk",
        kind: "conflict",
        message: `The walk ends ${gap} from its start: a measurement or a turn is wrong`,
      };
    case "spread":
      return { path: "walk", kind: "assumed", message: `A gap of ${gap} was spread over the walls by their length` };
    case "squared":
      return { path: "walk", kind: "assumed", message: `A gap of ${gap} was taken up by the last two walls` };
    default:
      return undefined;
  }
}

export function roomOpenPoints(room: Room, context: PartContext): readonly OpenPoint[] {
  const walk = walkPoint(room, outlineOf(room), context);
  // While a person walks, the run that waits for its figure is the walk's own point.
  const figures = figurePoints(roomDimensions(room), context.system).filter(
    (point) => room.finished || point.kind !== "missing" || !point.path.startsWith("runs."),
  );
  const { shape, pitchDegrees, highHeight } = room.ceiling;
  const slope: OpenPoint[] =
    shape.value !== "level" && pitchDegrees === null && highHeight.valueNm === null
      ? [
          {
            path: "ceiling.highHeight",
            kind: "missing",
            message: "The ceiling's slope: measure its highest height or give its pitch",
          },
        ]
      : [];
  const rest = slope.length > 0 ? figures.filter((point) => point.path !== "ceiling.highHeight") : figures;
  return [...(walk ? [walk] : []), ...slope, ...rest];
}
