import type { Doubled, FloorOpening, Joisted, JoistSpot, Support } from "../joists";
import { type Deck, type DeckStair, deckKind } from "../kinds/deck";
import { type FlatRoof, flatRoofKind } from "../kinds/flat-roof";
import { type Floor, floorKind } from "../kinds/floor";
import { measured, unmeasured } from "../parts/dimension";
import type { MeasuringSystem } from "../units";
import { tape } from "./ground";
import { contexts } from "./library";

type Given = {
  readonly openings?: readonly FloorOpening[];
  readonly supports?: readonly Support[];
  readonly doubled?: readonly Doubled[];
  /** How edges bear, by their ids. */
  readonly bears?: Readonly<Record<string, Floor["edges"][number]["bears"]>>;
  readonly runs?: Floor["runs"];
  readonly choices?: Joisted["choices"];
};

/** A floor with figures as a tape pad takes them, by their paths. */
export function floorOf(system: MeasuringSystem, figures: Readonly<Record<string, string>>, given: Given = {}): Floor {
  const { openings = [], supports = [], doubled = [], bears = {}, runs = "across", choices = {} } = given;
  const begun = floorKind.defaults("floor", "Floor", contexts[system]);
  const floor: Floor = {
    ...begun,
    runs,
    openings: [...openings],
    supports: [...supports],
    doubled: [...doubled],
    edges: begun.edges.map((edge) => ({ ...edge, bears: bears[edge.id] ?? null })),
    choices: { ...choices },
  };
  return Object.entries(figures).reduce(
    (part, [path, text]) => floorKind.withDimension(part, path, tape(text, system), text, contexts[system]),
    floor,
  );
}

type Placed = { readonly along: string; readonly off: string; readonly length: string; readonly width: string };

/** An opening as it is framed, its corner along Edge A and in from it. */
export function floorOpeningOf(
  system: MeasuringSystem,
  { along, off, length, width }: Placed,
  more: Partial<FloorOpening> = {},
): FloorOpening {
  const of = (text: string) => measured(tape(text, system), text);
  return {
    id: "o",
    kind: "stair",
    along: of(along),
    off: of(off),
    length: of(length),
    width: of(width),
    measuredAs: "framed",
    headers: "by-rule",
    runThrough: false,
    ...more,
  };
}

export const supportOf = (system: MeasuringSystem, kind: Support["kind"], at?: string, id = "s"): Support => ({
  id,
  kind,
  at: at === undefined ? unmeasured : measured(tape(at, system), at),
});

type FlatGiven = { readonly walls?: readonly string[]; readonly choices?: FlatRoof["choices"] };

/** A flat roof with figures as a tape pad takes them; against walls along the edges named, Edge A alone where none are. */
export function flatRoofOf(
  system: MeasuringSystem,
  figures: Readonly<Record<string, string>>,
  { walls = ["a"], choices = {} }: FlatGiven = {},
): FlatRoof {
  const begun = flatRoofKind.defaults("flat", "Flat roof", contexts[system]);
  const edges = begun.edges.map((edge) => {
    if (!walls.includes(edge.id)) return edge;
    const { overhang: _, ...wall } = edge;
    return { ...wall, bears: null };
  });
  // What is said of a side that is a wall has no place there.
  const own = Object.entries(figures).filter(([path]) => !walls.some((id) => path === `edges.${id}.overhang`));
  return own.reduce<FlatRoof>(
    (part, [path, text]) => flatRoofKind.withDimension(part, path, tape(text, system), text, contexts[system]),
    { ...begun, edges, choices: { ...choices } },
  );
}

export const spotOf = (
  system: MeasuringSystem,
  kind: JoistSpot["kind"],
  [along, off]: readonly [string, string],
  id: string = kind,
): JoistSpot => ({
  id,
  kind,
  along: measured(tape(along, system), along),
  off: measured(tape(off, system), off),
});

/** A stair with figures as a tape pad takes them; it is as high as the deck where no rise is given. */
export const stairOf = (
  system: MeasuringSystem,
  { along, width, rise }: { readonly along: string; readonly width: string; readonly rise?: string },
  more: Partial<DeckStair> = {},
): DeckStair => ({
  id: "steps",
  edgeId: "c",
  along: measured(tape(along, system), along),
  width: measured(tape(width, system), width),
  rise: rise === undefined ? unmeasured : measured(tape(rise, system), rise),
  ...more,
});

/** A deck with figures as a tape pad takes them, against the house along Edge A. */
export const deckOf = (
  system: MeasuringSystem,
  figures: Readonly<Record<string, string>>,
  more: Partial<Deck> = {},
): Deck =>
  Object.entries(figures).reduce<Deck>(
    (part, [path, text]) => deckKind.withDimension(part, path, tape(text, system), text, contexts[system]),
    { ...deckKind.defaults("deck", "Deck", contexts[system]), ...more },
  );
