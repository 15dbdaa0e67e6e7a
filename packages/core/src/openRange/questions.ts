import { type Library, partContext, settlePart } from "../assemblies";
import type { PartCount } from "../count";
import { figureSlots, kindOf, type Part, type PartContext, type Scalar } from "../kinds";
import type { MeasuringSystem } from "../units";
import { alikePoints, type PartPoint } from "./alike";
import type { Answer } from "./answer";
import { type Likely, likelyChoices, likelyFigures } from "./likely";
import { measuredAlike } from "./measuredAlike";

export type { Answer } from "./answer";

/** One thing to settle, on one part or on many, and what else it is likely to be. */
export type Question = {
  readonly message: string;
  readonly points: readonly PartPoint[];
  readonly kind: "assumed" | "missing";
  /** What each answer makes of the parts; empty where nobody can say what it may be. */
  readonly answers: readonly Answer[];
};

type Asked = { readonly parts: readonly Part[]; readonly system: MeasuringSystem; readonly library: Library };

const changeOne =
  (partId: string, change: (part: Part) => Part) =>
  (parts: readonly Part[]): readonly Part[] =>
    parts.map((part) => (part.id === partId ? change(part) : part));

/** One value at one place of a part. */
type Settle = { readonly likely: readonly Likely[]; readonly put: (part: Part, value: Scalar) => Part };

function settleOf(part: Part, path: string, { system, library }: Asked, context: PartContext): Settle | undefined {
  const settled = settlePart(part, system, library);
  const kind = kindOf(part);
  const { slot } = kind;
  const parameter = slot?.parameters.find((each) => each.path === path);
  if (slot && parameter) {
    const value = slot.values(settled).get(parameter.name);
    if (value === undefined) return undefined;
    return {
      likely: likelyChoices(parameter, value, context),
      put: (now, chosen) => slot.choose(now, { ...slot.of(now).choices, [parameter.name]: chosen }),
    };
  }
  const figure = figureSlots(kind, settled, context).find((each) => each.path === path && !each.typedOn);
  if (!figure) return undefined;
  return {
    likely: likelyFigures(figure, context),
    put: (now, value) =>
      figure.measure === "length"
        ? kind.withDimension(now, path, Number(value), "", context, settled)
        : (kind.withFigure?.(now, path, Number(value), "") ?? now),
  };
}

/** The answers that all of the points of a question have: each puts the same value on every part. */
function answersOf(points: readonly PartPoint[], asked: Asked, context: PartContext): Answer[] {
  const byId = new Map(asked.parts.map((part) => [part.id, part]));
  const settles = points.map(({ partId, point }) => {
    const part = byId.get(partId);
    return { partId, settle: part && settleOf(part, point.path, asked, context) };
  });
  const first = settles[0]?.settle;
  if (!first || settles.some(({ settle }) => !settle)) return [];
  return first.likely.map(({ value, words }) => ({
    words,
    change: (parts) =>
      settles.reduce(
        (now, { partId, settle }) => (settle ? changeOne(partId, (part) => settle.put(part, value))(now) : now),
        parts,
      ),
  }));
}

/** A part that waits for figures is one question: it is counted once it has all of them. */
function missingOf(count: PartCount, asked: Asked, context: PartContext): Question[] {
  const missing = count.openPoints.filter(({ kind }) => kind === "missing" || kind === "conflict");
  if (!count.waits || missing.length === 0) return [];
  const points = missing.map((point) => ({ partId: count.partId, partName: count.partName, point }));
  const [only] = missing;
  const message = missing.length === 1 && only ? only.message : `${missing.length} figures are not measured yet`;
  const answers = measuredAlike(count.partId, missing, asked.parts, asked.system, asked.library, context);
  return [{ message, points, kind: "missing", answers }];
}

/** All that is open about counts in the order it is met: assumed figures and choices, alike ones as one; parts that wait. */
export function questionsOf(counts: readonly PartCount[], asked: Asked): Question[] {
  const context = partContext(asked.system, asked.library);
  const byId = new Map(asked.parts.map((part) => [part.id, part]));
  const assumed = counts.flatMap(({ partId, partName, waits, openPoints }) =>
    waits ? [] : openPoints.filter(({ kind }) => kind === "assumed").map((point) => ({ partId, partName, point })),
  );
  const groups = alikePoints(assumed, (id) => byId.get(id), context);
  return [
    ...counts.flatMap((count) => missingOf(count, asked, context)),
    ...groups.map(
      ({ message, points }): Question => ({
        message,
        points,
        kind: "assumed",
        answers: answersOf(points, asked, context),
      }),
    ),
  ];
}
