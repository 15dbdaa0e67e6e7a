import {
  type Assembly,
  type AssemblyParameter,
  type AssemblyRef,
  FRAMING_PARAMETERS,
  type FramingParameter,
  type FramingParameters,
  findAssembly,
  framingParametersSchema,
  newestAssemblies,
  type Problem,
  type Scalar,
  settleFraming,
} from "@wide-porch/core";
import { memo, useState } from "react";
import { View } from "react-native";
import { ApplySheet } from "../assembly/ApplySheet";
import { ParameterField } from "../assembly/ParameterField";
import { Button } from "../components/Button";
import { Faint, Strong, Title, Warning } from "../components/Text";
import { useJobActions } from "../job/JobContext";

/** What a drawn wall and walls by totals have alike. */
export type Framed = {
  readonly assembly: AssemblyRef;
  readonly parameters: FramingParameters;
  readonly choices: Readonly<Record<string, Scalar>>;
};

type Props = {
  readonly framed: Framed;
  /** Makes the change; says why it could not be made. */
  readonly onChange: (change: Partial<Framed>) => Problem | undefined;
};

const NAMES = new Set(FRAMING_PARAMETERS.map((each) => each.name));

/** How the assembly words a choice of framing; plainly where it does not have it. */
const parameterFor = (own: FramingParameter, assembly: Assembly, value: Scalar): AssemblyParameter =>
  assembly.parameters.find((each) => each.name === own.name) ?? {
    name: own.name,
    label: own.label,
    kind: own.kind,
    default: value,
  };

/** How the wall is built. A press on the choice that stands confirms it. */
export const WallChoices = memo(function WallChoices({ framed, onChange }: Props) {
  const { context, rules } = useJobActions();
  const [refusal, setRefusal] = useState<string>();
  const [more, setMore] = useState(false);
  const library = { ...rules, sections: context.sections, sheets: {} };
  const assembly = findAssembly(framed.assembly, context.system, library);
  const set = (change: Partial<Framed>) => {
    const problem = onChange(change);
    setRefusal(problem ? `${problem.message} The choice stays as it was.` : undefined);
  };
  if (!assembly) {
    return (
      <View className="gap-3">
        <Title level={2}>How it is built</Title>
        <Warning role="alert">{`The assembly “${framed.assembly.id}” is not there: the wall is not counted.`}</Warning>
        <FramingPicker framed={framed} onChange={set} />
      </View>
    );
  }
  const { parameters } = settleFraming(framed, assembly, rules.standard);
  const choose = ({ key }: FramingParameter, value: Scalar) => {
    const choice = framingParametersSchema.shape[key].safeParse({ value, assumed: false });
    if (!choice.success) {
      setRefusal("This value cannot stand here. The choice stays as it was.");
      return;
    }
    // The value was checked against this choice's own schema.
    set({ parameters: { ...framed.parameters, [key]: choice.data } as FramingParameters });
  };
  const field = (own: FramingParameter) => {
    const now = parameters[own.key];
    return (
      <ParameterField
        key={own.key}
        parameter={parameterFor(own, assembly, now.value)}
        value={now.value}
        // Choices that are not asked follow the house quietly.
        assumed={own.asked && now.assumed}
        system={context.system}
        sections={context.sections}
        onChange={(value) => choose(own, value)}
      />
    );
  };
  return (
    <View className="gap-4">
      <Title level={2}>How it is built</Title>
      {refusal ? <Warning role="alert">{refusal}</Warning> : null}
      <FramingPicker framed={framed} onChange={set} />
      {FRAMING_PARAMETERS.filter((each) => each.asked).map(field)}
      <Button
        label={more ? "Fewer choices" : "More choices"}
        kind="plain"
        onPress={() => setMore(!more)}
        name={more ? "Fewer choices" : "More choices: plates, corners, jambs, blocking, boards, hardware"}
      />
      {more ? (
        <>
          {FRAMING_PARAMETERS.filter((each) => !each.asked).map(field)}
          <OwnParameters assembly={assembly} framed={framed} onChange={set} />
        </>
      ) : null}
    </View>
  );
}, sameChoices);

/** Other figures of the wall are nothing to it. */
function sameChoices(a: Props, b: Props): boolean {
  return (
    a.onChange === b.onChange &&
    a.framed.assembly === b.framed.assembly &&
    a.framed.parameters === b.framed.parameters &&
    a.framed.choices === b.framed.choices
  );
}

/** Parameters of the assembly beyond those of framing. */
type OwnProps = {
  readonly assembly: Assembly;
  readonly framed: Framed;
  readonly onChange: (change: Partial<Framed>) => void;
};

function OwnParameters({ assembly, framed, onChange }: OwnProps) {
  const { context } = useJobActions();
  return assembly.parameters
    .filter((parameter) => !NAMES.has(parameter.name))
    .map((parameter) => (
      <ParameterField
        key={parameter.name}
        parameter={parameter}
        value={framed.choices[parameter.name] ?? parameter.default}
        assumed={false}
        system={context.system}
        sections={context.sections}
        onChange={(value) => onChange({ choices: { ...framed.choices, [parameter.name]: value } })}
      />
    ));
}

/** Which assembly frames it. */
function FramingPicker({ framed, onChange }: { framed: Framed; onChange: (change: Partial<Framed>) => void }) {
  const { rules, context } = useJobActions();
  const [open, setOpen] = useState(false);
  const library = { ...rules, sections: context.sections, sheets: {} };
  const now = findAssembly(framed.assembly, context.system, library);
  const offered = newestAssemblies(context.system, rules.assemblies).filter((each) => each.framing !== undefined);
  return (
    <View className="flex-row items-center justify-between gap-3 border-b border-rule pb-2">
      <View className="min-w-0 flex-1">
        <Strong>{now?.name ?? framed.assembly.id}</Strong>
        <Faint>{`Framed by this assembly, version ${framed.assembly.version}`}</Faint>
      </View>
      <Button label="Change" kind="plain" name="Change the assembly that frames it" onPress={() => setOpen(true)} />
      {open ? (
        <ApplySheet
          title="What frames this wall?"
          assemblies={offered}
          chosenId={framed.assembly.id}
          onChoose={({ id, version }) => {
            setOpen(false);
            onChange({ assembly: { id, version } });
          }}
          onClose={() => setOpen(false)}
        />
      ) : null}
    </View>
  );
}
