import {
  ALONE,
  type AreaPart,
  isStorey,
  type LengthPart,
  type Part,
  resolveStorey,
  type StoreyPart,
} from "@wide-porch/core";
import { useJobValue } from "../job/JobContext";
import { FigureList } from "./FigureList";
import { PartFrame } from "./PartFrame";
import { usePartFigures } from "./usePartFigures";

/** A part that is figures alone: a length, an area. */
export default function LoosePartScreen({ part }: { readonly part: LengthPart | AreaPart | StoreyPart }) {
  const { kind, context, slots, active, show, pad } = usePartFigures<Part>(part);
  const plan = useJobValue((job) => (isStorey(part) ? job.plan : undefined));
  const standing: Part = isStorey(part) && plan ? resolveStorey(part, plan) : part;
  return (
    <PartFrame part={part} pad={pad} measures={kind.measures(standing, context, ALONE)}>
      <FigureList slots={slots} activePath={active} onOpen={show} title={kind.label} />
    </PartFrame>
  );
}
