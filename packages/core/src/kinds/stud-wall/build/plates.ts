import type { FramingPiece } from "../../../drawing/piece";
import type { Nanometres } from "../../../units";
import { type FramingRole, type Profile, slopeOf } from "../..";
import { type Frame, lying } from "./frame";
import { jointsOf, type Span, spliceSpan } from "./splice";

/** Bottom plates stop at openings that reach the floor. */
function bottomSpans(frame: Frame): Span[] {
  const doors = frame.openings.filter((opening) => opening.sillNm === 0);
  const edges = [0, ...doors.flatMap((door) => [door.leftNm, door.rightNm]), frame.lengthNm];
  const spans: Span[] = [];
  for (let index = 0; index + 1 < edges.length; index += 2) {
    spans.push({ startNm: edges[index] ?? 0, endNm: edges[index + 1] ?? frame.lengthNm });
  }
  return spans.filter((span) => span.endNm > span.startNm);
}

function spliceAll(frame: Frame, role: FramingRole, spans: readonly Span[], below: readonly Nanometres[]): Span[] {
  const longestNm = frame.longestPlate(role);
  return spans.flatMap((span) => spliceSpan(span, longestNm, below, frame.rules.spliceStaggerNm));
}

/** The lowest layer is treated where it lies on concrete or masonry. */
export function bottomPlates(frame: Frame): FramingPiece[] {
  const { bottomPlates: layers, treatedPlate } = frame.framing;
  return Array.from({ length: layers }, (_, layer) => {
    const role = layer === 0 && treatedPlate ? "treated-plate" : "bottom-plate";
    const spans = spliceAll(frame, role, bottomSpans(frame), []);
    return spans.map((span, index) =>
      lying(frame, {
        role,
        id: `bottom-plate-${layer + 1}-${index + 1}`,
        yNm: layer * frame.thicknessNm,
        fromNm: span.startNm,
        toNm: span.endNm,
      }),
    );
  }).flat();
}

/** The first layer is the top plate; those on it are cap plates, their joints clear of the layer below. */
export function topPlates(frame: Frame): FramingPiece[] {
  const underside = frame.levelUndersideNm;
  return underside === undefined ? slopedPlates(frame) : levelPlates(frame, underside);
}

function levelPlates(frame: Frame, undersideNm: Nanometres): FramingPiece[] {
  const pieces: FramingPiece[] = [];
  let joints: Nanometres[] = [];
  for (let layer = 0; layer < frame.framing.topPlates; layer += 1) {
    const role = layer === 0 ? "top-plate" : "cap-plate";
    const spans = spliceAll(frame, role, [{ startNm: 0, endNm: frame.lengthNm }], joints);
    const yNm = undersideNm + layer * frame.thicknessNm;
    for (const [index, { startNm, endNm }] of spans.entries()) {
      pieces.push(lying(frame, { role, id: `${role}-${layer + 1}-${index + 1}`, yNm, fromNm: startNm, toNm: endNm }));
    }
    joints = jointsOf(spans);
  }
  return pieces;
}

type Stretch = {
  readonly from: Profile[number];
  readonly slope: number;
  /** Length along the slope for each unit along the wall. */
  readonly along: number;
  readonly lengthNm: Nanometres;
};

function stretchesOf(profile: Profile): Stretch[] {
  return profile.slice(1).flatMap((to, index) => {
    const from = profile[index];
    if (!from || to.xNm === from.xNm) return [];
    const slope = slopeOf(from, to);
    const along = Math.hypot(1, slope);
    return [{ from, slope, along, lengthNm: Math.round((to.xNm - from.xNm) * along) }];
  });
}

/** Plates along a gable or slope, each stretch cut and spliced by its length on the slope. */
function slopedPlates(frame: Frame): FramingPiece[] {
  const layers = frame.framing.topPlates;
  return stretchesOf(frame.profile).flatMap((stretch, stretchIndex) => {
    let joints: Nanometres[] = [];
    return Array.from({ length: layers }, (_, layer) => {
      const role = layer === 0 ? "top-plate" : "cap-plate";
      const spans = spliceAll(frame, role, [{ startNm: 0, endNm: stretch.lengthNm }], joints);
      joints = jointsOf(spans);
      return spans.map((span, index) => {
        const id = `${layer === 0 ? "top-plate" : "cap-plate"}-${layer + 1}-${stretchIndex + 1}-${index + 1}`;
        return slopedPlate(frame, stretch, span, layer, id);
      });
    }).flat();
  });
}

function slopedPlate(frame: Frame, stretch: Stretch, span: Span, layer: number, id: string): FramingPiece {
  const { from, slope, along } = stretch;
  const thickUpNm = frame.thicknessNm * along;
  const layersBelowTop = frame.framing.topPlates - layer;
  const at = (alongNm: Nanometres) => {
    const awayNm = alongNm / along;
    return { xNm: Math.round(from.xNm + awayNm), topNm: from.yNm + slope * awayNm - (layersBelowTop - 1) * thickUpNm };
  };
  const [start, end] = [at(span.startNm), at(span.endNm)];
  const points = [
    { xNm: start.xNm, yNm: Math.round(start.topNm - thickUpNm) },
    { xNm: end.xNm, yNm: Math.round(end.topNm - thickUpNm) },
    { xNm: end.xNm, yNm: Math.round(end.topNm) },
    { xNm: start.xNm, yNm: Math.round(start.topNm) },
  ];
  const lowNm = Math.min(...points.map((point) => point.yNm));
  const highNm = Math.max(...points.map((point) => point.yNm));
  return {
    id,
    role: layer === 0 ? "top-plate" : "cap-plate",
    sectionId: frame.section.id,
    cutLengthNm: span.endNm - span.startNm,
    xNm: start.xNm,
    yNm: lowNm,
    widthNm: end.xNm - start.xNm,
    heightNm: highNm - lowNm,
    ...(slope === 0 ? {} : { points, angleDegrees: (Math.atan(slope) * 180) / Math.PI }),
  };
}
