import {
  type Dimension,
  FIRST_STOREY,
  isRoom,
  isStorey,
  type Part,
  type PartContext,
  renameParts,
  type StoreyPart,
  storeyKind,
} from "../kinds";

const isDimension = (value: object): value is Dimension => "valueNm" in value && "assumed" in value;

/** Every figure that was measured, as something still to be confirmed. */
function allAssumed<T>(value: T): T {
  if (Array.isArray(value)) return value.map(allAssumed) as T;
  if (typeof value !== "object" || value === null) return value;
  if (isDimension(value)) return { ...value, assumed: value.valueNm !== null, typed: "" };
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, allAssumed(each)])) as T;
}

/**
 * The rooms of a storey as the start of another: same plan, every figure assumed until it is measured there, no notes and
 * no photos. Joins and closets go with their copies. Returns the new parts, the storey's own record first.
 */
export function copyStorey(
  parts: readonly Part[],
  from: string,
  to: string,
  newId: () => string,
  context: PartContext,
): readonly Part[] {
  const rooms = parts.filter(isRoom).filter((room) => room.storey === from);
  const record = parts.filter(isStorey).find((each) => each.storey === from);
  const copies = renameParts(rooms, () => newId()).map((room) => ({
    ...allAssumed(room),
    storey: to,
    notes: "",
    photos: [],
  }));
  const above: StoreyPart = {
    ...storeyKind.defaults(newId(), to, context),
    level: (record?.level ?? 0) + 1,
    northDegrees: record?.northDegrees ?? null,
  };
  return [above, ...copies];
}

/** A storey's own record: the one there is, or a new one. The first storey is the lowest. */
export function storeyRecord(
  parts: readonly Part[],
  name: string,
  newId: () => string,
  context: PartContext,
): StoreyPart {
  const known = parts.filter(isStorey).find((each) => each.storey === name);
  if (known) return known;
  const highest = parts.filter(isStorey).reduce((most, part) => Math.max(most, part.level), 0);
  return { ...storeyKind.defaults(newId(), name, context), level: name === FIRST_STOREY ? 0 : highest + 1 };
}
