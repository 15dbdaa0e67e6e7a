import type { Build } from "../layouts";
import { layOutDeck } from "./deck/build/layOut";
import { layOutFlatRoof } from "./flat-roof/build/layOut";
import { layOutFloor } from "./floor/build/layOut";
import { layOutFooting } from "./footing/build/layOut";
import { layOutMasonryWall } from "./masonry-wall/build/layOut";
import { layOutPad } from "./pad/build/layOut";
import { layOutPier } from "./pier/build/layOut";
import { layOutPlate } from "./raft/build/layOut";
import type { Part } from "./registry";
import { layOutRoof } from "./roof/build/layOut";
import { countRoofTimbers } from "./roof-timbers/build";
import { reckonRoofTotals } from "./roof-totals/build";
import { layOutStudWall } from "./stud-wall/build/layOut";
import { reckonWallTotals } from "./wall-totals/build";
import { layOutWaterproofing } from "./waterproofing/build";

type Builds = { readonly [K in Part["kind"]]?: Build<Extract<Part, { readonly kind: K }>> };

/** How each kind that is laid out is built: the registry behind the reckoning door. A kind without a line is counted as measured. */
export const BUILDS: Builds = {
  "stud-wall": layOutStudWall,
  "masonry-wall": layOutMasonryWall,
  pier: layOutPier,
  roof: layOutRoof,
  floor: layOutFloor,
  "flat-roof": layOutFlatRoof,
  deck: layOutDeck,
  raft: layOutPlate,
  slab: layOutPlate,
  footing: layOutFooting,
  pad: layOutPad,
  waterproofing: layOutWaterproofing,
  "wall-totals": reckonWallTotals,
  "roof-totals": reckonRoofTotals,
  "roof-timbers": countRoofTimbers,
};

export function buildOf<P extends Part>(part: P): Build<P> | undefined {
  // The registry is keyed by the literal that `part.kind` is; the compiler cannot follow that through a union.
  return BUILDS[part.kind] as Build<P> | undefined;
}
