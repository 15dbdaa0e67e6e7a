import Svg, { Line, Rect } from "react-native-svg";
import { useTokens } from "../theme/useTokens";

const WIDE_PX = 120;
const HIGH_PX = 14;

type Props = {
  /** Below or at zero, and above or at zero. */
  readonly less: number;
  readonly more: number;
  /** What fills half of the width. */
  readonly widest: number;
};

/** How far a price can go down and up from where it stands. */
export function RangeBar({ less, more, widest }: Props) {
  const { colour } = useTokens();
  const middle = WIDE_PX / 2;
  const long = (amount: number) => (widest === 0 ? 0 : (Math.min(Math.abs(amount), widest) / widest) * middle);
  const left = less < 0 ? middle - long(less) : middle + long(less);
  const right = middle + long(more);
  return (
    <Svg width={WIDE_PX} height={HIGH_PX} aria-hidden>
      <Line x1={0} y1={HIGH_PX / 2} x2={WIDE_PX} y2={HIGH_PX / 2} stroke={colour("rule")} strokeWidth={1} />
      <Rect x={left} y={3} width={Math.max(1, right - left)} height={HIGH_PX - 6} fill={colour("clay")} />
      <Line x1={middle} y1={0} x2={middle} y2={HIGH_PX} stroke={colour("ink")} strokeWidth={2} />
    </Svg>
  );
}
