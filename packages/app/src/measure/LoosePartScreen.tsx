import { ALONE, type AreaPart, isStorey, kindOf, type LengthPart, type StoreyPart } from "@wide-porch/core";
import { UsesPanel } from "../assembly/UsesPanel";
import { useJob } from "../job/JobContext";
import { NotesAndPhotos } from "../photos/NotesAndPhotos";
import { FigureList } from "./FigureList";
import { MeasureList } from "./MeasureList";
import { PartLayout } from "./PartLayout";
import { PartName } from "./PartName";
import { PartPad } from "./PartPad";
import { usePad } from "./usePad";

/** A part that is figures alone: a length, an area. */
export default function LoosePartScreen({ part }: { readonly part: LengthPart | AreaPart | StoreyPart }) {
  const { context } = useJob("context");
  const [figure, show] = usePad();
  const kind = kindOf(part);
  const slots = kind.dimensions(part);
  const active = slots.some((slot) => slot.path === figure) ? figure : undefined;
  return (
    <PartLayout
      drawing={undefined}
      lists={
        <>
          <PartName part={part} />
          <FigureList slots={slots} activePath={active} onOpen={show} title={kind.label} />
          <MeasureList measures={kind.measures(part, context, ALONE)} drawing={undefined} />
          {isStorey(part) ? null : <UsesPanel part={part} />}
          <NotesAndPhotos part={part} />
        </>
      }
      pad={active ? <PartPad part={part} slots={slots} path={active} onMove={show} /> : null}
    />
  );
}
