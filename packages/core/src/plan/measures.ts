import { polygonArea } from "../geometry";
import type { Measure, MeasureWorking, PartContext, Room } from "../kinds";
import { formatArea, formatLength, type SquareMetres } from "../units";
import { outsideChecks } from "./points";
import type { StoreyPlan } from "./storeyPlan";

const measure = (
  id: string,
  name: string,
  text: string,
  working: MeasureWorking,
  shapeIds: readonly string[],
  of = "",
): Measure => ({ id, name, of, text, working, shapeIds });

/** A room with those that belong to it: a bedroom and its closet. */
export type RoomGroup = { readonly room: Room; readonly with: readonly Room[]; readonly area: SquareMetres };

export function roomGroups({ rooms }: StoreyPlan): readonly RoomGroup[] {
  const areaOf = (room: Room) => polygonArea(rooms.find((each) => each.room.id === room.id)?.polygon ?? []);
  const all = rooms.filter((each) => each.polygon).map((each) => each.room);
  const ids = new Set(all.map((room) => room.id));
  const isOwn = (room: Room) => room.belongsTo === null || !ids.has(room.belongsTo) || room.belongsTo === room.id;
  return all.filter(isOwn).map((room) => {
    const members = all.filter((each) => each.belongsTo === room.id && each.id !== room.id);
    return { room, with: members, area: [room, ...members].reduce((sum, each) => sum + areaOf(each), 0) };
  });
}

/** What a whole storey comes to, each with its working. */
export function storeyMeasures(plan: StoreyPlan, { system }: PartContext): readonly Measure[] {
  const { footprint } = plan;
  if (!footprint) return [];
  const groups = roomGroups(plan);
  const inside = groups.reduce((sum, group) => sum + group.area, 0);
  const floor = measure(
    "floor-area",
    "Floor area, inside",
    formatArea(inside, system),
    {
      sentence: "Inside the walls, room by room; closets with the room they belong to.",
      formula: "the rooms added up",
      withNumbers: `${groups.length} rooms = ${formatArea(inside, system)}`,
      steps: groups.map(({ room, with: members, area }) => ({
        label: [room.name, ...members.map((each) => each.name)].join(" with "),
        value: formatArea(area, system),
      })),
    },
    plan.rooms.map((each) => `floor/${each.room.id}`),
  );
  const outside = formatArea(footprint.area, system);
  const round = formatLength(footprint.perimeterNm, system);
  const corners = footprint.rings.reduce((sum, ring) => sum + ring.length, 0);
  const area = measure(
    "footprint",
    "Footprint, outside",
    outside,
    {
      sentence: "Over the outside of the walls; what lies unmeasured within the house counts as part of it.",
      formula: "the rooms with their walls, put together",
      withNumbers: `${corners} outside corners = ${outside}`,
      steps: [],
    },
    ["footprint"],
  );
  const perimeter = measure(
    "outside-perimeter",
    "Outside perimeter",
    round,
    {
      sentence: "Round the outside of the walls.",
      formula: "the outside walls added up",
      withNumbers: `${corners} stretches = ${round}`,
      steps: [],
    },
    ["footprint"],
  );
  const overall = outsideChecks(plan).map(({ name, computedNm }) =>
    measure(
      `outside/${name}`,
      `Outside, ${name}`,
      formatLength(computedNm, system),
      {
        sentence: "Rooms and walls added up from outside to outside.",
        formula: "furthest outside face − nearest",
        withNumbers: formatLength(computedNm, system),
        steps: [],
      },
      ["footprint"],
    ),
  );
  return [floor, area, perimeter, ...overall];
}
