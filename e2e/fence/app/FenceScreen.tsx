import { ALONE, type PartCount } from "@wide-porch/core";
import { SlotChoices } from "../../assembly/SlotChoices";
import { AnyDrawing } from "../../components/AnyDrawing";
import { useLatestCount } from "../../job/JobContext";
import { FigureList } from "../../measure/FigureList";
import { LiveCount } from "../../measure/LiveCount";
import { PartLayout } from "../../measure/PartLayout";
import { PartName } from "../../measure/PartName";
import { usePartFigures } from "../../measure/usePartFigures";
import type { Fence } from "./index";

const say = ({ lines }: PartCount): string => `${lines.find((line) => line.rule === "posts")?.quantity ?? 0} posts`;

export default function FenceScreen({ part }: { readonly part: Fence }) {
  const { kind, context, slots, active, show, change, pad } = usePartFigures(part);
  const drawing = useLatestCount(part.id)?.drawing ?? kind.draw(part, context, ALONE);
  return (
    <PartLayout
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
      lists={
        <>
          <PartName part={part} />
          <LiveCount partId={part.id} say={say} />
          <FigureList slots={slots} activePath={active} onOpen={show} title="Fence" />
          <SlotChoices part={part} onChange={change} />
        </>
      }
    />
  );
}
