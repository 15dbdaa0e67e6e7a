import { Pressable, View } from "react-native";
import { Faint, Strong } from "./Text";

type Props = {
  readonly label: string;
  readonly options: readonly string[];
  readonly chosen: readonly string[];
  readonly onToggle: (option: string, chosen: boolean) => void;
};

/** Any of a few, all in sight. */
export function Toggles({ label, options, chosen, onToggle }: Props) {
  return (
    <View role="group" aria-label={label} className="gap-1">
      <Faint>{label}</Faint>
      <View className="flex-row flex-wrap gap-2">
        {options.map((option) => {
          const on = chosen.includes(option);
          return (
            <Pressable
              key={option}
              role="checkbox"
              aria-checked={on}
              aria-label={`${label}: ${option}`}
              onPress={() => onToggle(option, !on)}
              className={`min-h-12 min-w-14 items-center justify-center rounded-md border px-3 py-1 ${on ? "border-pine bg-pine-wash" : "border-rule bg-sheet"}`}
            >
              <Strong className={on ? "" : "font-text"}>{option}</Strong>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
