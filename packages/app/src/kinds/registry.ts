import type { Part } from "@wide-porch/core";
import { areaFace } from "./area";
import { deckFace } from "./deck";
import { flatRoofFace } from "./flat-roof";
import { floorFace } from "./floor";
import { footingFace } from "./footing";
import { type KindFace, START_GROUPS, type Start, type StartGroup } from "./kindFace";
import { lengthFace } from "./length";
import { masonryWallFace } from "./masonry-wall";
import { padFace } from "./pad";
import { pierFace } from "./pier";
import { raftFace } from "./raft";
import { roofFace } from "./roof";
import { roofTimbersFace } from "./roof-timbers";
import { roofTotalsFace } from "./roof-totals";
import { roomFace } from "./room";
import { slabFace } from "./slab";
import { spotsFace } from "./spots";
import { storeyFace } from "./storey";
import { studWallFace } from "./stud-wall";
import { surfaceFace } from "./surface";
import { wallTotalsFace } from "./wall-totals";
import { waterproofingFace } from "./waterproofing";

type Faces = { readonly [K in Part["kind"]]: KindFace<Extract<Part, { readonly kind: K }>> };

/** Every kind of part as the interface shows it, in the order that its starts are offered. */
const FACES: Faces = {
  room: roomFace,
  "stud-wall": studWallFace,
  "masonry-wall": masonryWallFace,
  pier: pierFace,
  roof: roofFace,
  floor: floorFace,
  "flat-roof": flatRoofFace,
  deck: deckFace,
  raft: raftFace,
  slab: slabFace,
  footing: footingFace,
  pad: padFace,
  waterproofing: waterproofingFace,
  "wall-totals": wallTotalsFace,
  "roof-totals": roofTotalsFace,
  "roof-timbers": roofTimbersFace,
  length: lengthFace,
  area: areaFace,
  spots: spotsFace,
  surface: surfaceFace,
  storey: storeyFace,
};

export function faceOf<P extends Part>(part: P): KindFace<P> {
  // The registry is keyed by the literal that `part.kind` is; the compiler cannot follow that through a union.
  return FACES[part.kind] as unknown as KindFace<P>;
}

/** Everything that can be measured next, under its headings. */
export const STARTS: readonly { readonly group: StartGroup; readonly starts: readonly Start[] }[] = START_GROUPS.map(
  (group) => ({
    group,
    starts: Object.values(FACES).flatMap((face) => (face.group === group ? face.starts : [])),
  }),
);
