import { View } from "react-native";
import Svg, { Rect } from "react-native-svg";
import { Faint } from "../components/Text";
import { useTokens } from "../theme/useTokens";

const WIDE_PX = 64;
const HIGH_PX = 8;

/** A share of the whole as a bar and in words. */
export function Portion({ share }: { readonly share: number }) {
  const { colour } = useTokens();
  const long = Math.max(0, Math.min(1, share)) * WIDE_PX;
  return (
    <View className="h-full flex-row items-center justify-end gap-2">
      <Svg width={WIDE_PX} height={HIGH_PX} aria-hidden>
        <Rect x={0} y={0} width={WIDE_PX} height={HIGH_PX} fill={colour("rule")} opacity={0.5} />
        <Rect x={0} y={0} width={long} height={HIGH_PX} fill={colour("pine")} />
      </Svg>
      <Faint className="figures w-14 text-right">{`${(share * 100).toFixed(1)} %`}</Faint>
    </View>
  );
}
