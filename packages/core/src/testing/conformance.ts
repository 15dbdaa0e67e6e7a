import { type Assembly, builderOf, type Library, partContext } from "../assemblies";
import { countPart, type PartCount } from "../count";
import type { DrawnRectangle } from "../drawing/drawing";
import { isLayer, itemIdOf, type Piece } from "../drawing/piece";
import { mergeParts, type Part, readPart, readStoredPart, renameParts, roleOf } from "../kinds";
import { newestVersion } from "../migrations/migrate";
import { type Dimension, type DimensionSlot, dimensionSchema } from "../parts/dimension";
import { enterDimension } from "../parts/entry";
import { ALONE, type PartContext, type PartKind } from "../parts/partKind";
import { inches, type MeasuringSystem, metres, millimetres, parseLength, toMetres } from "../units";
import { extentOf } from "./extent";
import { library } from "./library";
import { type Choices, withoutEffect } from "./withoutEffect";

export type Sample<P> = {
  readonly system: MeasuringSystem;
  /** Measured, free of problems, and as intricate as its kind has them. */
  readonly part: P;
  /** The same seen from its other side: what is counted stays. */
  readonly mirrored?: (part: P) => P;
  /** The same built three times. */
  readonly thrice?: (part: P) => P;
  /** What it is built by, where that is none of the library that a new company has. */
  readonly assemblies?: readonly Assembly[];
  /** As it stands on the plan, for what takes its figures from there. */
  readonly onPlan?: (part: P) => P;
  /** Figures that stand beside a drawing which is broken off: it is too high to be shown whole. */
  readonly brokenOff?: readonly string[];
  /** Looked for among all its choices, where they are not by a test of their own (`count/everyChoiceOf…`). */
  readonly choices?: {
    /** Those that reach no count, and stand beside it. */
    readonly beside: readonly string[];
    /** What else is chosen: each has to come to something with one of them. */
    readonly others?: readonly Choices[];
  };
};

/** One thing that every kind does. Throws where a kind does not. */
export type Check = { readonly name: string; readonly run: () => void };

const MORE_NM = 1_000_000;

/** Not what is around it in a section: the line of the ground, the wall behind a membrane. */
const isOfPart = ({ role, tone }: DrawnRectangle): boolean => tone === undefined || roleOf(role) !== undefined;
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value));
const quantitiesOf = ({ lines }: PartCount) => lines.map((line) => [line.key, Number(line.quantity.toFixed(6))]);
const sizesOf = ({ xNm, yNm, widthNm, heightNm }: Piece): number[] => [xNm, yNm, widthNm, heightNm];

/** What is written into it fails at once, whichever check it was that met it. */
function frozen<T>(value: T): T {
  if (typeof value !== "object" || value === null || Object.isFrozen(value)) return value;
  for (const inner of Object.values(value)) frozen(inner);
  return Object.freeze(value);
}

/** All that a check is asked of: a kind, a part of it, and what it is counted as. */
class Asked<P extends Part> {
  readonly context: PartContext;
  readonly library: Library;
  constructor(
    readonly kind: PartKind<P>,
    readonly sample: Sample<P>,
  ) {
    this.library = { ...library, assemblies: [...library.assemblies, ...(sample.assemblies ?? [])] };
    this.context = partContext(sample.system, this.library);
    frozen(sample.part);
  }
  get part(): P {
    return this.sample.part;
  }
  get placed(): P {
    const onPlan = this.onPlan(this.part);
    return this.kind.placed?.(onPlan, this.context) ?? onPlan;
  }
  count(part: P = this.part): PartCount {
    return countPart(this.onPlan(part), this.sample.system, this.library);
  }
  private onPlan(part: P): P {
    return this.sample.onPlan?.(part) ?? part;
  }
  dimensions(part: P = this.part): readonly DimensionSlot[] {
    return this.kind.dimensions(part, this.context);
  }
  /** The figures that are measured here. */
  get own(): readonly DimensionSlot[] {
    return this.dimensions().filter((slot) => !slot.typedOn && slot.dimension.valueNm !== null);
  }
  set(part: P, { path, dimension }: DimensionSlot, moreNm = MORE_NM): P {
    return this.kind.withDimension(part, path, (dimension.valueNm ?? 0) + moreNm, "typed", this.context);
  }
}

