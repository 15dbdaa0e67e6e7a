import type { Dimension, DimensionSlot } from "../parts/dimension";
import { changeById, figureSetters } from "../parts/figures";

import { asked, edgeLetter, followRectangle, likeOpposite } from "../parts/walkedOutline";
import type { Nanometres } from "../units";
import { shiftToJoists } from "./lines";
import type { FloorOpening, Follows, Joisted, SpotKind, Support } from "./schema";

const OWN = [
  ["top", "Top of the joists above the storey’s floor"],
  ["firstJoist", "First joist of the layout, its middle"],
  ["panelShift", "First panel is short by"],
  ["rowShift", "First row of panels is short by"],
  ["standing", "From the top of the joists to what posts stand on"],
] as const;
type OwnFigure = (typeof OWN)[number][0];

const OPENING_FIGURES = [
  ["along", "Along Edge A from its start"],
  ["off", "In from Edge A"],
  ["length", "Length along Edge A"],
  ["width", "Width in from Edge A"],
] as const;

/** Where Edge A begins along a side of the house. */
const SIDE_FROM = "sideFrom";

const SPOT_FIGURES = [
  ["along", "Along Edge A from its start"],
  ["off", "In from Edge A"],
] as const;

const KIND_WORDS: Readonly<Record<FloorOpening["kind"], string>> = {
  stair: "Stair opening",
  chimney: "Chimney opening",
  hatch: "Hatch",
};
const SUPPORT_WORDS: Readonly<Record<Support["kind"], string>> = {
  wall: "Wall below",
  beam: "Beam below",
  "flush-beam": "Flush beam",
};

const numbered = (words: string, alike: readonly { readonly id: string }[], id: string): string => {
  const index = alike.findIndex((each) => each.id === id);
  return alike.length > 1 ? `${words} ${index + 1}` : words;
};

/** What one of several of some kinds is called: by its kind, and numbered among those of its own. */
function nameAmong<K extends string>(
  all: readonly { readonly id: string; readonly kind: K }[],
  words: Readonly<Record<K, string>>,
  id: string,
): string | undefined {
  const found = all.find((each) => each.id === id);
  return (
    found &&
    numbered(
      words[found.kind],
      all.filter(({ kind }) => kind === found.kind),
      id,
    )
  );
}

export const floorOpeningName = ({ openings }: Pick<Joisted, "openings">, id: string): string | undefined =>
  nameAmong(openings, KIND_WORDS, id);
export const supportName = ({ supports }: Pick<Joisted, "supports">, id: string): string | undefined =>
  nameAmong(supports, SUPPORT_WORDS, id);
export const doubledName = ({ doubled }: Pick<Joisted, "doubled">, id: string): string | undefined =>
  doubled.some((each) => each.id === id) ? numbered("Doubled joist", doubled, id) : undefined;

const SPOT_WORDS: Readonly<Record<SpotKind, string>> = { post: "Post", "hold-down": "Hold-down", strap: "Strap" };
export const spotName = ({ spots }: Pick<Joisted, "spots">, id: string): string | undefined =>
  nameAmong(spots, SPOT_WORDS, id);

/** What a figure comes to while nobody has typed it, for what follows by itself. */
function followed(part: Joisted, name: OwnFigure): Nanometres | null {
  if (!part.settled) return null;
  if (name === "firstJoist") return part.settled.choices.joistSpacing;
  if (name === "panelShift") return shiftToJoists(part, part.settled.choices);
  return name === "rowShift" ? 0 : null;
}

function shownDimension(part: Joisted, name: OwnFigure): Dimension {
  const own = part[name];
  const followedNm = followed(part, name);
  return own.valueNm === null && followedNm !== null ? { ...own, valueNm: followedNm, assumed: true } : own;
}

/** Whether it is left to follow by itself: nobody is asked for it. */
export const followsByItself = (part: Joisted, path: string): boolean =>
  (path === "firstJoist" || path === "panelShift" || path === "rowShift") &&
  part[path].valueNm === null &&
  part[path].refused === undefined;

