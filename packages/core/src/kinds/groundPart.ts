import type { Footing } from "./footing";
import type { Pad } from "./pad";
import type { Raft } from "./raft";
import type { Slab } from "./slab";

/** Parts that are dug for and poured: they have layers, steel, and ways of being done alike. */
export type GroundPart = Raft | Slab | Footing | Pad;
