import { type Bar, formatLength, type MeasuringSystem } from "@wide-porch/core";
import { View } from "react-native";
import { Body, Faint, Figure } from "../../components/Text";

type Props = {
  readonly bar: Bar;
  readonly count: number;
  readonly marks: ReadonlyMap<string, string>;
  readonly kerfNm: number;
  readonly longestNm: number;
  readonly system: MeasuringSystem;
};

/** One way a bar is cut: its pieces to scale with their marks, and what is left. */
export function BarPicture({ bar, count, marks, kerfNm, longestNm, system }: Props) {
  const usedNm = bar.pieces.reduce((sum, piece) => sum + piece.lengthNm + kerfNm, -kerfNm);
  const leftNm = Math.max(0, bar.stockNm - usedNm);
  const share = (nm: number): `${number}%` => `${(100 * nm) / longestNm}%`;
  const named = bar.pieces.map((piece) => `${marks.get(piece.id) ?? "spare"} ${formatLength(piece.lengthNm, system)}`);
  const stock = formatLength(bar.stockNm, system);
  const left = formatLength(leftNm, system);
  return (
    <View
      role="listitem"
      aria-label={`${count} × ${stock}${bar.fromYard ? " from the yard" : ""}: ${named.join(", ")}; ${left} left`}
      className="gap-1 border-b border-rule py-2"
    >
      <View className="flex-row items-baseline justify-between" aria-hidden>
        <Figure className="text-base">{`${count} × ${stock}`}</Figure>
        <Faint>{bar.fromYard ? `from the yard, ${left} left` : `${left} left`}</Faint>
      </View>
      <View
        className="h-7 flex-row rounded-sm border border-faint bg-sheet"
        style={{ width: share(bar.stockNm) }}
        aria-hidden
      >
        {bar.pieces.map((piece) => (
          <View
            key={piece.id}
            className="items-center justify-center overflow-hidden border-r border-ink"
            style={{ width: `${(100 * piece.lengthNm) / bar.stockNm}%`, backgroundColor: "#e6c894" }}
          >
            <Body numberOfLines={1} className="text-xs leading-4" style={{ color: "#1d1b16" }}>
              {marks.get(piece.id) ?? "spare"}
            </Body>
          </View>
        ))}
      </View>
      <Faint className="figures" aria-hidden>
        {named.join("  ·  ")}
      </Faint>
    </View>
  );
}
