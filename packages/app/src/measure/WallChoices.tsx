import { confirmedChoice, formatSpacing, type Problem, SPACINGS_NM, type StudWallParameters } from "@wide-porch/core";
import { memo, useState } from "react";
import { View } from "react-native";
import { Choice } from "../components/Choice";
import { Title, Warning } from "../components/Text";
import { useJobActions } from "../job/JobContext";

const YES_NO = [
  { value: true, label: "Yes" },
  { value: false, label: "No" },
];
const ONE_OR_TWO = [
  { value: 1, label: "1" },
  { value: 2, label: "2" },
];

type Props = {
  readonly parameters: StudWallParameters;
  /** Makes the change; says why it could not be made. */
  readonly onChange: (change: Partial<StudWallParameters>) => Problem | undefined;
};

/** How the wall is built. A press on the choice that stands confirms it. */
export const WallChoices = memo(function WallChoices({ parameters, onChange }: Props) {
  const { context } = useJobActions();
  const [refusal, setRefusal] = useState<string>();
  const studs = Object.values(context.sections).filter((section) => section.stud && section.system === context.system);
  const set = (change: Partial<StudWallParameters>) => {
    const problem = onChange(change);
    setRefusal(problem ? `${problem.message} The choice stays as it was.` : undefined);
  };
  return (
    <View className="gap-4">
      <Title level={2}>How it is built</Title>
      {refusal ? <Warning role="alert">{refusal}</Warning> : null}
      <Choice
        label="Bearing"
        options={YES_NO}
        value={parameters.bearing.value}
        assumed={parameters.bearing.assumed}
        onChange={(value) => set({ bearing: confirmedChoice(value) })}
      />
      <Choice
        label="Stud size"
        options={studs.map((section) => ({ value: section.id, label: section.name }))}
        value={parameters.studSize.value}
        assumed={parameters.studSize.assumed}
        onChange={(value) => set({ studSize: confirmedChoice(value) })}
      />
      <Choice
        label="Stud spacing"
        options={SPACINGS_NM[context.system].map((value) => ({ value, label: formatSpacing(value, context.system) }))}
        value={parameters.spacingNm.value}
        assumed={parameters.spacingNm.assumed}
        onChange={(value) => set({ spacingNm: confirmedChoice(value) })}
      />
      <Choice
        label="Bottom plates"
        options={ONE_OR_TWO}
        value={parameters.bottomPlates.value}
        assumed={parameters.bottomPlates.assumed}
        onChange={(value) => set({ bottomPlates: confirmedChoice(value) })}
      />
      <Choice
        label="Top plates"
        options={ONE_OR_TWO}
        value={parameters.topPlates.value}
        assumed={parameters.topPlates.assumed}
        onChange={(value) => set({ topPlates: confirmedChoice(value) })}
      />
      <Choice
        label="Sheathing outside"
        options={YES_NO}
        value={parameters.sheathed.value}
        assumed={parameters.sheathed.assumed}
        onChange={(value) => set({ sheathed: confirmedChoice(value) })}
      />
    </View>
  );
});
