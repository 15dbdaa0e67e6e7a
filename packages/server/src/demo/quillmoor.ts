import {
  type MasonryWall,
  masonryWallKind,
  newOpening,
  type Part,
  type PartContext,
  pierKind,
  type Scalar,
  studWallKind,
} from "@wide-porch/core";
import { entered } from "./entered";

type Figures = Readonly<Record<string, string>>;

type DemoWall = {
  readonly name: string;
  readonly assemblyId: string;
  readonly choices: Readonly<Record<string, Scalar>>;
  readonly figures: Figures;
  readonly openings: readonly { readonly kind: "door" | "window"; readonly figures: Figures }[];
  readonly shape?: MasonryWall["shape"];
};

const measured = (millimetres: number) => ({
  valueNm: millimetres * 1_000_000,
  typed: `${millimetres} mm`,
  assumed: false,
});

/** Invented: a pottery studio behind an old stone front, with a blockwork store beside it. */
const WALLS: readonly DemoWall[] = [
  {
    name: "Stone front",
    assemblyId: "stone-wall",
    choices: { stoneFaces: 2, stoneThickness: 450_000_000 },
    figures: { length: "6.4 m", height: "2.7 m" },
    openings: [
      { kind: "door", figures: { position: "1.2 m", width: "1 m", height: "2.1 m" } },
      { kind: "window", figures: { position: "3.6 m", width: "1.35 m", sill: "0.9 m", height: "1.2 m" } },
    ],
  },
  {
    name: "Store, long wall",
    assemblyId: "block-wall",
    choices: { unit: "block-440-140", reinforceEvery: 2 },
    figures: { length: "4.95 m", height: "2.25 m" },
    openings: [{ kind: "window", figures: { position: "1.8 m", width: "0.9 m", sill: "0.9 m", height: "1.125 m" } }],
  },
  {
    name: "Store, gable",
    assemblyId: "block-wall",
    choices: { unit: "block-440-140" },
    figures: { length: "3.6 m", height: "2.25 m" },
    openings: [{ kind: "door", figures: { position: "1.35 m", width: "0.9 m", height: "2.025 m" } }],
    shape: { how: "gable", peakHeight: measured(3375), peakAt: measured(1800) },
  },
];

const BESIDE_NM = 100_000_000;

function wallOf(demo: DemoWall, id: string, context: PartContext): MasonryWall {
  const start = masonryWallKind.defaults(id, demo.name, context);
  const wall: MasonryWall = {
    ...entered(start, demo.figures, context),
    location: "Yard",
    assembly: { id: demo.assemblyId, version: 1 },
    choices: { ...demo.choices },
    ...(demo.shape ? { shape: demo.shape } : {}),
  };
  return demo.openings.reduce(
    (now, opening, index) => withOpening(now, opening, `opening-${index + 1}`, context),
    wall,
  );
}

function withOpening(
  wall: MasonryWall,
  { kind, figures }: DemoWall["openings"][number],
  openingId: string,
  context: PartContext,
): MasonryWall {
  const opening = newOpening(wall, kind, openingId, context.system, BESIDE_NM);
  if (!opening) throw new Error(`quillmoor: no room for a ${kind} in ${wall.name}`);
  const at = Object.entries(figures).map(([field, typed]) => [`openings.${openingId}.${field}`, typed]);
  // Its height first: a sill of one that is too high is refused.
  at.sort(([a = ""], [b = ""]) => Number(b.endsWith(".height")) - Number(a.endsWith(".height")));
  return entered({ ...wall, openings: [...wall.openings, opening] }, Object.fromEntries(at), context);
}

/** A partition with nothing measured, the masonry, and two piers at the gate. */
export function quillmoor(newId: () => string, context: PartContext): Part[] {
  const piers = entered(
    { ...pierKind.defaults(newId(), "Gate piers", context), location: "Yard", count: 2 },
    { length: "440 mm", width: "440 mm", height: "1.5 m" },
    context,
  );
  return [
    studWallKind.defaults(newId(), "Kiln room partition", context),
    ...WALLS.map((demo) => wallOf(demo, newId(), context)),
    piers,
  ];
}
