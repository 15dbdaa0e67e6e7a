import type { Nanometres } from "../../units";
import type { FramingPiece } from "../piece";
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

function spliceAll(frame: Frame, spans: readonly Span[], below: readonly Nanometres[]): Span[] {
  const { longestPlateNm, spliceStaggerNm } = frame.rules;
  return spans.flatMap((span) => spliceSpan(span, longestPlateNm, below, spliceStaggerNm));
}

export function bottomPlates(frame: Frame): FramingPiece[] {
  const layers = Array.from({ length: frame.wall.parameters.bottomPlates.value }, (_, layer) => layer);
  const spans = spliceAll(frame, bottomSpans(frame), []);
  return layers.flatMap((layer) =>
    spans.map((span, index) =>
      lying(
        frame,
        "bottom-plate",
        `bottom-plate-${layer + 1}-${index + 1}`,
        layer * frame.thicknessNm,
        span.startNm,
        span.endNm,
      ),
    ),
  );
}

/** The first layer is the top plate; those on it are cap plates, their joints clear of the layer below. */
export function topPlates(frame: Frame): FramingPiece[] {
  const pieces: FramingPiece[] = [];
  let joints: Nanometres[] = [];
  for (let layer = 0; layer < frame.wall.parameters.topPlates.value; layer += 1) {
    const role = layer === 0 ? "top-plate" : "cap-plate";
    const spans = spliceAll(frame, [{ startNm: 0, endNm: frame.lengthNm }], joints);
    const yNm = frame.undersideNm + layer * frame.thicknessNm;
    pieces.push(
      ...spans.map((span, index) =>
        lying(frame, role, `${role}-${layer + 1}-${index + 1}`, yNm, span.startNm, span.endNm),
      ),
    );
    joints = jointsOf(spans);
  }
  return pieces;
}
