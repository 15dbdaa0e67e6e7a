import type { PlanLabel } from "@wide-porch/core";

export type LabelLine = {
  readonly text: string;
  readonly sizePx: number;
  readonly heightPx: number;
  readonly strong: boolean;
};

/** Of the type's size. */
export const CHARACTER_WIDTH = 0.56;
const SIZES_PX = [14, 12, 10.5];
const LEADING = 1.25;
/** Clear of the walls. */
const EDGE_PX = 4;

const line = (text: string, sizePx: number, strong: boolean): LabelLine => ({
  text,
  sizePx,
  heightPx: sizePx * LEADING,
  strong,
});

const sized = (text: string, sizePx: number, strong: boolean): LabelLine =>
  line(text, strong ? sizePx : Math.max(10, sizePx - 2), strong);

/** As large as its room allows: name and area, the name alone, the name over two lines, or nothing. */
export function labelLines({ lines, widthNm, heightNm }: Omit<PlanLabel, "id" | "at">, pxPerNm: number): LabelLine[] {
  const [widthPx, heightPx] = [widthNm * pxPerNm - EDGE_PX, heightNm * pxPerNm - EDGE_PX];
  const [name = "", ...rest] = lines;
  const wrapped = name.split(" ");
  const tries = SIZES_PX.flatMap((sizePx) => [
    ...rest.map((_, less) =>
      [name, ...rest.slice(0, rest.length - less)].map((text, at) => sized(text, sizePx, at === 0)),
    ),
    [line(name, sizePx, true)],
    ...(wrapped.length === 2 ? [wrapped.map((text) => line(text, sizePx, true))] : []),
  ]);
  const fits = (each: readonly LabelLine[]) =>
    each.every(({ text, sizePx }) => text.length * CHARACTER_WIDTH * sizePx <= widthPx) &&
    each.reduce((sum, { heightPx: own }) => sum + own, 0) <= heightPx;
  return tries.find(fits) ?? [];
}
