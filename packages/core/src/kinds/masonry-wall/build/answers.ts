import type { Value } from "../../../assemblies";
import type { MasonryChoices } from "../parameters";
import type { LeafAmounts } from "./amounts";
import type { StoneAmounts } from "./stone";

export type MasonryFacts = {
  readonly leaves: ReadonlyMap<string, LeafAmounts>;
  readonly stone: StoneAmounts | undefined;
  readonly method: MasonryChoices["method"];
  readonly rakingCutM: number;
};

/** What the functions of `MASONRY_FUNCTIONS` come to; a leaf that the wall does not have comes to nothing. */
export const masonryAnswers =
  ({ leaves, stone, method, rakingCutM }: MasonryFacts) =>
  (name: string, [leaf]: readonly Value[]): number | undefined => {
    const amounts = leaves.get(String(leaf));
    switch (name) {
      case "units":
        return (method === "by-area" ? amounts?.byArea : amounts?.laidOut) ?? 0;
      case "unitsByArea":
        return amounts?.byArea ?? 0;
      case "unitsLaidOut":
        return amounts?.laidOut ?? 0;
      case "leafArea":
        return amounts?.areaM2 ?? 0;
      case "mortar":
        if (stone && leaf === "outer") return stone.mortarM3;
        return (method === "by-area" ? amounts?.mortarByAreaM3 : amounts?.mortarLaidOutM3) ?? 0;
      case "hearting":
        return stone?.heartingM3 ?? 0;
      case "stones":
        return stone?.stones ?? 0;
      case "rakingCut":
        return rakingCutM;
      default:
        return undefined;
    }
  };
