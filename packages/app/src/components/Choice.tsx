import { Pressable, View } from "react-native";
import { Faint, Strong } from "./Text";

type Option<T> = { readonly value: T; readonly label: string };

type Props<T> = {
  readonly label: string;
  readonly options: readonly Option<T>[];
  readonly value: T;
  readonly onChange: (value: T) => void;
  /** Nobody has confirmed the value: said in words, and a press on it confirms. */
  readonly assumed?: boolean;
};

/** One of a few, all in sight. */
export function Choice<T extends string | number | boolean>({
  label,
  options,
  value,
  onChange,
  assumed = false,
}: Props<T>) {
  return (
    <View role="radiogroup" aria-label={label} className="gap-1">
      <View className="flex-row items-baseline justify-between">
        <Faint>{label}</Faint>
        {assumed ? <Faint className="text-clay">assumed, press to confirm</Faint> : null}
      </View>
      <View className="flex-row flex-wrap gap-2">
        {options.map((option) => {
          const chosen = option.value === value;
          return (
            <Pressable
              key={String(option.value)}
              role="radio"
              aria-checked={chosen}
              aria-label={`${label}: ${option.label}${chosen && assumed ? ", assumed" : ""}`}
              onPress={() => onChange(option.value)}
              className={`min-h-12 min-w-14 max-w-full items-center justify-center rounded-md border px-3 py-1 ${
                chosen
                  ? assumed
                    ? "border-dashed border-clay bg-clay-wash"
                    : "border-pine bg-pine-wash"
                  : "border-rule bg-sheet"
              }`}
            >
              <Strong className={chosen ? "" : "font-text"}>{option.label}</Strong>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
