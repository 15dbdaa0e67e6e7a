import type { AssemblyRef, Beyond, PartContext, PartKind, Room, WallPart } from "../kinds";
import { stretchOn } from "./openings";
import { type StandingWall, standingWall } from "./standing";
import type { JobPlan } from "./storeyPlan";
import type { PlanWall } from "./walls";

/** A crossing wall's thickness, or a slip of the tape, leaves so much of a shared wall with nothing beyond it. */
const NEARLY_ALL = 0.9;
const HARDLY_ANY = 0.1;

type Span = { readonly fromNm: number; readonly toNm: number };

/** Spans as they lie, those that touch or overlap made one. */
function joined(spans: readonly Span[]): Span[] {
  const found: Span[] = [];
  for (const span of spans.toSorted((a, b) => a.fromNm - b.fromNm)) {
    const last = found[found.length - 1];
    if (last && span.fromNm <= last.toNm)
      found[found.length - 1] = { fromNm: last.fromNm, toNm: Math.max(last.toNm, span.toNm) };
    else found.push(span);
  }
  return found;
}

type Sides = { readonly one: readonly Span[]; readonly other: readonly Span[] };
const known = new WeakMap<PlanWall, Sides>();

/** Where rooms lie along each side of a wall: asked for by all that is built along it. */
function sidesOf(wall: PlanWall): Sides {
  const before = known.get(wall);
  if (before) return before;
  const onSide = (side: 1 | -1): Span[] => {
    const faces = wall.faces.filter(({ out }) => Math.sign(out.x * wall.normal.x + out.y * wall.normal.y) === side);
    return joined(faces.map((face) => stretchOn(wall, face, face.face.startNm, face.face.endNm)));
  };
  const sides = { one: onSide(1), other: onSide(-1) };
  known.set(wall, sides);
  return sides;
}

const coveredNm = (spans: readonly Span[], { fromNm, toNm }: Span): number =>
  spans.reduce((sum, span) => sum + Math.max(0, Math.min(toNm, span.toNm) - Math.max(fromNm, span.fromNm)), 0);

export function beyondOf({ wall, fromNm, toNm }: StandingWall): Beyond {
  const sides = sidesOf(wall);
  const [one, other] = [coveredNm(sides.one, { fromNm, toNm }), coveredNm(sides.other, { fromNm, toNm })];
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
