import equal from "fast-deep-equal";
import { choiceText } from "../parts/choiceText";
import { figureSlots } from "../parts/figureSlots";
import type { PartContext } from "../parts/partKind";
import { scalarSchema } from "../parts/use";
import { formatLength } from "../units";
import { kindOf, type Part } from "./registry";

export type Side = "mine" | "theirs";

/** One field in which two versions of a part differ. Values are undefined where the version has no such thing. */
export type Difference = {
  readonly path: string;
  readonly mine: unknown;
  readonly theirs: unknown;
  /** Who changed it since the version both started from; both, where a person has to choose. */
  readonly changedBy: Side | "both";
};

type PlainRecord = Readonly<Record<string, unknown>>;
/** Something of a list, known by its id; a count set by hand by its line. */
type Item = PlainRecord;
type Pick = (difference: Difference) => Side;

const isRecord = (value: unknown): value is PlainRecord =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** Figures, choices and things of several sorts are one field each: a value is never mixed of two persons' halves. */
const isOneField = (value: PlainRecord): boolean => "valueNm" in value || "assumed" in value || "how" in value;
const isGroup = (value: unknown): value is PlainRecord => isRecord(value) && !isOneField(value);
const isList = (value: unknown): value is readonly Item[] =>
  Array.isArray(value) && value.every((each) => isRecord(each) && keyOf(each) !== undefined);

function keyOf(item: Item | undefined): string | undefined {
  const key = item?.id ?? item?.line;
  return typeof key === "string" ? key : undefined;
}

const under = (path: string, key: string): string => (path ? `${path}.${key}` : key);

function pickOne(path: string, base: unknown, mine: unknown, theirs: unknown, pick: Pick): unknown {
  const changedBy = equal(base, theirs) ? "mine" : equal(base, mine) ? "theirs" : "both";
  return pick({ path, mine, theirs, changedBy }) === "mine" ? mine : theirs;
}

function combine(path: string, base: unknown, mine: unknown, theirs: unknown, pick: Pick): unknown {
  if (equal(mine, theirs)) return theirs;
  if (isList(mine) && isList(theirs)) return combineLists(path, isList(base) ? base : [], mine, theirs, pick);
  if (isGroup(mine) && isGroup(theirs)) return combineGroups(path, isGroup(base) ? base : {}, mine, theirs, pick);
  return pickOne(path, base, mine, theirs, pick);
}

function combineGroups(
  path: string,
  base: PlainRecord,
  mine: PlainRecord,
  theirs: PlainRecord,
  pick: Pick,
): PlainRecord {
  const keys = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])];
  const entries = keys.map((key) => [key, combine(under(path, key), base[key], mine[key], theirs[key], pick)] as const);
  return Object.fromEntries(entries.filter(([, value]) => value !== undefined));
}

/** Their order, with what only I have put in after what stands before it in mine. */
function orderOf(mine: readonly Item[], theirs: readonly Item[]): string[] {
  const order = theirs.flatMap((item) => keyOf(item) ?? []);
  for (const [index, item] of mine.entries()) {
    const key = keyOf(item);
    if (key === undefined || order.includes(key)) continue;
    const before = keyOf(mine[index - 1]);
    order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, key);
  }
  return order;
}

function combineLists(
  path: string,
  base: readonly Item[],
  mine: readonly Item[],
  theirs: readonly Item[],
  pick: Pick,
): Item[] {
  const find = (items: readonly Item[], id: string) => items.find((item) => keyOf(item) === id);
  return orderOf(mine, theirs).flatMap((id): Item[] => {
    const [b, m, t] = [find(base, id), find(mine, id), find(theirs, id)];
    const merged = m && t ? combine(under(path, id), b, m, t, pick) : pickOne(under(path, id), b, m, t, pick);
    return merged === undefined ? [] : [merged as Item];
  });
}

/** Where two versions of a part differ, by field; `base` is what both started from, where it is known. */
export function differencesBetween(base: Part | undefined, mine: Part, theirs: Part): readonly Difference[] {
  const found: Difference[] = [];
  combine("", base, mine, theirs, (difference) => {
    found.push(difference);
    return "theirs";
  });
  return found;
}

/** Each field from the side chosen for it; where nobody chose, from whoever changed it, and mine where both did. */
export function mergeParts(
  base: Part | undefined,
  mine: Part,
  theirs: Part,
  chosen: ReadonlyMap<string, Side> = new Map(),
): Part {
  const merged = combine("", base, mine, theirs, ({ path, changedBy }) => {
    return chosen.get(path) ?? (changedBy === "theirs" ? "theirs" : "mine");
  });
  // Both sides are whole parts of one kind; a mixture of their fields has the same shape.
  return merged as Part;
}

const words = (key: string): string => key.replace(/([A-Z])/g, " $1").toLowerCase();
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

function itemName(part: Part, id: string): string | undefined {
  const photo = part.photos.find((each) => each.id === id);
  if (photo) return photo.caption ? `Photo “${photo.caption}”` : "Photo";
  return kindOf(part).nameOfItem?.(part, id);
}

/** `Wall C`, `Window 1: sill height`, `Ceiling: shape`. */
export function differenceName(path: string, mine: Part, theirs: Part, context: PartContext): string {
  const slots = [mine, theirs].flatMap((part) => figureSlots(kindOf(part), part, context));
  const slot = slots.find((each) => each.path === path);
  if (slot) return slot.of ? `${slot.of}: ${slot.label.toLowerCase()}` : slot.label;
  const choice = choiceAt(path, mine);
  if (choice) return choice.label;
  const named = path.split(".").map((key) => itemName(mine, key) ?? itemName(theirs, key) ?? key);
  const shown = named.length > 1 && named[1] !== path.split(".")[1] ? named.slice(1) : named;
  const [first = "", ...rest] = shown.map((each) => (/^[a-z]/.test(each) ? words(each) : each));
  return rest.length > 0 ? `${capital(first)}: ${rest.join(", ")}` : capital(first);
}

const choiceAt = (path: string, part: Part) => kindOf(part).slot?.parameters.find((each) => each.path === path);

/** What a side has in a place where two versions differ, for reading; a choice in the words of its slot. */
export function differenceText(path: string, part: Part, value: unknown, context: PartContext): string {
  const choice = choiceAt(path, part);
  const scalar = scalarSchema.safeParse(value);
  if (!choice) return fieldText(value, context);
  return scalar.success ? choiceText(choice, scalar.data, context) : "as the assembly and the house have it";
}

/** A field's value for reading: `12' 6"`, `yes`, `taken out`. */
export function fieldText(value: unknown, context: PartContext): string {
  if (value === undefined) return "not there";
  if (value === null) return "none";
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (typeof value === "string" || typeof value === "number") return String(value) || "empty";
  if (!isRecord(value)) return "a list";
  if ("valueNm" in value) {
    const length = typeof value.valueNm === "number" ? formatLength(value.valueNm, context.system) : "not measured";
    return value.assumed === true ? `${length}, assumed` : length;
  }
  if ("value" in value) return `${fieldText(value.value, context)}${value.assumed === true ? ", assumed" : ""}`;
  if (typeof value.how === "string") return value.how;
  return typeof value.name === "string" ? value.name : "there";
}
