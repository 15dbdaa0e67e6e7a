import { Pressable, View } from "react-native";
import { Check } from "../icons";
import { useTokens } from "../theme/useTokens";
import { Faint, Strong } from "./Text";

type Props = {
  readonly label: string;
  readonly under?: string;
  readonly checked: boolean;
  readonly onTurn: () => void;
};

/** One of a list that is taken or left. */
export function CheckRow({ label, under, checked, onTurn }: Props) {
  const { colour } = useTokens();
  return (
    <Pressable
      role="checkbox"
      aria-checked={checked}
      aria-label={under ? `${label}, ${under}` : label}
      onPress={onTurn}
      className="min-h-12 flex-row items-center gap-3 border-b border-rule py-1 active:bg-pine-wash"
    >
      <View
        className={`h-6 w-6 items-center justify-center rounded border ${checked ? "border-pine bg-pine" : "border-faint bg-sheet"}`}
      >
        {checked ? <Check size={16} color={colour("pine-ink")} aria-hidden /> : null}
      </View>
      <View className="min-w-0 flex-1">
        <Strong>{label}</Strong>
        {under ? <Faint className="figures">{under}</Faint> : null}
      </View>
    </Pressable>
  );
}
