import { gapPoint } from "../../parts/gapPoint";
import { atMost } from "../../parts/limits";
import type { OpenPoint, PartContext } from "../../parts/partKind";
import { type Problem, problem } from "../../problems/problem";
import { ownValue } from "../../records/ownValue";
import { feet, formatArea, formatLength, inches, type MeasuringSystem, metres } from "../../units";
import { courtyardProblems } from "./courtyards";
import { featureProblems } from "./features/problems";
import { LEAST_PITCH, MOST_PITCH, roofDimensions } from "./figures";
import { type FormFailure, formOf } from "./form";
import { hipFromMm } from "./halfHip";
import { edgeName, outlineOfRoof, slopeOf } from "./outline";
import { choicesOf } from "./parameters";
import type { Roof } from "./schema";

const LONGEST_EDGE_NM = metres(200);
const WIDEST_OVERHANG_NM = metres(3);
const HIGHEST_NM = metres(60);

function figureProblems(roof: Roof, system: MeasuringSystem): Problem[] {
  return roofDimensions(roof).flatMap(({ path, label, of, dimension }) => {
    const { valueNm } = dimension;
    const name = of ? `${of}: the ${label.toLowerCase()}` : `The ${label.charAt(0).toLowerCase()}${label.slice(1)}`;
    const overhang = path.toLowerCase().endsWith("overhang");
    const isLength = /\.(length|along|into|width|depth|hipWidth)$/.test(path);
    if (valueNm === null) return [];
    const mayBeNothing =
      overhang || path === "plate" || path === "beside.along" || /^features\..*\.(along|back)$/.test(path);
    if (valueNm < 0 || (valueNm === 0 && !mayBeNothing))
      return [problem("not-positive", path, `${name} is more than zero.`)];
    return atMost(
      path,
      name,
      dimension,
      overhang ? WIDEST_OVERHANG_NM : isLength ? LONGEST_EDGE_NM : HIGHEST_NM,
      system,
    );
  });
}

/** Pitches are checked where they are typed as well; a file may bring any. */
function pitchProblems(roof: Roof): Problem[] {
  const pitches = [
    ["pitch", "The pitch", roof.pitch.value],
    ["upperPitch", "The upper pitch", roof.upperPitch.value],
    ...roof.features.map(({ id, name, pitch }) => [`features.${id}.pitch`, `${name}: its pitch`, pitch.value] as const),
    ...roof.edges.map(
      (edge) => [`edges.${edge.id}.pitch`, `${edgeName(roof, edge.id)}: its pitch`, edge.pitch.value] as const,
    ),
  ] as const;
  return pitches.flatMap(([path, name, value]) =>
    value === null || (value >= LEAST_PITCH && value <= MOST_PITCH)
      ? []
      : [problem("pitch", path, `${name} is from 1 in 100 to 80°. Flatter is a flat roof, steeper a wall.`)],
  );
}

/** A pair that belongs together: neither means anything alone. */
function breakProblems(roof: Roof): Problem[] {
  const { breakHeight, upperPitch } = roof;
  if (breakHeight.valueNm !== null && upperPitch.value === null)
    return [problem("no-upper-pitch", "upperPitch", "The pitch changes at a height, and nobody has said to what.")];
  if (breakHeight.valueNm === null && upperPitch.value !== null)
    return [problem("no-break", "breakHeight", "There is an upper pitch, and nobody has said from what height.")];
  return [];
}

function crossingProblems(roof: Roof): Problem[] {
  const outline = outlineOfRoof(roof);
  const last = roof.edges[roof.edges.length - 1];
  if (outline.ok || outline.why !== "crosses" || !last) return [];
  const [a, b] = outline.edges.map((edge) => edgeName(roof, edge.id));
  const message = `${a} and ${b} of the outline meet or cross. Check lengths and turns.`;
  return [problem("outline-crosses", `edges.${last.id}.length`, message)];
}

