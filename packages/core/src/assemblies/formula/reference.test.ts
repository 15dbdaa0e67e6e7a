import fc from "fast-check";
import { evaluate } from "mathjs";
import { compileFormula, NOTHING_TO_ANSWER, parseFormula } from "./index";

type Made = { readonly text: string; readonly atom: boolean };

/** Plain arithmetic that both languages have: numbers, names, signs, brackets, powers and comparisons. */
const { expression } = fc.letrec<{ atom: Made; expression: Made }>((tie) => ({
  atom: fc.oneof(
    fc.integer({ min: 1, max: 99 }).map((value) => ({ text: String(value), atom: true })),
    fc.constantFrom("a", "b").map((text) => ({ text, atom: true })),
    tie("expression").map(({ text }) => ({ text: `(${text})`, atom: true })),
  ),
  expression: fc.oneof(
    { maxDepth: 4 },
    tie("atom"),
    fc
      .tuple(tie("expression"), fc.constantFrom("+", "-", "*", "/"), tie("atom"))
      .map(([left, sign, right]) => ({ text: `${left.text} ${sign} ${right.text}`, atom: false })),
    tie("atom").map(({ text }) => ({ text: `-${text}`, atom: false })),
    tie("atom").map(({ text }) => ({ text: `${text} ^ 2`, atom: false })),
  ),
}));

describe("arithmetic", () => {
  it("comes to what mathjs makes of it, whatever the order of signs (mathjs, a general mathematics library)", () => {
    const scope = { a: 2.5, b: 4 };
    fc.assert(
      fc.property(expression, ({ text }) => {
        const parsed = parseFormula(text);
        if (!parsed.ok) {
          expect(["too-long", "too-deep"]).toContain(parsed.problem.code);
          return;
        }
        const worked = compileFormula(parsed.expression)({
          values: new Map(Object.entries(scope)),
          laid: NOTHING_TO_ANSWER,
        });
        const wanted: unknown = evaluate(text, { ...scope });
        if (typeof wanted !== "number" || !Number.isFinite(wanted)) {
          expect(worked.ok).toBe(false);
          return;
        }
        // A difference of nothing but rounding is nothing here, and divides nobody.
        if (!worked.ok) expect(worked.problem.code).toBe("division-by-zero");
        else expect(Math.abs(Number(worked.value) - wanted)).toBeLessThanOrEqual(1e-6 * Math.max(1, Math.abs(wanted)));
      }),
      { numRuns: 400 },
    );
  });
});