const isStored = <P extends Part>({ part, kind, context }: Asked<P>) => {
  expect(readStoredPart(plain(part))).toEqual({ ok: true, value: plain(part) });
  expect(plain(part)).toMatchObject({ kind: kind.kind, schemaVersion: newestVersion(kind.migrations) });
  expect(readStoredPart(plain(kind.defaults("n", "New", context))).ok).toBe(true);
};

const isMeasured = <P extends Part>(asked: Asked<P>) => {
  expect(asked.kind.problems(asked.placed, asked.context)).toEqual([]);
  expect(asked.count().waits).toBe(false);
};

/** A new part is built by an assembly that a new company has, and counts something by it. */
const hasStarter = <P extends Part>(asked: Asked<P>) => {
  const { kind, context, sample } = asked;
  if (!kind.slot) return;
  const start = kind.defaults("n", "New", context);
  expect([start.kind, builderOf(start, sample.system, asked.library)?.id]).toEqual([
    kind.kind,
    kind.slot.of(start).assembly.id,
  ]);
  expect(asked.count().lines.length).toBeGreaterThan(0);
  expect(asked.count().lines.some(({ quantity }) => quantity > 0)).toBe(true);
};

/** What is not measured is said, until it is. */
const saysWhatIsMissing = <P extends Part>({ kind, context, sample, library }: Asked<P>) => {
  const start = kind.defaults("n", "New", context);
  const missing = kind.dimensions(start, context).filter((slot) => !slot.follows && slot.dimension.valueNm === null);
  if (missing.length === 0 || !countPart(start, sample.system, library).waits) return;
  expect(kind.openPoints(start, context).some((point) => point.kind === "missing")).toBe(true);
};

const keepsTheLastGood = <P extends Part>(asked: Asked<P>, typed: string) => {
  const { kind, context, part } = asked;
  const before = quantitiesOf(asked.count());
  for (const { path, dimension } of asked.own) {
    // Some figures may be less than nothing: a place from a corner, a top below the ground.
    if ((path.endsWith(".position") || path === "top") && typed.startsWith("-")) continue;
    const entered = enterDimension(kind, part, path, typed, context);
    const now = asked.dimensions(entered.part).find((slot) => slot.path === path);
    expect([path, entered.problem === undefined]).toEqual([path, false]);
    expect(now?.dimension.valueNm).toBe(dimension.valueNm);
    expect(quantitiesOf(asked.count(entered.part))).toEqual(before);
    // What was typed is kept for correction, and said.
    const points = kind.openPoints(entered.part, context);
    if (!path.endsWith(".head")) expect(points.some((point) => point.kind === "refused")).toBe(true);
  }
};

const isNeverChanged = <P extends Part>(asked: Asked<P>) => {
  const before = plain(asked.part);
  for (const slot of asked.own) asked.set(asked.part, slot);
  expect(plain(asked.part)).toEqual(before);
};

/** What was set is what is read, and no other figure moves but those that follow. */
const readsBackWhatIsSet = <P extends Part>(asked: Asked<P>) => {
  for (const slot of asked.own) {
    // A head is read from the floor: what is set is the opening's height.
    if (slot.path.endsWith(".head")) continue;
    const now = asked.dimensions(asked.set(asked.part, slot));
    const found = now.find(({ path }) => path === slot.path);
    expect([slot.path, found?.dimension.valueNm]).toEqual([slot.path, (slot.dimension.valueNm ?? 0) + MORE_NM]);
    const typed = now.filter(({ path, dimension }) => path !== slot.path && dimension.typed === "typed");
    expect([slot.path, typed.map(({ path }) => path)]).toEqual([slot.path, []]);
  }
};

