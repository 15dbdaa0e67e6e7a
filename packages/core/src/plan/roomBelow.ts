import { kindOf, type RoomBelow, type Waterproofing } from "../kinds";
import type { JobPlan } from "./storeyPlan";
import { surroundingsOf } from "./storeyPlan";

/** What is kept dry of a room, as the plan has it; without one while the room is not there or does not close. */
export function resolveWaterproofing(part: Waterproofing, plan: JobPlan): Waterproofing {
  if (part.roomId === "") return part;
  const storey = plan.storeys.find(({ rooms }) => rooms.some(({ room }) => room.id === part.roomId));
  const room = storey?.rooms.find((each) => each.room.id === part.roomId)?.room;
  if (!storey || !room) return part;
  const of = kindOf(room).quantities(room, surroundingsOf(plan, room.id));
  const { netWallArea, floorArea, perimeter, height, corners } = of;
  if (netWallArea === undefined || floorArea === undefined || perimeter === undefined || height === undefined)
    return part;
  const found: RoomBelow = {
    name: room.name,
    wallArea: netWallArea,
    floorArea,
    perimeter,
    height,
    corners: corners ?? 0,
  };
  return { ...part, storey: storey.name, location: room.name, found };
}