/** A half-hip as wide as its edge is a hip, and one wider than its gable ever gets narrow is a gable: both are said. */
function widthProblems(roof: Roof): Problem[] {
  const outline = outlineOfRoof(roof);
  if (!outline.ok) return [];
  return outline.edges.flatMap(({ edge }, index): Problem[] => {
    const widthNm = edge.hipWidth.valueNm;
    if (edge.end !== "half-hip" || widthNm === null) return [];
    const name = edgeName(roof, edge.id);
    const path = `edges.${edge.id}.hipWidth`;
    if (edge.length.valueNm !== null && widthNm >= edge.length.valueNm)
      return [
        problem("width", path, `${name}: a half-hip is narrower than its edge. Let it end as an eave for a whole hip.`),
      ];
    if (Number.isFinite(hipFromMm(roof, outline.edges, index))) return [];
    return [problem("width", path, `${name}: the slopes beside it never make its gable so narrow.`)];
  });
}

/** A walk that does not come back to where it began: nothing is built until it does, and each entry may open or close it. */
export const outlineGap = ({ edges }: Roof, system: MeasuringSystem): OpenPoint[] => gapPoint(edges, system);

const FAILURES: Partial<Record<FormFailure, string>> = {
  unreached: "No slope comes over a part of this roof. Let one of the edges round it be an eave.",
  tangled: "No roof can be made over this outline with these pitches. The last good one stays.",
  "failed-check": "The form of this roof failed its own check, so that it is not shown. Change a figure slightly.",
};

function shapeProblems(roof: Roof): Problem[] {
  if (!roof.edges.some(({ end }) => end === "eave" || end === "half-hip"))
    return [problem("only-gables", "edges", "Nothing slopes: let at least one edge be an eave.")];
  const waiting = roof.edges.find(
    ({ end, hipFrom, hipWidth }) => end === "half-hip" && hipFrom.valueNm === null && hipWidth.valueNm === null,
  );
  if (waiting) return [];
  const formed = formOf(roof);
  const message = formed.ok ? undefined : FAILURES[formed.why];
  return message === undefined ? [] : [problem("no-form", "edges", message)];
}

const SECTIONS = [
  "rafterSection",
  "ridgeSection",
  "hipSection",
  "joistSection",
  "collarSection",
  "purlinSection",
  "engineeredSection",
  "gableStudSection",
] as const;

function sectionProblems(roof: Roof, { sections, system }: PartContext): Problem[] {
  const choices = choicesOf(roof, system);
  return SECTIONS.filter((name) => ownValue(sections, choices[name]) === undefined).map((name) =>
    problem("no-section", `choices.${name}`, `There is no timber “${choices[name]}” in the list.`),
  );
}

/** What keeps a roof from being built, nearest to its cause first. */
export function roofProblems(roof: Roof, context: PartContext): readonly Problem[] {
  const { system } = context;
  const figures = [...figureProblems(roof, system), ...pitchProblems(roof), ...breakProblems(roof)];
  if (figures.length > 0) return figures;
  const outline = outlineOfRoof(roof);
  const courts = outline.ok ? courtyardProblems(roof, outline.polygon, outline.inwards) : [];
  const crossing = [...crossingProblems(roof), ...widthProblems(roof), ...courts];
  if (crossing.length > 0) return crossing;
  return [...shapeProblems(roof), ...featureProblems(roof), ...sectionProblems(roof, context)];
}

/** Below this ridges, hips and valleys carry as beams: IRC R802.4.4 (from memory). */
const BEAMS_BELOW = 3 / 12;

/** A flat roof's ridge is no board that rafters lean against: to be told, not to be kept from counting. */
export function beamsNeeded(roof: Roof): Problem[] {
  const formed = formOf(roof);
  if (!formed.ok) return [];
  const { faces, lines } = formed.form;
  const flat = new Set(faces.filter(({ pitch }) => pitch < BEAMS_BELOW - 1e-9).map(({ id }) => id));
  const kinds = (["ridge", "hip", "valley"] as const).filter((kind) =>
    lines.some((line) => line.kind === kind && line.faceIds.some((id) => flat.has(id))),
  );
  if (kinds.length === 0) return [];
  const words = kinds.map((kind) => `${kind}s`).join(" and ");
  return [problem("low-pitch", "pitch", `Below 3 in 12 ${words} carry the rafters as beams: have them sized.`)];
}

