import type { Plate, Rib } from "../ground";
import { type Footing, footingKind } from "../kinds/footing";
import { type Pad, padKind } from "../kinds/pad";
import { type Raft, raftKind } from "../kinds/raft";
import { type Slab, slabKind } from "../kinds/slab";
import { type Waterproofing, waterproofingKind } from "../kinds/waterproofing";
import { measured } from "../parts/dimension";
import { type MeasuringSystem, parseLength } from "../units";
import { contexts } from "./library";
import type { Choices } from "./withoutEffect";

type Figures = Readonly<Record<string, string>>;
type Given = {
  readonly ribs?: readonly Rib[];
  readonly edgeForm?: Plate["edgeForm"];
  /** Edges with a toe. */
  readonly toes?: readonly string[];
  readonly choices?: Plate["choices"];
};

/** A length as a tape pad takes it. Throws for one that cannot be read. */
export function tape(text: string, system: MeasuringSystem): number {
  const parsed = parseLength(text, system);
  if (!parsed.ok) throw new Error(`tape: "${text}" is no length`);
  return parsed.value;
}

export const ribOf = (
  system: MeasuringSystem,
  id: string,
  runs: Rib["runs"],
  width: string,
  depth: string,
  at?: string,
): Rib => ({
  id,
  runs,
  at: at === undefined ? { valueNm: null, typed: "", assumed: false } : measured(tape(at, system), at),
  width: measured(tape(width, system), width),
  depth: measured(tape(depth, system), depth),
});

/** A raft with figures as a tape pad takes them, by their paths. */
export function raftOf(system: MeasuringSystem, figures: Figures, given: Given = {}): Raft {
  const { ribs = [], edgeForm = "beam", toes = [], choices = {} } = given;
  const raft = raftKind.defaults("raft", "Raft", contexts[system]);
  const begun: Raft = {
    ...raft,
    edgeForm,
    ribs: [...ribs],
    edges: raft.edges.map((edge) => ({ ...edge, toe: toes.includes(edge.id) })),
    choices: { ...choices },
  };
  return withFigures(raftKind, begun, figures, system);
}

/** A slab in the same way. */
export function slabOf(
  system: MeasuringSystem,
  figures: Figures,
  given: Pick<Given, "choices"> = {},
  beams = false,
): Slab {
  const slab = slabKind.defaults("slab", "Slab", contexts[system]);
  const begun: Slab = { ...slab, edgeForm: beams ? "beam" : "plain", choices: { ...given.choices } };
  return withFigures(slabKind, begun, figures, system);
}

/** A footing, its lines and its section as a tape pad takes them. */
export function footingOf(system: MeasuringSystem, figures: Figures, given: Partial<Footing> = {}): Footing {
  const footing = footingKind.defaults("footing", "Footing", contexts[system]);
  return withFigures(footingKind, { ...footing, ...given }, figures, system);
}

/** So many pads or tubes. */
export function padOf(
  system: MeasuringSystem,
  form: Pad["form"],
  count: number,
  figures: Figures,
  choices: Pad["choices"] = {},
): Pad {
  const pad = padKind.defaults("pad", "Pads", contexts[system]);
  return withFigures(padKind, { ...pad, form, count, choices }, figures, system);
}

const typedFigure = (value: number) => ({ value, typed: "", assumed: false });

/** Walls and a floor kept dry, by areas in square metres. */
export function waterproofingOf(
  system: MeasuringSystem,
  areas: { readonly walls: number; readonly floor: number },
  figures: Figures = {},
  given: Partial<Waterproofing> = {},
): Waterproofing {
  const part = waterproofingKind.defaults("dry", "Cellar", contexts[system]);
  const begun = { ...part, wallArea: typedFigure(areas.walls), floorArea: typedFigure(areas.floor), ...given };
  return withFigures(waterproofingKind, begun, figures, system);
}

type Kind<P> = {
  readonly withDimension: (
    part: P,
    path: string,
    valueNm: number,
    typed: string,
    context: (typeof contexts)["metric"],
  ) => P;
};

function withFigures<P>(kind: Kind<P>, part: P, figures: Figures, system: MeasuringSystem): P {
  return Object.entries(figures).reduce(
    (now, [path, typed]) => kind.withDimension(now, path, tape(typed, system), typed, contexts[system]),
    part,
  );
}

/** Each way that something in the ground is dug, filled and poured, beside how it usually is. */
export const WAYS_OF_DIGGING: readonly Choices[] = [
  { digBy: "hand" },
  { spoilBy: "lorry" },
  { spoilBy: "lorry", loadBy: "hand" },
  { backfillBy: "fill" },
  { concreteBy: "pumped" },
  { concreteBy: "site" },
  { concreteBy: "bags" },
  { formwork: "full" },
  { batter: 1 },
];
