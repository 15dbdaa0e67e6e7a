import {
  ALONE,
  type AreaPart,
  isStorey,
  type LengthPart,
  type Part,
  resolveStorey,
  type StoreyPart,
} from "@wide-porch/core";
import { UsesPanel } from "../assembly/UsesPanel";
import { useJobValue } from "../job/JobContext";
import { NotesAndPhotos } from "../photos/NotesAndPhotos";
import { FigureList } from "./FigureList";
import { MeasureList } from "./MeasureList";
import { PartLayout } from "./PartLayout";
import { PartName } from "./PartName";
import { usePartFigures } from "./usePartFigures";

/** A part that is figures alone: a length, an area. */
export default function LoosePartScreen({ part }: { readonly part: LengthPart | AreaPart | StoreyPart }) {
  const { kind, context, slots, active, show, pad } = usePartFigures<Part>(part);
  const plan = useJobValue((job) => (isStorey(part) ? job.plan : undefined));
  const standing: Part = isStorey(part) && plan ? resolveStorey(part, plan) : part;
  return (
    <PartLayout
      drawing={undefined}
      lists={
        <>
          <PartName part={part} />
          <FigureList slots={slots} activePath={active} onOpen={show} title={kind.label} />
          <MeasureList measures={kind.measures(standing, context, ALONE)} drawing={undefined} />
          <UsesPanel part={part} />
          <NotesAndPhotos part={part} />
        </>
      }
      pad={pad}
    />
  );
}