/** More than this is said where corners were moved: what a tape is read to, halved. */
const SAID_FROM_NM = inches(1 / 32);

/** An outline out of true by less than a tape can tell is built straight and square: to be told, as the lengths typed stay what they are. */
export function straightenedOutline(roof: Roof, system: MeasuringSystem): Problem[] {
  const outline = outlineOfRoof(roof);
  if (!outline.ok || outline.straightenedNm < SAID_FROM_NM) return [];
  const message = `The outline is out of straight, parallel or square by less than a tape can tell: it is framed true, its corners moved by ${formatLength(Math.round(outline.straightenedNm), system)} at most.`;
  return [problem("straightened", "edges", message)];
}

/** What a flat at the top has beyond its covering is built like a floor: to be told, not left out without a word. */
export function flatFrame(roof: Roof, system: MeasuringSystem): Problem[] {
  const formed = formOf(roof);
  if (!formed.ok || formed.form.flatAreaM2 === 0) return [];
  const area = formatArea(formed.form.flatAreaM2, system);
  return [
    problem(
      "flat-frame",
      "flatHeight",
      `The flat at the top, ${area}, is panelled and covered; its joists and kerb are not counted.`,
    ),
  ];
}

/** Tails longer than this want something to bear on: common practice. */
const LONGEST_TAIL_NM = feet(2);

/** Rafters of a wide overhang, or of an eave that is carried down, reach out beyond their wall: what they bear on there is nobody's count, and is told. */
export function longTails(roof: Roof, system: MeasuringSystem): Problem[] {
  const wide = roof.edges.flatMap((edge): Problem[] => {
    const { overhangNm } = slopeOf(roof, edge);
    if (overhangNm <= LONGEST_TAIL_NM) return [];
    const what = edge.end === "eave" ? "its rafters hang" : "its end hangs";
    const message = `${edgeName(roof, edge.id)}: ${what} ${formatLength(overhangNm, system)} beyond the wall. A beam and posts under that, or brackets, are not counted.`;
    return [problem("long-tails", edge.overhang.valueNm === null ? "overhang" : `edges.${edge.id}.overhang`, message)];
  });
  const carried = roof.features.flatMap(({ id, kind, name, depth, edgeId }): Problem[] => {
    const edge = roof.edges.find((each) => each.id === edgeId);
    if (kind !== "carried-eave" || depth.valueNm === null || !edge) return [];
    const tailNm = depth.valueNm + slopeOf(roof, edge).overhangNm;
    if (tailNm <= LONGEST_TAIL_NM) return [];
    const message = `${name} takes its rafters ${formatLength(tailNm, system)} beyond the wall: a beam and posts under them are not counted.`;
    return [problem("long-tails", `features.${id}.depth`, message)];
  });
  return [...wide, ...carried];
}

/** Corners where the eaves of unequal pitches do not meet, and the overhang that would bring them together. */
export function fasciasApart(roof: Roof, system: MeasuringSystem): Problem[] {
  const outline = outlineOfRoof(roof);
  if (!outline.ok) return [];
  return outline.edges.flatMap(({ edge }, index) => {
    const next = outline.edges[(index + 1) % outline.edges.length]?.edge;
    if (!next || edge.end !== "eave" || next.end !== "eave") return [];
    const [a, b] = [slopeOf(roof, edge), slopeOf(roof, next)];
    const apartNm = a.overhangNm * a.pitch - b.overhangNm * b.pitch;
    if (Math.abs(apartNm) < 2_000_000 || b.pitch === 0) return [];
    // Tangents, never degrees: rise over run is what it is.
    const cure = Math.round((a.overhangNm * a.pitch) / b.pitch);
    const [first, second] = [edgeName(roof, edge.id), edgeName(roof, next.id)];
    const say = (nm: number) => formatLength(Math.abs(Math.round(nm)), system);
    const message =
      `The fascias of ${first} and ${second} are ${say(apartNm)} apart in height. They meet with a level overhang of ` +
      `${say(cure)} on ${second}, or with its plate ${apartNm > 0 ? "lowered" : "raised"} by ${say(apartNm)}.`;
    return [problem("fascias-apart", `edges.${next.id}.overhang`, message)];
  });
}
