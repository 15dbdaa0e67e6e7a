import { ALONE, type PartCount } from "@wide-porch/core";
import { AnyDrawing } from "../../components/AnyDrawing";
import { useLatestCount } from "../../job/JobContext";
import { FigureList } from "../../measure/FigureList";
import { PartFrame } from "../../measure/PartFrame";
import { usePartFigures } from "../../measure/usePartFigures";
import type { Fence } from "./index";

const say = ({ lines }: PartCount): string => `${lines.find((line) => line.rule === "posts")?.quantity ?? 0} posts`;

export default function FenceScreen({ part }: { readonly part: Fence }) {
  const { kind, context, slots, active, show, change, pad } = usePartFigures(part);
  const drawing = useLatestCount(part.id)?.drawing ?? kind.draw(part, context, ALONE);
  return (
    <PartFrame
      part={part}
      drawing={(heightPx) => (
        <AnyDrawing
          drawing={drawing}
          description={`Elevation of ${part.name}`}
          heightPx={heightPx}
          activePath={active}
          onDimension={show}
        />
      )}
      pad={pad}
      built={{ say, onChange: change }}
    >
      <FigureList slots={slots} activePath={active} onOpen={show} title="Fence" />
    </PartFrame>
  );
}
