import { assembleFaces, type FaceOrigin, type FaceStretch, type FormFace } from "./faces";
import {
  areParallel,
  dotOf,
  leftXY,
  lineOf,
  type MovingLine,
  offsetAt,
  type RisingEdge,
  type XY,
  type XYZ,
} from "./plane";
import { Nodes, type Stretch, tidy } from "./tidy";
import { cornersOfLoop, type Loop, nextChange, placeAt } from "./wavefront";

export type Skeleton =
  | { readonly ok: true; readonly faces: readonly FormFace[]; readonly flats: readonly (readonly XYZ[])[] }
  | { readonly ok: false; readonly why: SkeletonFailure };

/**
 * Why there is no form: `unreached` where nothing slopes over a part of the outline, `tangled` where the outline meets itself or
 * the form fails its own check.
 */
export type SkeletonFailure = "unreached" | "tangled";

const failed = (why: SkeletonFailure): Skeleton => ({ ok: false, why });

/** Heights nearer than this are one, in millimetres. */
const SAME_HEIGHT_MM = 1e-6;

/**
 * The form over an outline whose edges rise inwards, each by its own steps: the weighted straight skeleton, with standing edges.
 * Loops have the inside on their left, the outer one against the clock and holes with it; millimetres. With `flatAtMm` the form
 * ends level at that height.
 *
 * A wavefront goes in from the edges. At each height at which it changes it is tidied as a whole, so that any number of things
 * may happen at once; in between its corners trace ridges, hips and valleys.
 * Source: Aichholzer and Aurenhammer 1996 for the wavefront, Eder and Held 2018 for weights (from memory).
 */
export function straightSkeleton(loops: readonly (readonly RisingEdge[])[], flatAtMm?: number): Skeleton {
  const edges = loops.flat();
  const run = new Run(edges, flatAtMm);
  if (!run.begin(loops)) return failed("tangled");
  const most = 100 + 30 * edges.length;
  for (let step = 0; step < most && run.front.length > 0; step += 1) {
    const outcome = run.rise();
    if (outcome !== "on") return failed(outcome);
  }
  if (run.front.length > 0) return failed("tangled");
  const faces = assembleFaces(run.stretches, run.origins);
  return faces ? { ok: true, faces, flats: run.flats } : failed("tangled");
}

class Run {
  readonly stretches: FaceStretch[] = [];
  readonly origins: FaceOrigin[] = [];
  readonly flats: XYZ[][] = [];
  front: readonly Loop[] = [];
  private readonly lines: MovingLine[] = [];
  private heightMm = 0;

  constructor(
    private readonly edges: readonly RisingEdge[],
    private readonly flatAtMm: number | undefined,
  ) {}

  /** Puts the wavefront on the outline; false where that is no outline. */
  begin(loops: readonly (readonly RisingEdge[])[]): boolean {
    const nodes = new Nodes();
    const outline = loops.map((loop) =>
      loop.flatMap((edge): Stretch[] => {
        const line = this.addLine((face) => lineOf(edge, this.edges.indexOf(edge), face), 0, false);
        return line === undefined ? [] : [{ line, from: nodes.at(edge.from), to: nodes.at(edge.to) }];
      }),
    );
    if (outline.some((loop) => loop.length < 3)) return false;
    for (const { line, from, to } of outline.flat()) {
      this.record(this.place3(nodes, from), this.place3(nodes, to), this.faceOf(line), -1);
    }
    return this.settle(outline, nodes);
  }

  /** Up to the next height at which something changes. */
  rise(): "on" | SkeletonFailure {
    const next = this.nextHeight();
    if (next === undefined) return "unreached";
    const nodes = new Nodes();
    const fromMm = this.heightMm;
    const moved = this.front.map((loop) => {
      const to = loop.map((corner) => nodes.at(placeAt(corner, fromMm, next)));
      return loop.map((corner, index) => ({ corner, from: to[index] ?? 0, to: to[(index + 1) % to.length] ?? 0 }));
    });
    for (const { corner, from } of moved.flat()) {
      const foot: XYZ = [...corner.at, fromMm];
      const head: XYZ = [...nodes.place(from), next];
      this.record(foot, head, corner.before.face, corner.after.face);
      this.record(head, foot, corner.after.face, corner.before.face);
    }
    this.heightMm = next;
    const tidied = tidy(
      moved.flat().map(({ corner, from, to }) => ({ line: corner.stretch.line, from, to })),
      nodes,
    );
    if (!tidied) return "tangled";
    for (const { from, to, line, against } of tidied.closed) {
      const [a, b] = [this.place3(nodes, from), this.place3(nodes, to)];
      this.record(b, a, this.faceOf(line), this.faceOf(against));
      this.record(a, b, this.faceOf(against), this.faceOf(line));
    }
    return this.settle(tidied.loops, nodes) ? "on" : "tangled";
  }

