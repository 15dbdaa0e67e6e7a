import { partContext } from "../assemblies";
import { countPart, type PartCount } from "../count";
import type { DrawnRectangle } from "../drawing/drawing";
import { itemIdOf, type Piece } from "../drawing/piece";
import { mergeParts, type Part, readStoredPart, roleOf } from "../kinds";
import { newestVersion } from "../migrations/migrate";
import { enterDimension } from "../parts/entry";
import { ALONE, type PartKind } from "../parts/partKind";
import type { MeasuringSystem } from "../units";
import { library } from "./library";

type Sample<P> = {
  readonly system: MeasuringSystem;
  /** Measured, free of problems, and as intricate as its kind has them. */
  readonly part: P;
  /** The same seen from its other side: what is counted stays. */
  readonly mirrored?: (part: P) => P;
  /** The same built three times. */
  readonly thrice?: (part: P) => P;
};

/** Not what is around it in a section: the line of the ground, the wall behind a membrane. */
const isOfPart = ({ role, tone }: DrawnRectangle): boolean => tone === undefined || roleOf(role) !== undefined;

const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value));
const quantities = ({ lines }: PartCount) => lines.map((line) => [line.key, Number(line.quantity.toFixed(6))]);

/** What every kind of part does, asked of one of them. */
export function describeKind<P extends Part>(kind: PartKind<P>, samples: readonly Sample<P>[]): void {
  describe.each(samples.map((sample) => [sample.system, sample] as const))(
    `${kind.label}, %s, as any kind`,
    (_, sample) => {
      const { system, part } = sample;
      const context = partContext(system, library);
      const count = (each: Part) => countPart(each, system, library);
      const own = kind.dimensions(part, context).filter((slot) => !slot.typedOn && slot.dimension.valueNm !== null);

      it("is stored and read again as it is, in the version its schema names", () => {
        const read = readStoredPart(plain(part));
        expect(read).toEqual({ ok: true, value: plain(part) });
        expect(plain(part)).toMatchObject({ kind: kind.kind, schemaVersion: newestVersion(kind.migrations) });
        expect(readStoredPart(plain(kind.defaults("n", "New", context))).ok).toBe(true);
      });

      it("is measured, and free of problems", () => {
        expect(kind.problems(kind.placed?.(part, context) ?? part, context)).toEqual([]);
        expect(count(part).waits).toBe(false);
      });

      it.each(["", "nonsense", "-3 m", "900000 m"])(
        "keeps its last good figure in force when %j is entered",
        (typed) => {
          const before = quantities(count(part));
          for (const { path, dimension } of own) {
            // Some figures may be less than nothing: a place from a corner, a top below the ground.
            if ((path.endsWith(".position") || path === "top") && typed.startsWith("-")) continue;
            const entered = enterDimension(kind, part, path, typed, context);
            const now = kind.dimensions(entered.part, context).find((slot) => slot.path === path);
            expect([path, entered.problem === undefined]).toEqual([path, false]);
            expect(now?.dimension.valueNm).toBe(dimension.valueNm);
            expect(quantities(count(entered.part))).toEqual(before);
            // What was typed is kept for correction, and said.
            const points = kind.openPoints(entered.part, context);
            if (!path.endsWith(".head")) expect(points.some((point) => point.kind === "refused")).toBe(true);
          }
        },
      );

      it("is never changed by an entry, so that undo gives back what was there", () => {
        const before = plain(part);
        for (const { path, dimension } of own)
          kind.withDimension(part, path, (dimension.valueNm ?? 0) + 1_000_000, "typed", context);
        expect(plain(part)).toEqual(before);
      });

      it("takes both of two persons' changes to different figures", () => {
        const [first, second] = own.filter((slot) => !slot.path.endsWith(".head"));
        if (!first || !second) return;
        const plus = (each: P, slot: typeof first) =>
          kind.withDimension(each, slot.path, (slot.dimension.valueNm ?? 0) + 1_000_000, "typed", context);
        const merged = mergeParts(part, plus(part, first), plus(part, second));
        expect(plain(merged)).toEqual(plain(plus(plus(part, first), second)));
      });

      it("has a value for each measured name of formulas, and no other", () => {
        const values = kind.quantities(kind.placed?.(part, context) ?? part, ALONE);
        expect(Object.keys(values).toSorted()).toEqual(kind.quantityNames.map(({ name }) => name).toSorted());
        for (const value of Object.values(values)) expect(Number.isFinite(value)).toBe(true);
        const rows = kind.rowsOf?.(part, ALONE) ?? {};
        expect(Object.keys(rows).toSorted()).toEqual((kind.rows ?? []).map(({ name }) => name).toSorted());
        for (const { name, columns } of kind.rows ?? []) {
          for (const row of rows[name] ?? []) {
            expect(Object.keys(row).toSorted()).toEqual(columns.map((column) => column.name).toSorted());
          }
        }
      });

      it("draws what it counts: each piece has an id of its own and a known role, and each line's pieces are there", () => {
        const { pieces, lines, drawing } = count(part);
        const ids = pieces.map((piece) => piece.id);
        expect(new Set(ids).size).toBe(ids.length);
        const roles = new Set(kind.roles.map((role) => role.id));
        for (const piece of pieces) expect(roles.has(piece.role)).toBe(true);
        const known = new Set(ids);
        for (const line of lines) for (const id of line.pieceIds) expect(known.has(id)).toBe(true);
        const drawn = drawing.kind === "elevation" ? drawing.rectangles.filter(isOfPart).map(({ id }) => id) : [];
        for (const id of drawn)
          expect(known.has(id) || id === "outline" || kind.nameOfItem?.(part, id) !== undefined).toBe(true);
      });

      it("lies where it is drawn, and as deep as its part", () => {
        const settled = kind.placed?.(part, context) ?? part;
        for (const piece of count(part).pieces) {
          const across = kind.across?.(settled, piece, context);
          // Pieces of a list have lengths and no place: such a kind has no drawing either.
          if (!kind.across && count(part).drawing.kind === "none") continue;
          expect(across && Number.isFinite(across.nearNm) && across.deepNm > 0).toBe(true);
          expect(itemIdOf(piece)).not.toBe("");
          expect(sizesOf(piece).every((size) => Number.isFinite(size))).toBe(true);
        }
      });

      const { mirrored, thrice } = sample;
      if (mirrored) {
        it("counts the same from its other side", () => {
          expect(quantities(count(mirrored(part)))).toEqual(quantities(count(part)));
        });
      }
      if (thrice) {
        it("built three times has everything three times", () => {
          const once = new Map(quantities(count(part)) as [string, number][]);
          for (const [key, quantity] of quantities(count(thrice(part))) as [string, number][]) {
            expect(quantity).toBeCloseTo(3 * (once.get(key) ?? 0), 4);
          }
        });
      }
    },
  );
}

const sizesOf = ({ xNm, yNm, widthNm, heightNm }: Piece): number[] => [xNm, yNm, widthNm, heightNm];
