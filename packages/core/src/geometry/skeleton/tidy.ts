import { apart, crossOf, dotOf, type XY } from "./plane";

/** Nearer than this is the same place, in millimetres. */
export const SAME_MM = 1e-3;

/** A stretch of a moving line at one height: from a node to a node, the inside on its left. */
export type Stretch = { readonly line: number; readonly from: number; readonly to: number };

/** Two lines that have come together from both sides: a ridge. `from` to `to` as the first of them runs. */
export type Closed = { readonly from: number; readonly to: number; readonly line: number; readonly against: number };

export type Tidied = { readonly loops: readonly (readonly Stretch[])[]; readonly closed: readonly Closed[] };

/** Places met at one height, each once. */
export class Nodes {
  readonly places: XY[] = [];
  private readonly cells = new Map<string, number[]>();

  /** The node at a place, made where there is none within the same place. */
  at(place: XY): number {
    const [cellX, cellY] = [Math.floor(place[0] / (4 * SAME_MM)), Math.floor(place[1] / (4 * SAME_MM))];
    for (const dx of [0, -1, 1]) {
      for (const dy of [0, -1, 1]) {
        const found = this.cells
          .get(`${cellX + dx}/${cellY + dy}`)
          ?.find((node) => apart(this.places[node] ?? place, place) <= SAME_MM);
        if (found !== undefined) return found;
      }
    }
    const node = this.places.length;
    this.places.push(place);
    const key = `${cellX}/${cellY}`;
    const cell = this.cells.get(key);
    if (cell) cell.push(node);
    else this.cells.set(key, [node]);
    return node;
  }

  place(node: number): XY {
    const place = this.places[node];
    if (!place) throw new Error(`Nodes.place: there is no node ${node}`);
    return place;
  }
}

/** Nodes that lie on a stretch between its ends, in order from its start. */
function nodesOn({ from, to }: Stretch, nodes: Nodes): number[] {
  const [a, b] = [nodes.place(from), nodes.place(to)];
  const lengthMm = apart(a, b);
  if (lengthMm === 0) return [];
  const along: XY = [(b[0] - a[0]) / lengthMm, (b[1] - a[1]) / lengthMm];
  const found: { node: number; at: number }[] = [];
  for (let node = 0; node < nodes.places.length; node += 1) {
    if (node === from || node === to) continue;
    const place = nodes.place(node);
    const offset: XY = [place[0] - a[0], place[1] - a[1]];
    const at = dotOf(offset, along);
    if (at > 0 && at < lengthMm && Math.abs(crossOf(along, offset)) <= SAME_MM) found.push({ node, at });
  }
  return found.toSorted((one, other) => one.at - other.at).map(({ node }) => node);
}

function splitAtNodes(stretches: readonly Stretch[], nodes: Nodes): Stretch[] {
  return stretches.flatMap((stretch) => {
    const stops = [stretch.from, ...nodesOn(stretch, nodes), stretch.to];
    return stops.slice(1).map((to, index) => ({ line: stretch.line, from: stops[index] ?? to, to }));
  });
}

/** Takes out stretches that run against each other in the same place. */
function closeUp(stretches: readonly Stretch[]): { left: Stretch[]; closed: Closed[] } {
  const open = new Map<string, Stretch[]>();
  const gone = new Set<Stretch>();
  const closed: Closed[] = [];
  for (const stretch of stretches) {
    const against = open.get(`${stretch.to}/${stretch.from}`)?.pop();
    if (against) {
      gone.add(against).add(stretch);
      closed.push({ from: against.from, to: against.to, line: against.line, against: stretch.line });
      continue;
    }
    const key = `${stretch.from}/${stretch.to}`;
    open.set(key, [...(open.get(key) ?? []), stretch]);
  }
  return { left: stretches.filter((stretch) => !gone.has(stretch)), closed };
}

/** With the clock from where a person came: the first way out is the one that keeps the same inside on the left. */
const turnFrom = (back: XY, out: XY): number => {
  const angle = Math.atan2(crossOf(out, back), dotOf(out, back));
  return angle <= 1e-12 ? angle + 2 * Math.PI : angle;
};

function trace(stretches: readonly Stretch[], nodes: Nodes): Stretch[][] | undefined {
  const leaving = new Map<number, Stretch[]>();
  for (const stretch of stretches) leaving.set(stretch.from, [...(leaving.get(stretch.from) ?? []), stretch]);
  const heading = (from: number, to: number): XY => {
    const [a, b] = [nodes.place(from), nodes.place(to)];
    return [b[0] - a[0], b[1] - a[1]];
  };
  const left = new Set(stretches);
  const loops: Stretch[][] = [];
  for (const first of stretches) {
    if (!left.has(first)) continue;
    const loop: Stretch[] = [];
    let now = first;
    while (left.has(now)) {
      left.delete(now);
      loop.push(now);
      const back = heading(now.to, now.from);
      const ways = (leaving.get(now.to) ?? []).filter((each) => left.has(each) || each === first);
      const next = ways
        .map((each) => ({ each, turn: turnFrom(back, heading(each.from, each.to)) }))
        .reduce<{ each: Stretch; turn: number } | undefined>((a, b) => (a && a.turn <= b.turn ? a : b), undefined);
      if (!next) return undefined;
      now = next.each;
    }
    if (now !== first) return undefined;
    loops.push(loop);
  }
  return loops;
}

/** Stretches of one line that follow each other are one. */
function joinUp(loop: readonly Stretch[], lineOfRun: (line: number) => number): Stretch[] {
  const start = loop.findIndex((each, index) => {
    const before = loop[(index + loop.length - 1) % loop.length];
    return before !== undefined && lineOfRun(before.line) !== lineOfRun(each.line);
  });
  if (start < 0) return [...loop];
  const joined: Stretch[] = [];
  for (const each of [...loop.slice(start), ...loop.slice(0, start)]) {
    const before = joined[joined.length - 1];
    if (before && before.line === each.line) joined[joined.length - 1] = { ...before, to: each.to };
    else joined.push(each);
  }
  return joined;
}

/**
 * What is left of a wavefront at a height: stretches of no length gone, ones that touch split there, ones that have met taken
 * out, and the rest put in loops with the inside on the left. However many of these happen at one height, it is one step.
 * `undefined` where the stretches make no loops.
 */
export function tidy(stretches: readonly Stretch[], nodes: Nodes): Tidied | undefined {
  const long = stretches.filter(({ from, to }) => from !== to);
  const { left, closed } = closeUp(splitAtNodes(long, nodes));
  const loops = trace(left, nodes);
  return loops && { loops: loops.map((loop) => joinUp(loop, (line) => line)), closed };
}
