import type { Point } from "../geometry";
import { measured } from "../parts/dimension";
import type { Nanometres } from "../units";
import type { JoistChoices } from "./choices";
import { chordsOf } from "./chords";
import type { FloorOpening, Joisted } from "./schema";
import { type Area, bayOf, joistShape, reachOf } from "./shape";

/** Middles of the layout across the outline; moving it by a whole spacing changes nothing. */
export function layoutLines(
  { firstJoist }: Pick<Joisted, "firstJoist">,
  { joistSpacing: spacing, layoutFrom }: Pick<JoistChoices, "joistSpacing" | "layoutFrom">,
  bay: Area,
): Nanometres[] {
  const first = (firstJoist.valueNm ?? spacing) % spacing;
  const lines: Nanometres[] = [];
  const wide = bay.v1 - bay.v0;
  for (let at = first; at < wide; at += spacing)
    if (at > 0) lines.push(layoutFrom === "start" ? bay.v0 + at : bay.v1 - at);
  return lines;
}

/**
 * How much the first panel is short of whole, so that the ends of panels fall on the layout: what the first line of it, seen from the
 * side the panels begin at, is short of a spacing.
 */
export function shiftToJoists(part: Joisted, choices: JoistChoices): Nanometres {
  const shape = joistShape(part);
  if (!shape) return 0;
  const [reach, bay] = [reachOf(shape.ring), bayOf(shape)];
  const { joistSpacing: spacing, layoutFrom, panelCorner } = choices;
  const first = (part.firstJoist.valueNm ?? spacing) % spacing;
  const line = layoutFrom === "start" ? bay.v0 + first : bay.v1 - first;
  const seen = panelCorner.startsWith("start") ? line - reach.v0 : reach.v1 - line;
  return (((spacing - seen) % spacing) + spacing) % spacing;
}

/** The lines of the layout on the page of the part, for who moves them before they are counted; none while it does not close. */
export function layoutOnPage(part: Joisted, choices: JoistChoices): (readonly [Point, Point])[] {
  const shape = joistShape(part);
  if (!shape) return [];
  return layoutLines(part, choices, bayOf(shape)).flatMap((v) =>
    chordsOf(shape.edges, v - 2000, v + 2000).map(
      ({ from, to }) => [shape.fromUV({ u: from, v }), shape.fromUV({ u: to, v })] as const,
    ),
  );
}

/** Where the first joist comes to lie when the layout is drawn so far over the page, in steps: within one spacing of its side. */
export function movedFirst(
  part: Joisted,
  { joistSpacing, layoutFrom }: JoistChoices,
  by: Point,
  stepNm: Nanometres,
): Nanometres {
  const shape = joistShape(part);
  if (!shape) return joistSpacing;
  const across = shape.toUV(by).v * (layoutFrom === "start" ? 1 : -1);
  const at = ((((part.firstJoist.valueNm ?? joistSpacing) + across) % joistSpacing) + joistSpacing) % joistSpacing;
  const whole = Math.round(at / stepNm) * stepNm;
  return whole === 0 ? joistSpacing : whole;
}

/** Where an opening comes to lie when it is drawn so far over the page, in steps; the same one while its place or the outline is not known. */
export function movedOpening<O extends Pick<FloorOpening, "along" | "off">>(
  part: Joisted,
  opening: O,
  by: Point,
  stepNm: Nanometres,
): O {
  const shape = joistShape(part);
  const { along, off } = opening;
  if (!shape || along.valueNm === null || off.valueNm === null) return opening;
  const { u, v } = shape.toUV(by);
  const [alongNm, offNm] = part.runs === "along" ? [u, v] : [v, u];
  const at = (now: Nanometres, more: Nanometres) => Math.max(0, Math.round((now + more) / stepNm) * stepNm);
  return { ...opening, along: measured(at(along.valueNm, alongNm), ""), off: measured(at(off.valueNm, offNm), "") };
}