  private nextHeight(): number | undefined {
    const nowMm = this.heightMm;
    const used = new Set(this.front.flat().map(({ stretch }) => stretch.line));
    const steps = [...used].flatMap((line) => this.nextStep(line)?.fromHeightMm ?? []);
    const stops = this.flatAtMm === undefined ? steps : [...steps, this.flatAtMm];
    const ahead = stops.filter((height) => height > nowMm + SAME_HEIGHT_MM);
    const change = nextChange(this.front, nowMm);
    const all = change === undefined ? ahead : [...ahead, change];
    return all.length === 0 ? undefined : Math.min(...all);
  }

  private nextStep(line: number) {
    const { face, edge } = this.line(line);
    const origin = this.origins[face];
    return origin?.cheek ? undefined : this.edges[edge]?.steps[(origin?.step ?? 0) + 1];
  }

  /** At the height it has come to: what stops here, what slopes otherwise from here, what stands between. */
  private settle(loops: readonly (readonly Stretch[])[], nodes: Nodes): boolean {
    if (this.flatAtMm !== undefined && this.heightMm >= this.flatAtMm - SAME_HEIGHT_MM) {
      for (const loop of loops) {
        for (const { line, from, to } of loop) {
          this.record(this.place3(nodes, to), this.place3(nodes, from), this.faceOf(line), -1);
        }
        this.flats.push(loop.map(({ from }) => this.place3(nodes, from)));
      }
      this.front = [];
      return true;
    }
    const stepped = new Map<number, number>();
    const next = loops.map((loop) =>
      this.withCheeks(
        loop.map((each) => this.stepped(each, nodes, stepped)),
        nodes,
      ),
    );
    const front = next.map((loop) => cornersOfLoop(loop, this.lines, (node) => nodes.place(node)));
    this.front = front.flatMap((loop) => (loop ? [loop] : []));
    return this.front.length === front.length;
  }

  /** A stretch whose edge slopes otherwise from here on goes on as one of a new face. */
  private stepped(stretch: Stretch, nodes: Nodes, known: Map<number, number>): Stretch {
    const step = this.nextStep(stretch.line);
    if (!step || step.fromHeightMm > this.heightMm + SAME_HEIGHT_MM) return stretch;
    const old = this.line(stretch.line);
    const line =
      known.get(stretch.line) ??
      this.addLine(
        (face) => ({
          ...old,
          face,
          offsetMm: offsetAt(old, this.heightMm),
          fromHeightMm: this.heightMm,
          runPerRise: step.runPerRise,
        }),
        (this.origins[old.face]?.step ?? 0) + 1,
        false,
      ) ??
      stretch.line;
    known.set(stretch.line, line);
    const [a, b] = [this.place3(nodes, stretch.from), this.place3(nodes, stretch.to)];
    this.record(b, a, old.face, this.faceOf(line));
    this.record(a, b, this.faceOf(line), old.face);
    return { ...stretch, line };
  }

  /** Where stretches in one line slope differently, a cheek of no width yet stands between them. */
  private withCheeks(loop: readonly Stretch[], nodes: Nodes): Stretch[] {
    return loop.flatMap((stretch, index) => {
      const before = this.line(loop[(index + loop.length - 1) % loop.length]?.line ?? stretch.line);
      const after = this.line(stretch.line);
      const inLine = areParallel(before, after) && dotOf(before.along, after.along) > 0;
      if (!inLine || before.runPerRise === after.runPerRise) return [stretch];
      const outwards = before.runPerRise > after.runPerRise;
      const along: XY = outwards ? [-after.normal[0], -after.normal[1]] : after.normal;
      const normal = leftXY(along);
      const offsetMm = dotOf(normal, nodes.place(stretch.from));
      const cheek = this.addLine(
        (face) => ({ face, edge: after.edge, along, normal, offsetMm, fromHeightMm: this.heightMm, runPerRise: 0 }),
        0,
        true,
      );
      return cheek === undefined ? [stretch] : [{ line: cheek, from: stretch.from, to: stretch.from }, stretch];
    });
  }

  private addLine(make: (face: number) => MovingLine | undefined, step: number, cheek: boolean): number | undefined {
    const line = make(this.origins.length);
    if (!line) return undefined;
    this.origins.push({ line, step, cheek });
    this.lines.push(line);
    return this.lines.length - 1;
  }

  private line(index: number): MovingLine {
    const line = this.lines[index];
    if (!line) throw new Error(`straightSkeleton: there is no line ${index}`);
    return line;
  }

  private faceOf(line: number): number {
    return this.line(line).face;
  }

  private place3(nodes: Nodes, node: number): XYZ {
    return [...nodes.place(node), this.heightMm];
  }

  private record(from: XYZ, to: XYZ, face: number, against: number): void {
    this.stretches.push({ from, to, face, against });
  }
}