const isFigure = (value: unknown): value is Dimension => dimensionSchema.safeParse(value).success;

/** A figure on the record that moves the count is one that somebody can type. */
const asksForWhatCounts = <P extends Part>(asked: Asked<P>) => {
  const { part } = asked;
  const paths = new Set(asked.dimensions().map(({ path }) => path));
  const before = quantitiesOf(asked.count());
  for (const [name, value] of Object.entries(part)) {
    if (paths.has(name) || !isFigure(value) || value.valueNm === null) continue;
    const longer = { ...part, [name]: { ...value, valueNm: value.valueNm + 100 * MORE_NM } };
    expect([name, quantitiesOf(asked.count(longer))]).toEqual([name, before]);
  }
};

const takesBoth = <P extends Part>(asked: Asked<P>) => {
  const [first, second] = asked.own.filter((slot) => !slot.path.endsWith(".head"));
  if (!first || !second) return;
  const { part } = asked;
  const merged = mergeParts(part, asked.set(part, first), asked.set(part, second));
  expect(plain(merged)).toEqual(plain(asked.set(asked.set(part, first), second)));
};

/** Undone, sent as a file or copied it is the same part, and comes to the same. */
const comesBack = <P extends Part>(asked: Asked<P>) => {
  const { part } = asked;
  const before = quantitiesOf(asked.count());
  const read = readPart(plain(part));
  expect(read).toEqual({ ok: true, value: plain(part) });
  const [copy] = renameParts([part], (id) => `${id}-copy`);
  expect(plain({ ...copy, id: part.id })).toEqual(plain(part));
  for (const slot of asked.own) {
    const moved = asked.set(part, slot);
    const back = asked.kind.withDimension(
      moved,
      slot.path,
      slot.dimension.valueNm ?? 0,
      slot.dimension.typed,
      asked.context,
    );
    expect([slot.path, quantitiesOf(asked.count(back))]).toEqual([slot.path, before]);
  }
};

const hasItsQuantities = <P extends Part>({ kind, placed, part }: Asked<P>) => {
  const values = kind.quantities(placed, ALONE);
  expect(Object.keys(values).toSorted()).toEqual(kind.quantityNames.map(({ name }) => name).toSorted());
  for (const value of Object.values(values)) expect(Number.isFinite(value)).toBe(true);
  const rows = kind.rowsOf?.(part, ALONE) ?? {};
  expect(Object.keys(rows).toSorted()).toEqual((kind.rows ?? []).map(({ name }) => name).toSorted());
  for (const { name, columns } of kind.rows ?? []) {
    for (const row of rows[name] ?? []) {
      expect(Object.keys(row).toSorted()).toEqual(columns.map((column) => column.name).toSorted());
    }
  }
};

const DIMENSIONS = { length: 1, area: 2, volume: 3 } as const;
/** A run round a house is many times its longest figure; a nanometre taken for a metre, or a millimetre, is more than that. */
const MOST_TIMES = 60;

/** The largest of what is measured and of what is drawn, in metres. */
function sizeM<P extends Part>({ kind, placed, own }: Asked<P>): number {
  const { widthNm, heightNm } = kind.outline(placed);
  return Math.max(...[widthNm, heightNm, ...own.map(({ dimension }) => dimension.valueNm ?? 0)].map(toMetres));
}

/** Figures, outline and quantities are of one size: none is in another unit. */
const agreesInSize = <P extends Part>(asked: Asked<P>) => {
  const { kind, placed } = asked;
  const size = sizeM(asked);
  if (size === 0) return;
  const values = kind.quantities(placed, ALONE);
  for (const { name, kind: of, path } of kind.quantityNames) {
    const value = Math.abs(values[name] ?? 0);
    if (!(of in DIMENSIONS)) continue;
    const power = DIMENSIONS[of as keyof typeof DIMENSIONS];
    expect([name, value <= (MOST_TIMES * Math.max(size, 0.3)) ** power]).toEqual([name, true]);
    // One figure's own quantity is that figure.
    const figure = asked.own.find((slot) => slot.path === path)?.dimension.valueNm;
    if (of === "length" && figure !== undefined && figure !== null)
      expect([name, value]).toEqual([name, expect.closeTo(Math.abs(toMetres(figure)), 6)]);
  }
  const { widthNm, heightNm } = kind.outline(placed);
  const largest = Math.max(...asked.own.map(({ dimension }) => toMetres(dimension.valueNm ?? 0)));
  const outline = toMetres(Math.max(widthNm, heightNm));
  if (outline > 0 && largest > 0) expect([kind.kind, outline >= largest / MOST_TIMES]).toEqual([kind.kind, true]);
};

