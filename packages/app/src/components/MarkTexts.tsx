import type { DrawnRectangle } from "@wide-porch/core";
import { memo } from "react";
import { G, Text as SvgText } from "react-native-svg";
import { useTokens } from "../theme/useTokens";
import type { Fit } from "./drawingFit";

type Props = {
  readonly rectangles: readonly DrawnRectangle[];
  /** What is chalked on each piece, by its id. */
  readonly marks: ReadonlyMap<string, string>;
  readonly fit: Fit;
};

const SIZE_PX = 9;

/** The cut list's marks on the sticks of an elevation: along each stick, in the middle of it. */
export const MarkTexts = memo(function MarkTexts({ rectangles, marks, fit }: Props) {
  const { colour } = useTokens();
  return (
    <G>
      {rectangles.map((shape) => {
        const mark = marks.get(shape.id);
        if (mark === undefined) return null;
        const x = fit.x(shape.xNm + shape.widthNm / 2);
        const y = fit.y(shape.yNm + shape.heightNm / 2);
        const upright = shape.heightNm > shape.widthNm;
        return (
          <SvgText
            key={shape.id}
            x={x}
            y={y + SIZE_PX / 3}
            fontSize={SIZE_PX}
            fontFamily="Atkinson-SemiBold"
            textAnchor="middle"
            fill="#1d1b16"
            stroke={colour("sheet")}
            strokeWidth={0.2}
            transform={upright ? `rotate(-90 ${x} ${y})` : undefined}
          >
            {mark}
          </SvgText>
        );
      })}
    </G>
  );
});
