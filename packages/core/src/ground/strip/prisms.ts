import { differenceRings, overlapRings, type Polygon, signedArea } from "../../geometry";
import type { Nanometres } from "../../units";
import type { GroundChoices } from "../choices";
import type { Prism } from "../prism";
import type { StripFigures } from "./schema";
import {
  type Band,
  bandOf,
  innerBands,
  type PlacedLine,
  reachOf,
  type StripOutline,
  stretchOf,
  stripOutline,
} from "./shape";
import { dropAt, type FootingStretch, stretchesOf } from "./steps";

type Bands = { readonly footing: Band; readonly wall: Band; readonly dig: Band };

/** Dug beyond the footing to either side: the working space, and half of what leaning sides reach. */
const besideNm = (strip: StripFigures, { workingSpace, batter }: GroundChoices): Nanometres =>
  workingSpace + Math.round((batter * Math.max(0, strip.below.valueNm ?? 0)) / 2);

function bandsOf(strip: StripFigures, outline: StripOutline, choices: GroundChoices): Bands {
  const widthNm = strip.width.valueNm ?? 0;
  const beside = besideNm(strip, choices);
  const { outNm, inNm } = reachOf(strip, widthNm);
  return {
    footing: bandOf(outline, { outNm, inNm }),
    wall: bandOf(outline, reachOf(strip, strip.stemWidth.valueNm ?? 0)),
    dig: bandOf(outline, { outNm: outNm + beside, inNm: inNm + beside }),
  };
}

/** Whether a line's footing goes on at the same drop past its ends. */
function joinedEnds(strip: StripFigures, { lines, closed }: StripOutline, index: number) {
  const own = lines[index];
  const neighbour = (step: number): PlacedLine | undefined =>
    closed ? lines[(index + step + lines.length) % lines.length] : lines[index + step];
  const [before, next] = [neighbour(-1), neighbour(1)];
  return {
    start: own !== undefined && (before === undefined || dropAt(strip, before, "to") === dropAt(strip, own, "from")),
    end: own !== undefined && (next === undefined || dropAt(strip, next, "from") === dropAt(strip, own, "to")),
  };
}

/** Of one place along a footing: its rings and its levels. */
type Placed = {
  readonly id: string;
  readonly footing: readonly Polygon[];
  readonly wall: readonly Polygon[];
  readonly dig: readonly Polygon[];
  readonly level: FootingStretch;
};

function placedAlong(strip: StripFigures, outline: StripOutline, bands: Bands): Placed[] {
  return outline.lines.flatMap((line, index) => {
    const stretches = stretchesOf(strip, line, joinedEnds(strip, outline, index));
    const ring = (band: Band, { fromNm, toNm }: FootingStretch): readonly Polygon[] => {
      const quad = band.quads[index];
      return quad ? [stretchOf(quad, fromNm, toNm)] : [];
    };
    return stretches.map((level, nth): Placed => {
      const id = stretches.length === 1 ? line.edge.id : `${line.edge.id}-${nth + 1}`;
      return {
        id,
        footing: ring(bands.footing, level),
        wall: ring(bands.wall, level),
        dig: ring(bands.dig, level),
        level,
      };
    });
  });
}

function placedWithin(strip: StripFigures, outline: StripOutline, bands: Bands, choices: GroundChoices): Placed[] {
  const upperNm = -(strip.below.valueNm ?? 0);
  const level = { fromNm: 0, toNm: 0, bottomNm: upperNm, topNm: upperNm + (strip.thickness.valueNm ?? 0) };
  const widthNm = strip.width.valueNm ?? 0;
  const of = (band: Band, wide: Nanometres) => innerBands(strip, outline, band.within, wide);
  const footings = of(bands.footing, widthNm);
  const walls = of(bands.wall, strip.stemWidth.valueNm ?? 0);
  const digs = of(bands.dig, widthNm + 2 * besideNm(strip, choices));
  const ringsOf = (all: typeof footings, id: string) =>
    all.filter(({ line }) => line.id === id).flatMap(({ rings }) => rings);
  return strip.inner.map(({ id }): Placed => {
    return {
      id: `inner-${id}`,
      footing: ringsOf(footings, id),
      wall: ringsOf(walls, id),
      dig: ringsOf(digs, id),
      level,
    };
  });
}

const prism = (id: string, role: string, rings: readonly Polygon[], fromNm: Nanometres, toNm: Nanometres): Prism[] =>
  toNm > fromNm
    ? rings.map((ring, index) => ({ id: index === 0 ? id : `${id}/${index + 1}`, role, ring, fromNm, toNm }))
    : [];

