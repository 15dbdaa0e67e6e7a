import { type AssemblyParameter, settlePart } from "../assemblies";
import { countPart } from "../count";
import type { Part, Scalar } from "../kinds";
import type { PartKind } from "../parts/partKind";
import type { SlotParameter } from "../parts/slot";
import { inches, type MeasuringSystem } from "../units";
import { assemblyOf, library } from "./library";

export type Choices = Readonly<Record<string, Scalar>>;

type Tried = Pick<AssemblyParameter, "kind" | "default">;

const BOOKS: Partial<
  Record<AssemblyParameter["kind"], Readonly<Record<string, { readonly system: MeasuringSystem }>>>
> = { section: library.sections, unit: library.units, sheet: library.sheets };

/** Values worth trying for a choice: all of a few, and some to either side of a figure. */
export function valuesOf(
  { kind, default: usual }: Tried,
  among: readonly Scalar[] | undefined,
  system: MeasuringSystem,
) {
  if (among) return among;
  if (kind === "yes-no") return [true, false];
  const book = BOOKS[kind];
  if (book) return Object.keys(book).filter((id) => book[id]?.system === system);
  if (kind === "length") return [0, 0.25, 0.5, 2, 4, 8, 12, 24, 48, 72, 144].map((each) => inches(each));
  return [0, 1, 2, 3, 4, 6, Number(usual) * 1.5, Number(usual) / 2];
}

/** What a customer pays for, and what is said of it: no working, and no drawing. */
const whatIsCounted = (part: Part, system: MeasuringSystem) => {
  const { lines, scope } = countPart(part, system, library);
  return JSON.stringify([scope, lines.map((line) => [line.key, line.itemCode, line.quantity, line.cutLengthsNm])]);
};

/** Whether any two come to something else; no more are counted once two do. */
function differ(values: readonly Scalar[], comesTo: (value: Scalar) => string): boolean {
  const [first, ...rest] = values;
  if (first === undefined) return false;
  const expected = comesTo(first);
  return rest.some((value) => comesTo(value) !== expected);
}

type Given<P> = {
  readonly system: MeasuringSystem;
  readonly part: P;
  readonly assemblyIds: readonly string[];
  /** What else is chosen: a choice has to come to something with one of them. */
  readonly others: readonly Choices[];
};

/** Names of the choices whose every value comes to the same, whatever else is chosen. */
export function withoutEffect<P extends Part>(
  kind: PartKind<P>,
  { system, part, assemblyIds, others }: Given<P>,
): string[] {
  const { slot } = kind;
  if (!slot) throw new Error(`withoutEffect: a ${kind.label} has no slot`);
  const counted = new Map<string, string>();
  const comesTo = (id: string, choices: Choices): string => {
    const key = JSON.stringify([id, choices]);
    const known = counted.get(key) ?? whatIsCounted(slot.choose(slot.fill(part, { id, version: 1 }), choices), system);
    counted.set(key, known);
    return known;
  };
  const reaches = (id: string, name: string, values: readonly Scalar[]) => {
    const reach = (among: readonly Scalar[]) =>
      others.some((also) => differ(among, (value) => comesTo(id, { ...also, [name]: value })));
    // Most choices show between the first and the last; the others are tried where they do not.
    return reach([values[0], values.at(-1)].filter((each) => each !== undefined)) || reach(values);
  };
  /** Whether it is asked for at all, where something else is chosen. */
  const asked = (id: string, also: Choices, applies: SlotParameter["applies"]) => {
    const built = slot.choose(slot.fill(part, { id, version: 1 }), also);
    return applies?.(slot.values(settlePart(built, system, library))) ?? true;
  };
  const ofSlot = slot.parameters.filter(({ name, kind: is, usual, among, stands, applies }) => {
    if (!assemblyIds.some((id) => others.some((also) => asked(id, also, applies)))) return false;
    const values = valuesOf({ kind: is, default: usual?.[system] ?? 1 }, among, system).filter(stands);
    return !assemblyIds.some((id) => reaches(id, name, values));
  });
  const known = new Set(slot.parameters.map((each) => each.name));
  const own = assemblyIds.flatMap((id) => {
    const { parameters } = assemblyOf(system, id);
    return parameters.flatMap((each) => {
      const among = each.choices?.map(({ value }) => value);
      return known.has(each.name) || reaches(id, each.name, valuesOf(each, among, system))
        ? []
        : [`${id}: ${each.name}`];
    });
  });
  return [...ofSlot.map((each) => each.name), ...own];
}

/** Names of parameters of an assembly that adds lines to a part whose every value comes to the same. */
export function withoutEffectOn(part: Part, id: string, system: MeasuringSystem): string[] {
  const applied = (choices: Choices): Part => ({
    ...part,
    uses: [{ id: "u", assembly: { id, version: 1 }, choices }],
  });
  return assemblyOf(system, id)
    .parameters.filter((each) => {
      const among = each.choices?.map(({ value }) => value);
      return !differ(valuesOf(each, among, system), (value) => whatIsCounted(applied({ [each.name]: value }), system));
    })
    .map((each) => each.name);
}
