import { formatFigure, parsePitch, type Roof, roofKind } from "@wide-porch/core";
import { useMemo, useState } from "react";
import { View } from "react-native";
import { ChangePreview } from "../../assembly/ChangePreview";
import { Button } from "../../components/Button";
import { Sheet } from "../../components/Sheet";
import { useJob } from "../../job/JobContext";
import { FigureField } from "../../measure/FigureField";
import type { PanelProps } from "./panelProps";

type Props = Pick<PanelProps, "roof" | "onChange">;

/** Another pitch on trial: every quantity that it would change beside what it is, before it is taken. */
export function TryPitch({ roof, onChange }: Props) {
  const { context, record, rules, parts } = useJob("context", "record", "rules", "parts");
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState("");
  const { system } = context;
  const read = parsePitch(typed, system);
  const value = read.ok ? read.value : undefined;
  const tried = useMemo(
    (): Roof => (value === undefined ? roof : (roofKind.withFigure?.(roof, "pitch", value, typed) ?? roof)),
    [roof, value, typed],
  );
  // Of the whole job: a roof that meets others changes them too.
  const before = useMemo(() => ({ parts, rules }), [parts, rules]);
  const after = useMemo(
    () => ({ parts: parts.map((part) => (part.id === tried.id ? tried : part)), rules }),
    [parts, tried, rules],
  );
  const check = (text: string): string | undefined => {
    const parsed = parsePitch(text, system);
    if (!parsed.ok) return parsed.problem.message;
    const would = roofKind.withFigure?.(roof, "pitch", parsed.value, text) ?? roof;
    return roofKind.problems(would, context)[0]?.message;
  };
  const now = roof.pitch.value === null ? "" : formatFigure("pitch", roof.pitch.value, system);
  return (
    <View className="flex-row flex-wrap gap-2">
      <Button label="Try another pitch" kind="plain" onPress={() => setOpen(true)} />
      <Sheet open={open} onClose={() => setOpen(false)} title={`On trial, now ${now}`}>
        <FigureField
          measure="pitch"
          system={system}
          label="Pitch on trial"
          value={typed}
          check={check}
          onCommit={setTyped}
        />
        {value === undefined || tried === roof ? null : (
          <>
            <ChangePreview job={record.job} before={before} after={after} />
            <Button
              label={`Take ${formatFigure("pitch", value, system)}`}
              onPress={() => {
                if (onChange((each) => roofKind.withFigure?.(each, "pitch", value, typed) ?? each)) setOpen(false);
              }}
            />
          </>
        )}
      </Sheet>
    </View>
  );
}