/** What others leave of rings. Each is clipped as it is: joined first, those round a yard would take the yard with them. */
const without = (rings: readonly Polygon[], taken: readonly Polygon[]): Polygon[] =>
  taken.length === 0
    ? [...rings]
    : rings.flatMap((ring) => differenceRings(ring, taken)).filter((ring) => signedArea(ring) > 0);

type Everything = { readonly footing: readonly Polygon[]; readonly wall: readonly Polygon[] };

function prismsAt(placed: Placed, all: Everything, strip: StripFigures, choices: GroundChoices): Prism[] {
  const { id, level } = placed;
  const { bottomNm, topNm } = level;
  const { blinding, fill } = choices;
  const blindingNm = bottomNm - blinding;
  const dugNm = blindingNm - fill;
  // The stem is as high over its lowest footing as over its highest: what is lower has more of it.
  const stemTopNm = -(strip.below.valueNm ?? 0) + (strip.thickness.valueNm ?? 0) + (strip.stemHeight.valueNm ?? 0);
  const beside = without(placed.footing, all.wall);
  const beyond = without(placed.dig, all.footing);
  return [
    ...prism(`footing-${id}`, "footing-concrete", placed.footing, bottomNm, topNm),
    ...(strip.stem ? prism(`stem-${id}`, "stem-wall", placed.wall, topNm, stemTopNm) : []),
    ...prism(`blinding-${id}`, "blinding", placed.footing, blindingNm, bottomNm),
    ...prism(`fill-${id}`, "fill", placed.footing, dugNm, blindingNm),
    ...prism(`backfill-${id}`, "backfill", beside, topNm, 0),
    ...prism(`backfill-beyond-${id}`, "backfill", beyond, dugNm, 0),
    ...prism(`dig-${id}`, "dig", placed.dig, dugNm, 0),
  ];
}

/**
 * Everything that is poured, spread, dug and filled in along a footing, as level prisms. Bands that meet across the middle are one, counted
 * once. None while the walk is not whole.
 */
export function stripPrisms(strip: StripFigures, choices: GroundChoices): readonly Prism[] {
  const outline = stripOutline(strip);
  if (!outline) return [];
  const bands = bandsOf(strip, outline, choices);
  const placed = onceEach([...placedAlong(strip, outline, bands), ...placedWithin(strip, outline, bands, choices)]);
  const all = {
    footing: placed.flatMap((each) => each.footing),
    wall: placed.flatMap((each) => each.wall),
  };
  return [
    ...placed.flatMap((each) => prismsAt(each, all, strip, choices)),
    ...placed.flatMap((each) => underHigher(each, placed, choices)),
  ];
}

/** Where a footing lies in the dig of one that lies lower, or its wall on that one: what is left beneath is filled in again. */
function underHigher(lower: Placed, placed: readonly Placed[], { blinding, fill }: GroundChoices): Prism[] {
  const dugNm = ({ level }: Placed) => level.bottomNm - blinding - fill;
  const higher = placed.filter(({ level }) => level.bottomNm > lower.level.bottomNm);
  const shared = (a: readonly Polygon[], b: readonly Polygon[]) =>
    a.flatMap((ring) => b.flatMap((other) => overlapRings(ring, other)));
  return higher.flatMap((each) => {
    const id = `${lower.id}-${each.id}`;
    const beneath = shared(lower.dig, each.footing);
    const walled = shared(lower.footing, each.wall);
    return [
      ...prism(`backfill-under-${id}`, "backfill", beneath, dugNm(lower), dugNm(each)),
      ...prism(`backfill-on-${id}`, "backfill", walled, lower.level.topNm, each.level.topNm),
    ];
  });
}

/** Each place without what those before it already are, where bands lie in each other: a yard narrower than its footings. */
function onceEach(placed: readonly Placed[]): Placed[] {
  const taken = { footing: [] as Polygon[], wall: [] as Polygon[], dig: [] as Polygon[] };
  const own = (name: keyof typeof taken, rings: readonly Polygon[]): readonly Polygon[] => {
    const left = without(rings, taken[name]);
    taken[name].push(...rings);
    return left;
  };
  return placed.map((each) => ({
    ...each,
    footing: own("footing", each.footing),
    wall: own("wall", each.wall),
    dig: own("dig", each.dig),
  }));
}
