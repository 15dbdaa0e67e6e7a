import { ALONE, type AreaPart, enterDimension, kindOf, type LengthPart, type StoreyPart } from "@wide-porch/core";
import { useJob } from "../job/JobContext";
import { NotesAndPhotos } from "../photos/NotesAndPhotos";
import { FigureList } from "./FigureList";
import { MeasureList } from "./MeasureList";
import { PartLayout } from "./PartLayout";
import { PartName } from "./PartName";
import { type Entered, TapePad } from "./TapePad";
import { usePad } from "./usePad";

/** A part that is figures alone: a length, an area. */
export function LoosePartScreen({ part }: { readonly part: LengthPart | AreaPart | StoreyPart }) {
  const { context, savePart, readings, noteReading } = useJob();
  const [figure, show] = usePad();
  const kind = kindOf(part);
  const slots = kind.dimensions(part);
  const active = slots.some((slot) => slot.path === figure) ? figure : undefined;
  const enter = (path: string, typed: string): Entered => {
    const result = enterDimension(kind, part, path, typed, context);
    savePart(result.part);
    if (!result.problem) noteReading(typed.trim());
    return { problem: result.problem };
  };
  return (
    <PartLayout
      drawing={undefined}
      lists={
        <>
          <PartName part={part} />
          <FigureList slots={slots} activePath={active} onOpen={show} title={kind.label} />
          <MeasureList measures={kind.measures(part, context, ALONE)} drawing={undefined} />
          <NotesAndPhotos part={part} />
        </>
      }
      pad={
        active ? (
          <TapePad
            slots={slots}
            path={active}
            system={context.system}
            partName={part.name}
            readings={readings}
            onEnter={enter}
            onMove={show}
            onClose={() => show(undefined)}
          />
        ) : null
      }
    />
  );
}
