import { choiceText } from "../parts/choiceText";
import type { FigureSlot } from "../parts/figure";
import type { PartContext } from "../parts/partKind";
import type { SlotParameter } from "../parts/slot";
import type { Scalar } from "../parts/use";
import { ownValue } from "../records/ownValue";
import { formatFigure, inches, millimetres } from "../units";

/** Another value that an open point may turn out to have, in words. */
export type Likely = { readonly value: Scalar; readonly words: string };

/** Beyond these a choice of a few is no longer of a few. */
const MOST_OTHERS = 4;

/** Spacings that are built (common practice): the next closer and the next wider are what it is likely to be instead. */
const SPACINGS_NM = {
  imperial: [12, 16, 19.2, 24, 32, 48].map(inches),
  metric: [300, 400, 450, 600, 900, 1200].map(millimetres),
};

/** A tenth less and a tenth more, where nothing says what else it may be. */
const aTenthAround = (value: number): number[] => [Math.round(value * 0.9), Math.round(value * 1.1)];

function otherLengths(value: number, { system }: PartContext): number[] {
  if (value === 0) return [];
  const built = SPACINGS_NM[system];
  const at = built.indexOf(value);
  return at < 0 ? aTenthAround(value) : [built[at - 1], built[at + 1]].filter((each) => each !== undefined);
}

/** The next less deep and the next deeper of the same thickness. */
function otherSections(id: string, { sections }: PartContext, onlyStuds: boolean): string[] {
  const now = ownValue(sections, id);
  if (!now) return [];
  const alike = Object.values(sections)
    .filter(
      (each) =>
        each.system === now.system &&
        each.thicknessNm === now.thicknessNm &&
        each.board === now.board &&
        (!onlyStuds || each.stud),
    )
    .toSorted((a, b) => a.depthNm - b.depthNm);
  const at = alike.findIndex((each) => each.id === id);
  return [alike[at - 1], alike[at + 1]].flatMap((each) => (each ? [each.id] : []));
}

const otherUnits = (id: string, { units }: PartContext): string[] => {
  const now = ownValue(units, id);
  if (!now) return [];
  const alike = Object.values(units).filter((each) => each.system === now.system && each.material === now.material);
  return alike.flatMap((each) => (each.id === id ? [] : [each.id])).slice(0, MOST_OTHERS);
};

function others(parameter: SlotParameter, value: Scalar, context: PartContext): readonly Scalar[] {
  const { kind, among, sections, likely } = parameter;
  if (likely) return likely(value);
  if (typeof value === "boolean") return [!value];
  if (among) return among.filter((each) => each !== value).slice(0, MOST_OTHERS);
  if (kind === "section") return otherSections(String(value), context, sections === undefined);
  if (kind === "unit") return otherUnits(String(value), context);
  if (kind === "length") return otherLengths(Number(value), context);
  return [Number(value) - 1, Number(value) + 1];
}

/** What a choice may be instead: all of a few, the next of many, and nothing that cannot be built by. */
export const likelyChoices = (parameter: SlotParameter, value: Scalar, context: PartContext): Likely[] =>
  others(parameter, value, context)
    .filter((each) => each !== value && parameter.stands(each))
    .map((each) => ({ value: each, words: choiceText(parameter, each, context) }));

/** What an assumed figure may turn out to be. */
export function likelyFigures({ measure, figure, least, most }: FigureSlot, { system }: PartContext): Likely[] {
  if (figure.value === null || figure.value === 0) return [];
  const around = measure === "count" ? [figure.value - 1, figure.value + 1] : [figure.value * 0.9, figure.value * 1.1];
  const whole = measure === "length" || measure === "count" ? around.map(Math.round) : around;
  return whole
    .filter((value) => value > 0 && value >= (least ?? 0) && value <= (most ?? Number.POSITIVE_INFINITY))
    .map((value) => ({ value, words: formatFigure(measure, value, system) }));
}
