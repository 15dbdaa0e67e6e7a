import { type FigureSlot, type Joisted, type JoistedPart, resolveJoisted } from "@wide-porch/core";

/** Makes a change of the part that a screen shows; says whether it was taken. */
export type ChangeJoists = (choose: (now: JoistedPart) => JoistedPart) => boolean;

/** What every panel of such a screen is given. */
export type JoistPanelProps = {
  readonly part: JoistedPart;
  readonly slots: readonly FigureSlot[];
  readonly active: string | undefined;
  readonly onChange: ChangeJoists;
  readonly onFigure: (path: string) => void;
};

/** As it lies over the plan now, without what only the plan knows: that is never kept with it. */
export function asItLies(part: JoistedPart, plan: Parameters<typeof resolveJoisted>[1]): JoistedPart {
  const { found: _, ...kept } = resolveJoisted(part, plan);
  return kept;
}

/** What the plan found for it, in words: `Wall between Kitchen and Hall`. */
export const foundNames = ({ found }: Joisted): readonly string[] => [
  ...(found?.supports ?? []).map(({ name }) => `${name} carries it`),
  ...(found?.doubled ?? []).map(({ name }) => `${name} stands on it`),
];
