import { type Pad, padSection, settlePart } from "@wide-porch/core";
import { Choice } from "../../components/Choice";
import { GroundScreen } from "../../ground/GroundScreen";
import { useGroundChange } from "../../ground/useGroundChange";
import { useJob } from "../../job/JobContext";
import { usePartFigures } from "../../measure/usePartFigures";

const FORMS = [
  { value: "pad", label: "Pads" },
  { value: "tube", label: "Tubes" },
] as const;

export default function PadScreen({ part }: { readonly part: Pad }) {
  const figures = usePartFigures(part);
  const { rules } = useJob("rules");
  const { refusal, change } = useGroundChange<Pad>(figures.change);
  return (
    <GroundScreen
      part={part}
      figures={figures}
      section={padSection(settlePart(part, figures.context.system, rules), figures.context)}
      refusal={refusal}
      times={part.count}
      panels={
        <Choice
          label="They are"
          options={FORMS}
          value={part.form}
          onChange={(form) => change((now) => ({ ...now, form }))}
        />
      }
    />
  );
}