const drawsWhatItCounts = <P extends Part>(asked: Asked<P>) => {
  const { kind, placed } = asked;
  const { pieces, lines, drawing } = asked.count();
  const ids = pieces.map((piece) => piece.id);
  expect(new Set(ids).size).toBe(ids.length);
  const roles = new Set(kind.roles.map((role) => role.id));
  for (const piece of pieces) expect([piece.id, roles.has(piece.role)]).toEqual([piece.id, true]);
  const known = new Set(ids);
  const counted = new Set(lines.flatMap((line) => line.pieceIds));
  for (const id of counted) expect([id, known.has(id)]).toEqual([id, true]);
  // What stands on the drawing is on a line, role by role: a role that no line has was laid out and forgotten.
  // What is poured, spread or dug is on its lines by its volume.
  const lost = pieces.filter((piece) => !counted.has(piece.id) && !isLayer(piece));
  expect([...new Set(lost.map(({ role }) => role))]).toEqual([]);
  if (pieces.length > 0 && kind.depthOf) expect([kind.kind, drawing.kind]).not.toEqual([kind.kind, "none"]);
  const drawn = drawing.kind === "elevation" ? drawing.rectangles.filter(isOfPart).map(({ id }) => id) : [];
  for (const id of drawn)
    expect([id, known.has(id) || id === "outline" || kind.nameOfItem?.(placed, id) !== undefined]).toEqual([id, true]);
};

/** An elevation is as large as what is drawn on it: a screen fits it by what it says of itself. */
const drawsToItsSize = <P extends Part>(asked: Asked<P>) => {
  const { drawing } = asked.count();
  if (drawing.kind !== "elevation" || drawing.rectangles.length === 0) return;
  expect(extentOf(drawing)).toEqual({ fromNm: 0, toNm: drawing.widthNm, lowNm: 0, highNm: drawing.heightNm });
};

/** Half of what figures are written to: a sixteenth of an inch, a millimetre. */
const WRITTEN_TO_NM: Readonly<Record<MeasuringSystem, number>> = { imperial: inches(1 / 32), metric: millimetres(0.5) };

const writesWhatItMeasures = <P extends Part>(asked: Asked<P>) => {
  const { drawing } = asked.count();
  if (drawing.kind !== "elevation") return;
  for (const { id, text, fromNm, toNm } of drawing.dimensions) {
    const read = parseLength(text, asked.sample.system);
    if (asked.sample.brokenOff?.includes(id)) continue;
    const off = read.ok ? Math.abs(read.value - (toNm - fromNm)) : 0;
    expect([id, text, off <= WRITTEN_TO_NM[asked.sample.system]]).toEqual([id, text, true]);
    expect([id, fromNm <= toNm]).toEqual([id, true]);
  }
  expect(drawing.dimensions.filter(({ text }) => parseLength(text, asked.sample.system).ok)).not.toEqual([]);
};

/** What hangs over, stands out or lies beside its outline does so by less than this, and by less than the part is large. */
const BESIDE_NM = metres(3);

