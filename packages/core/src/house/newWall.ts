import type { AssemblyRef, Beyond, PartContext, PartKind, Room, WallPart } from "../kinds";
import { stretchOn } from "./openings";
import { type StandingWall, standingWall } from "./standing";
import type { JobPlan } from "./storeyPlan";

/** A crossing wall's thickness, or a slip of the tape, leaves so much of a shared wall with nothing beyond it. */
const NEARLY_ALL = 0.9;
const HARDLY_ANY = 0.1;

type Span = { readonly fromNm: number; readonly toNm: number };

/** Length that spans cover together, each place once. */
function coveredNm(spans: readonly Span[]): number {
  let [sum, untilNm] = [0, Number.NEGATIVE_INFINITY];
  for (const { fromNm, toNm } of spans.toSorted((a, b) => a.fromNm - b.fromNm)) {
    sum += Math.max(0, toNm - Math.max(fromNm, untilNm));
    untilNm = Math.max(untilNm, toNm);
  }
  return sum;
}

export function beyondOf({ wall, fromNm, toNm }: StandingWall): Beyond {
  const onSide = (side: 1 | -1): number => {
    const faces = wall.faces.filter(({ out }) => Math.sign(out.x * wall.normal.x + out.y * wall.normal.y) === side);
    const spans = faces
      .map((face) => stretchOn(wall, face, face.face.startNm, face.face.endNm))
      .map((span) => ({ fromNm: Math.max(fromNm, span.fromNm), toNm: Math.min(toNm, span.toNm) }))
      .filter((span) => span.toNm > span.fromNm);
    return coveredNm(spans);
  };
  const [one, other] = [onSide(1), onSide(-1)];
  const longer = Math.max(one, other);
  if (longer === 0) return "nothing";
  const share = Math.min(one, other) / longer;
  if (share < HARDLY_ANY) return "nothing";
  return share < NEARLY_ALL ? "part" : "rooms";
}

type NewWall = { readonly id: string; readonly name: string; readonly room: Room; readonly hostId: string };

/**
 * A room's wall to be built new, of the kind given: as such a wall is usually built with nothing beyond it, or between rooms.
 * `newest` says which version of an assembly the company has.
 */
export function newWallOnPlan<W extends WallPart>(
  kind: PartKind<W>,
  { id, name, room, hostId }: NewWall,
  plan: JobPlan,
  context: PartContext,
  newest: (assemblyId: string) => AssemblyRef | undefined,
): W {
  const placed: W = {
    ...kind.defaults(id, name.slice(0, 120), context),
    storey: room.storey,
    location: room.name,
    plan: { roomId: room.id, hostId, stretch: { how: "whole" } },
  };
  const standing = standingWall(placed, plan);
  return kind.asBuilt?.(placed, standing ? beyondOf(standing) : "rooms", newest) ?? placed;
}
