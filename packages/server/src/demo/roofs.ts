import {
  measured,
  newRoofEdge,
  type PartContext,
  parseLength,
  parsePitch,
  type Roof,
  type RoofEdge,
  roofKind,
} from "@wide-porch/core";

export type DemoEdge = {
  readonly id: string;
  readonly length: string;
  readonly end: RoofEdge["end"];
  readonly turn?: number;
  readonly pitch?: string;
};

export type DemoRoof = {
  readonly name: string;
  readonly storey: string;
  readonly location: string;
  readonly edges: readonly DemoEdge[];
  readonly pitch: string;
  readonly overhang: string;
  readonly rakeOverhang: string;
  readonly plate: string;
  /** Of the outline's first corner on the plan, and the heading of its first edge. */
  readonly at: { readonly x: string; readonly y: string; readonly turnDegrees: number };
  readonly choices: Roof["choices"];
};

/** A roof as it was read on site. Throws for a figure that is none. */
export function demoRoof(demo: DemoRoof, newId: () => string, context: PartContext): Roof {
  const length = (typed: string) => {
    const read = parseLength(typed, context.system);
    if (!read.ok) throw new Error(`demoRoof: ${demo.name}, “${typed}”: ${read.problem.message}`);
    return measured(read.value, typed);
  };
  const pitch = (typed: string) => {
    const read = parsePitch(typed, context.system);
    if (!read.ok) throw new Error(`demoRoof: ${demo.name}, “${typed}”: ${read.problem.message}`);
    return { value: read.value, typed, assumed: false };
  };
  const edge = (each: DemoEdge): RoofEdge => ({
    ...newRoofEdge(each.id, each.end, each.turn, length(each.length)),
    ...(each.pitch === undefined ? {} : { pitch: pitch(each.pitch) }),
  });
  return {
    ...roofKind.defaults(newId(), demo.name, context),
    storey: demo.storey,
    location: demo.location,
    edges: demo.edges.map(edge),
    pitch: pitch(demo.pitch),
    overhang: length(demo.overhang),
    rakeOverhang: length(demo.rakeOverhang),
    plate: length(demo.plate),
    place: {
      xNm: length(demo.at.x).valueNm ?? 0,
      yNm: length(demo.at.y).valueNm ?? 0,
      turnDegrees: demo.at.turnDegrees,
    },
    // Each lies where it stands on the plan.
    meetsOthers: true,
    choices: demo.choices,
  };
}
