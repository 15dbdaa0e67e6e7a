import type { Assembly } from "../../../assemblies";
import type { Layout, Site } from "../../../layouts";
import { FLOOR_PARAMETERS, type Floor } from "../schema";
import { joistWords, laidOnJoists } from "./laidOnJoists";

/** Lays out a floor: joists, what carries and stiffens them, panels over them. */
export const layOutFloor = (floor: Floor, assembly: Assembly, site: Site): Layout =>
  laidOnJoists(floor, assembly, site, {
    parameters: FLOOR_PARAMETERS,
    more: () => [],
    words: (laid) => joistWords(floor, laid, site.context.system),
    told: () => [],
    panelsAre: "Floor panels",
  });