/** Lengths of a floor: its edges as they are walked, its openings, what carries it, then what somebody moved. */
export const joistDimensions = (part: Joisted): DimensionSlot[] => [
  ...part.edges.map(({ id, length }) => ({
    path: `edges.${id}.length`,
    label: "Length",
    of: `Edge ${edgeLetter(part.edges, id)}`,
    dimension: length,
    ...asked(likeOpposite(part.edges).has(id)),
  })),
  ...(part.follows.how === "side"
    ? [
        {
          path: SIDE_FROM,
          label: "Edge A begins, from the right end of its side of the house seen from outside",
          of: "",
          dimension: part.follows.from,
        },
      ]
    : []),
  ...part.edges.flatMap(({ id, overhang }) =>
    overhang
      ? [
          {
            path: `edges.${id}.overhang`,
            label: "Overhang",
            of: `Edge ${edgeLetter(part.edges, id)}`,
            dimension: overhang,
          },
        ]
      : [],
  ),
  ...part.openings.flatMap((opening) =>
    OPENING_FIGURES.map(([name, label]) => ({
      path: `openings.${opening.id}.${name}`,
      label,
      of: floorOpeningName(part, opening.id) ?? "",
      dimension: opening[name],
    })),
  ),
  ...part.supports.map(({ id, at }) => ({
    path: `supports.${id}.at`,
    label: "Its middle along the joists",
    of: supportName(part, id) ?? "",
    dimension: at,
  })),
  ...part.doubled.map(({ id, at }) => ({
    path: `doubled.${id}.at`,
    label: "Its middle across the joists",
    of: doubledName(part, id) ?? "",
    dimension: at,
  })),
  ...part.spots.flatMap((spot) =>
    SPOT_FIGURES.map(([name, label]) => ({
      path: `spots.${spot.id}.${name}`,
      label,
      of: spotName(part, spot.id) ?? "",
      dimension: spot[name],
    })),
  ),
  ...OWN.map(([path, label]) => ({
    path,
    label,
    of: "",
    dimension: shownDimension(part, path),
    follows: followsByItself(part, path),
  })),
];

/** The same floor with one dimension changed. Throws for a path that is none of its figures. */
function withLength<P extends Joisted>(part: P, path: string, to: (now: Dimension) => Dimension): P {
  const own = OWN.find(([name]) => name === path)?.[0];
  if (own) return { ...part, [own]: to(part[own]) };
  if (path === SIDE_FROM && part.follows.how === "side")
    return { ...part, follows: { ...part.follows, from: to(part.follows.from) } };
  const [, list, id, figure] = /^(edges|openings|supports|doubled|spots)\.([^.]+)\.([^.]+)$/.exec(path) ?? [];
  const refuse = (): never => {
    throw new Error(`${part.kind}: "${path}" is not one of its figures`);
  };
  if (id === undefined) return refuse();
  if (list === "edges" && figure === "length" && part.edges.some((each) => each.id === id))
    return { ...part, edges: changeById(part.edges, id, (edge) => ({ ...edge, length: to(edge.length) })) };
  if (list === "edges" && figure === "overhang" && part.edges.some((each) => each.id === id && each.overhang))
    return {
      ...part,
      edges: changeById(part.edges, id, (edge) => (edge.overhang ? { ...edge, overhang: to(edge.overhang) } : edge)),
    };
  const ofOpening = OPENING_FIGURES.find(([name]) => name === figure)?.[0];
  if (list === "openings" && ofOpening && part.openings.some((each) => each.id === id))
    return {
      ...part,
      openings: changeById(part.openings, id, (each) => ({ ...each, [ofOpening]: to(each[ofOpening]) })),
    };
  const ofSpot = SPOT_FIGURES.find(([name]) => name === figure)?.[0];
  if (path.startsWith("spots.") && ofSpot && part.spots.some((each) => each.id === id))
    return { ...part, spots: changeById(part.spots, id, (each) => ({ ...each, [ofSpot]: to(each[ofSpot]) })) };
  if (list === "supports" && figure === "at" && part.supports.some((each) => each.id === id))
    return { ...part, supports: changeById(part.supports, id, (each) => ({ ...each, at: to(each.at) })) };
  if (list === "doubled" && figure === "at" && part.doubled.some((each) => each.id === id))
    return { ...part, doubled: changeById(part.doubled, id, (each) => ({ ...each, at: to(each.at) })) };
  return refuse();
}

/** Edges that somebody measured are no longer the plan's; along a side of the house they are anybody's. */
export const withOwnEdges = (follows: Follows): Follows => (follows.how === "side" ? follows : { how: "own" });

/** Setters of the kind; in a rectangle the side opposite to one that was measured follows it. */
export function joistSetters<P extends Joisted>() {
  const { withDimension, withRefused } = figureSetters<P>(withLength);
  return {
    withRefused,
    withDimension: (part: P, path: string, valueNm: number, typed: string): P => {
      const changed = withDimension(part, path, valueNm, typed);
      if (!/^edges\..*\.length$/.test(path)) return changed;
      return { ...changed, follows: withOwnEdges(changed.follows), edges: [...followRectangle(changed.edges)] };
    },
  };
}
