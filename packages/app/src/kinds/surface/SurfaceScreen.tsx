import { ALONE, isRoom, kindOf, resolveSurface, type SurfacePart } from "@wide-porch/core";
import { type Href, Link } from "expo-router";
import { useMemo } from "react";
import { UsesPanel } from "../../assembly/UsesPanel";
import { AnyDrawing } from "../../components/AnyDrawing";
import { Strong, Warning } from "../../components/Text";
import { useJobLater } from "../../job/useJobLater";
import { MeasureList } from "../../measure/MeasureList";
import { PartLayout } from "../../measure/PartLayout";
import { PartName } from "../../measure/PartName";
import { NotesAndPhotos } from "../../photos/NotesAndPhotos";

/** One surface of a room: its figures are the room's, and what is applied to it counts on it alone. */
export default function SurfaceScreen({ part }: { readonly part: SurfacePart }) {
  const { context, plan, parts, jobId } = useJobLater("context", "plan", "parts", "jobId");
  const surface = useMemo(() => resolveSurface(part, plan), [part, plan]);
  const kind = kindOf(surface);
  const drawing = kind.draw(surface, context, ALONE);
  const room = parts.filter(isRoom).find((each) => each.id === part.roomId);
  return (
    <PartLayout
      drawing={
        surface.found
          ? (heightPx) => <AnyDrawing drawing={drawing} description={`${part.name}, square on`} heightPx={heightPx} />
          : undefined
      }
      pad={null}
      lists={
        <>
          <PartName part={part} />
          {surface.found ? null : (
            <Warning>Its room is gone, not closed, or has no such surface any more. Nothing is counted on it.</Warning>
          )}
          {room ? (
            <Link href={`/jobs/${jobId}/measure/${room.id}` as Href} className="min-h-12 py-3">
              <Strong className="text-pine underline">{`Measured in ${room.name}`}</Strong>
            </Link>
          ) : null}
          <MeasureList measures={kind.measures(surface, context, ALONE)} drawing={undefined} />
          <UsesPanel part={part} />
          <NotesAndPhotos part={part} />
        </>
      }
    />
  );
}
