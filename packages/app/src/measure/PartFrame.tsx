import type { Measure, Part, PartCount, PlanDrawing, Problem } from "@wide-porch/core";
import type { ReactNode } from "react";
import { SlotChoices } from "../assembly/SlotChoices";
import { UsesPanel } from "../assembly/UsesPanel";
import { NotesAndPhotos } from "../photos/NotesAndPhotos";
import { ConfirmPart } from "./ConfirmPart";
import { LiveCount } from "./LiveCount";
import { MeasureList } from "./MeasureList";
import { PartLayout } from "./PartLayout";
import { PartName } from "./PartName";

type Built = {
  /** What it comes to at once, in the words of its trade. */
  readonly say: (count: PartCount) => string;
  /** Makes a choice of how it is built; says why it could not be made. */
  readonly onChange: (change: (now: Part) => Part) => Problem | undefined;
};

type Props = {
  /** As it was entered. */
  readonly part: Part;
  /** The drawing, at a height in pixels; nothing for a part that has none. */
  readonly drawing?: ((heightPx: number) => ReactNode) | undefined;
  readonly phoneHeightPx?: number;
  readonly pad: ReactNode | null;
  /** Which of several drawings is shown. */
  readonly views?: ReactNode;
  /** For what an assembly builds; nothing for a part that is figures alone. */
  readonly built?: Built;
  /** The kind's own lists: figures, shape, what it lies on. */
  readonly children: ReactNode;
  readonly measures?: readonly Measure[];
  readonly measuredOn?: PlanDrawing | undefined;
  readonly overChoices?: ReactNode;
  readonly underChoices?: ReactNode;
};

/** What the screen of every part has, in one order: its drawing and name, what it comes to, its own lists, how it is built, what is put on it. */
export function PartFrame({
  part,
  drawing,
  phoneHeightPx,
  pad,
  views,
  built,
  children,
  measures,
  measuredOn,
  overChoices,
  underChoices,
}: Props) {
  return (
    <PartLayout
      drawing={drawing}
      {...(phoneHeightPx === undefined ? {} : { phoneHeightPx })}
      pad={pad}
      lists={
        <>
          {views}
          <PartName part={part} />
          {built ? (
            <>
              <ConfirmPart partId={part.id} />
              <LiveCount partId={part.id} say={built.say} />
            </>
          ) : null}
          {children}
          {measures ? <MeasureList measures={measures} drawing={measuredOn} /> : null}
          {overChoices}
          {built ? <SlotChoices part={part} onChange={built.onChange} /> : null}
          {underChoices}
          <UsesPanel part={part} />
          <NotesAndPhotos part={part} />
        </>
      }
    />
  );
}
