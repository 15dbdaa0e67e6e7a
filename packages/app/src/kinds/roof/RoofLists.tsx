import { ALONE, type Drawing, kindOf, type Part, type PartCount, type Problem, type Roof } from "@wide-porch/core";
import { memo, useMemo } from "react";
import { SlotChoices } from "../../assembly/SlotChoices";
import { UsesPanel } from "../../assembly/UsesPanel";
import { useJob } from "../../job/JobContext";
import { BothWays } from "../../measure/BothWays";
import { FigureList } from "../../measure/FigureList";
import { MeasureList } from "../../measure/MeasureList";
import { NotesAndPhotos } from "../../photos/NotesAndPhotos";
import { EdgesPanel } from "./EdgesPanel";
import { FeaturesPanel } from "./FeaturesPanel";
import { MeetingPanel } from "./MeetingPanel";
import type { PanelProps } from "./panelProps";
import { ShapePanel } from "./ShapePanel";
import { TimberList } from "./TimberList";
import { TryPitch } from "./TryPitch";

type Props = PanelProps & {
  /** As it stands in its house: cut by what it meets. */
  readonly inHouse: Roof;
  readonly plain: Drawing;
  readonly edgeId: string | undefined;
  readonly count: PartCount | undefined;
  readonly onEdge: (edgeId: string | undefined) => void;
  readonly onChoose: (choose: (now: Part) => Part) => Problem | undefined;
};

/** What of a roof is not for the whole of it, and has a list of its own. */
const ELSEWHERE = /^(edges|features|beside|courtyards)\./;

/** Everything of a roof below its drawing and the line that says what it comes to; drawn again only when one of these changes. */
export const RoofLists = memo(function RoofLists(props: Props) {
  const { roof, inHouse, plain, slots, active, edgeId, count, onEdge, onChange, onChoose, onFigure } = props;
  const { context } = useJob("context");
  const measures = useMemo(() => kindOf(inHouse).measures(inHouse, context, ALONE), [inHouse, context]);
  const shared = { roof, slots, active, onChange, onFigure };
  return (
    <>
      <ShapePanel {...shared} />
      <MeetingPanel {...shared} />
      <EdgesPanel {...shared} chosen={edgeId} onChoose={onEdge} />
      <FeaturesPanel {...shared} />
      <FigureList
        slots={slots.filter(({ path }) => !ELSEWHERE.test(path))}
        activePath={active}
        onOpen={onFigure}
        title="The whole roof"
      />
      <TryPitch roof={roof} onChange={onChange} />
      <TimberList count={count} name={roof.name} />
      <MeasureList measures={measures} drawing={plain.kind === "plan" ? plain : undefined} />
      <BothWays part={roof} choice="panelsBy" />
      <SlotChoices part={roof} onChange={onChoose} />
      <UsesPanel part={roof} />
      <NotesAndPhotos part={roof} />
    </>
  );
});