const liesWhereItIsDrawn = <P extends Part>(asked: Asked<P>) => {
  const { kind, placed, context } = asked;
  const { pieces, drawing } = asked.count();
  const outNm = BESIDE_NM + metres(sizeM(asked));
  const { xNm, yNm, widthNm, heightNm } = kind.outline(placed);
  for (const piece of pieces) {
    const across = kind.depthOf?.(placed, piece, context);
    // Pieces of a list have lengths and no place: such a kind has no drawing either.
    if (!kind.depthOf && drawing.kind === "none") continue;
    expect(across && Number.isFinite(across.nearNm) && across.deepNm > 0).toBe(true);
    expect(itemIdOf(piece)).not.toBe("");
    expect(sizesOf(piece).every((size) => Number.isFinite(size))).toBe(true);
    const within =
      piece.xNm >= xNm - outNm &&
      piece.yNm >= yNm - outNm &&
      piece.xNm + piece.widthNm <= xNm + widthNm + outNm &&
      piece.yNm + piece.heightNm <= yNm + heightNm + outNm;
    expect([piece.id, within]).toEqual([piece.id, true]);
  }
};

/** Each choice of the slot and of the starter reaches the count, or is said to stand beside it. */
const choicesReach = <P extends Part>({ kind, part, sample }: Asked<P>) => {
  const { system, choices } = sample;
  if (!kind.slot || !choices) return;
  const assemblyIds = [kind.slot.of(part).assembly.id];
  const others = [{}, ...(choices.others ?? [])];
  expect(withoutEffect(kind, { system, part, assemblyIds, others }).toSorted()).toEqual(choices.beside.toSorted());
};

const isTheSameFromBehind = <P extends Part>(asked: Asked<P>, mirrored: (part: P) => P) =>
  expect(quantitiesOf(asked.count(mirrored(asked.part)))).toEqual(quantitiesOf(asked.count()));

const isThreeTimes = <P extends Part>(asked: Asked<P>, thrice: (part: P) => P) => {
  const once = new Map(quantitiesOf(asked.count()) as [string, number][]);
  for (const [key, quantity] of quantitiesOf(asked.count(thrice(asked.part))) as [string, number][]) {
    expect(quantity).toBeCloseTo(3 * (once.get(key) ?? 0), 4);
  }
};

const NO_FIGURES = ["", "nonsense", "-3 m", "900000 m"];

/** What every kind of part does, asked of one of them by a sample. */
export function checksOf<P extends Part>(kind: PartKind<P>, sample: Sample<P>): readonly Check[] {
  const asked = new Asked(kind, sample);
  const check = (name: string, run: (asked: Asked<P>) => void): Check => ({ name, run: () => run(asked) });
  const { mirrored, thrice } = sample;
  return [
    check("is stored and read again as it is, in the version its schema names", isStored),
    check("is measured, and free of problems", isMeasured),
    check("is built by an assembly that there is, and counts something by it", hasStarter),
    check("says what is missing while it is not measured", saysWhatIsMissing),
    ...NO_FIGURES.map((typed) =>
      check(`keeps its last good figure in force when "${typed}" is entered`, () => keepsTheLastGood(asked, typed)),
    ),
    check("is never changed by an entry, so that undo gives back what was there", isNeverChanged),
    check("reads back what was set, and moves no other figure", readsBackWhatIsSet),
    check("asks for each figure that it counts by", asksForWhatCounts),
    check("takes both of two persons' changes to different figures", takesBoth),
    check("is the same undone, read from a file and copied", comesBack),
    check("has a value for each measured name of formulas, and no other", hasItsQuantities),
    check("agrees in size: figures, outline and quantities", agreesInSize),
    check(
      "draws what it counts, and counts what it draws, each piece by an id and a role of its own",
      drawsWhatItCounts,
    ),
    check("is drawn as large as it says", drawsToItsSize),
    check("writes beside it how long it is", writesWhatItMeasures),
    check("lies where it is drawn, within its part and as deep", liesWhereItIsDrawn),
    check("is reached by every choice there is, but those that are said to stand beside", choicesReach),
    ...(mirrored ? [check("counts the same from its other side", () => isTheSameFromBehind(asked, mirrored))] : []),
    ...(thrice ? [check("built three times has everything three times", () => isThreeTimes(asked, thrice))] : []),
  ];
}
