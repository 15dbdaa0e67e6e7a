import { useState } from "react";
import { Pressable, View } from "react-native";
import { Check, ChevronDown } from "../icons";
import { useTokens } from "../theme/useTokens";
import { Sheet } from "./Sheet";
import { Body, Faint, Strong } from "./Text";

export type PickerOption = { readonly value: string; readonly label: string; readonly under?: string };

type Props = {
  readonly label: string;
  /** Whether its label stands over it, where nothing else says what is chosen. */
  readonly labelled?: boolean;
  readonly options: readonly PickerOption[];
  readonly value: string;
  readonly onChange: (value: string) => void;
};

/** One of many: what is chosen, and on a press all there is to choose from. */
export function Picker({ label, labelled = false, options, value, onChange }: Props) {
  const [open, setOpen] = useState(false);
  const { colour } = useTokens();
  const chosen = options.find((option) => option.value === value)?.label ?? value;
  return (
    <View className="gap-1">
      {labelled ? <Faint>{label}</Faint> : null}
      <Pressable
        role="button"
        aria-label={`${label}: ${chosen}`}
        aria-haspopup="dialog"
        onPress={() => setOpen(true)}
        className="min-h-12 flex-row items-center justify-between gap-2 rounded-md border border-rule bg-sheet px-3 active:bg-pine-wash"
      >
        <Strong className="min-w-0 flex-1">{chosen}</Strong>
        <ChevronDown size={18} color={colour("faint")} aria-hidden />
      </Pressable>
      <Sheet open={open} onClose={() => setOpen(false)} title={label}>
        <View role="radiogroup" aria-label={label}>
          {options.map((option) => (
            <Pressable
              key={option.value}
              role="radio"
              aria-checked={option.value === value}
              onPress={() => {
                setOpen(false);
                onChange(option.value);
              }}
              className="min-h-12 flex-row items-center justify-between gap-2 border-b border-rule py-1 active:bg-pine-wash"
            >
              <View className="min-w-0 flex-1">
                <Body>{option.label}</Body>
                {option.under ? <Faint>{option.under}</Faint> : null}
              </View>
              {option.value === value ? <Check size={18} color={colour("pine")} aria-hidden /> : null}
            </Pressable>
          ))}
        </View>
      </Sheet>
    </View>
  );
}
