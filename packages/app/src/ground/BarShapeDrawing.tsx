import type { ScheduledBar } from "@wide-porch/core";
import { View } from "react-native";
import Svg, { Path } from "react-native-svg";
import { useTokens } from "../theme/useTokens";

const [WIDE, HIGH, EDGE] = [56, 36, 5];

/** A bar as it is bent, its legs in proportion: straight, one bend, or a closed link with its hooks. */
function shapePath({ shape, legsNm }: Pick<ScheduledBar, "shape" | "legsNm">): string {
  const [a = 1, b = 1] = legsNm;
  const [left, right, top, bottom] = [EDGE, WIDE - EDGE, EDGE, HIGH - EDGE];
  if (shape === "00") return `M ${left} ${HIGH / 2} H ${right}`;
  if (shape === "11") return `M ${left + 8} ${top} V ${bottom} H ${right - 12}`;
  const scale = Math.min((WIDE - 2 * EDGE) / a, (HIGH - 2 * EDGE) / b);
  const [w, h] = [Math.max(8, a * scale), Math.max(8, b * scale)];
  const [x, y] = [(WIDE - w) / 2, (HIGH - h) / 2];
  const hook = Math.min(w, h) / 3;
  const ring = `M ${x} ${y} H ${x + w} V ${y + h} H ${x} Z`;
  return `${ring} M ${x} ${y} l ${hook} ${hook} M ${x + 3} ${y - 0.5} l ${hook} ${hook}`;
}

export function BarShapeDrawing({ bar }: { readonly bar: ScheduledBar }) {
  const { colour } = useTokens();
  const words = {
    "00": "straight",
    "11": "one bend",
    "51": "closed link, shape 51",
    link: "closed link with two hooks",
  };
  return (
    <View role="img" aria-label={`Bar ${bar.mark}: ${words[bar.shape]}`}>
      <Svg width={WIDE} height={HIGH}>
        <Path d={shapePath(bar)} stroke={colour("ink")} strokeWidth={1.6} fill="none" />
      </Svg>
    </View>
  );
}
