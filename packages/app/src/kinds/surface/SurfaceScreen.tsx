import { ALONE, isRoom, kindOf, resolveSurface, type SurfacePart } from "@wide-porch/core";
import { type Href, Link } from "expo-router";
import { useMemo } from "react";
import { AnyDrawing } from "../../components/AnyDrawing";
import { Strong, Warning } from "../../components/Text";
import { useJobLater } from "../../job/useJobLater";
import { PartFrame } from "../../measure/PartFrame";

/** One surface of a room: its figures are the room's, and what is applied to it counts on it alone. */
export default function SurfaceScreen({ part }: { readonly part: SurfacePart }) {
  const { context, plan, parts, jobId } = useJobLater("context", "plan", "parts", "jobId");
  const surface = useMemo(() => resolveSurface(part, plan), [part, plan]);
  const kind = kindOf(surface);
  const drawing = kind.draw(surface, context, ALONE);
  const room = parts.filter(isRoom).find((each) => each.id === part.roomId);
  return (
    <PartFrame
      part={part}
      drawing={
        surface.found
          ? (heightPx) => <AnyDrawing drawing={drawing} description={`${part.name}, square on`} heightPx={heightPx} />
          : undefined
      }
      pad={null}
      measures={kind.measures(surface, context, ALONE)}
    >
      {surface.found ? null : (
        <Warning>Its room is gone, not closed, or has no such surface any more. Nothing is counted on it.</Warning>
      )}
      {room ? (
        <Link href={`/jobs/${jobId}/measure/${room.id}` as Href} className="min-h-12 py-3">
          <Strong className="text-pine underline">{`Measured in ${room.name}`}</Strong>
        </Link>
      ) : null}
    </PartFrame>
  );
}
