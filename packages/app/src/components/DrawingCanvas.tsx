import type { Drawing, DrawnDimension, DrawnRectangle } from "@wide-porch/core";
import { memo, useMemo, useState } from "react";
import { Pressable, View } from "react-native";
import Svg, { G, Line, Rect, Text as SvgText } from "react-native-svg";
import { TIMBER } from "../theme/tokens";
import { useTokens } from "../theme/useTokens";
import { extentOf, type Fit, fitDrawing, neededHeightPx, type PlacedDimension, placeDimension } from "./drawingFit";

type Props = {
  readonly drawing: Drawing;
  /** What is drawn, in words. The figures themselves are in the list beside it. */
  readonly description: string;
  /** The most it may take; a low wall takes less. */
  readonly heightPx: number;
  readonly litIds?: ReadonlySet<string> | undefined;
  readonly activePath?: string | undefined;
  readonly onDimension?: ((path: string) => void) | undefined;
  readonly onPiece?: ((id: string) => void) | undefined;
  readonly showDimensions?: boolean;
};

/** Draws the drawing model in ink on paper. Figures that can be typed are buttons laid over it. */
export function DrawingCanvas(props: Props) {
  const { drawing, description, showDimensions = true } = props;
  const [widthPx, setWidthPx] = useState(0);
  const { widthNm, heightNm, rows } = extentOf(drawing, showDimensions);
  const needed = neededHeightPx({ widthNm, heightNm, rows }, widthPx);
  const heightPx = widthPx > 0 ? Math.min(props.heightPx, needed) : props.heightPx;
  // By its figures, not by the drawing, which comes anew at each change: shapes that stay are not drawn again.
  const fit = useMemo(
    () => fitDrawing({ widthNm, heightNm, rows }, widthPx, heightPx),
    [widthNm, heightNm, rows, widthPx, heightPx],
  );
  const activeOpening = props.activePath?.startsWith("openings.") ? props.activePath.split(".")[1] : undefined;
  const placed = showDimensions ? drawing.dimensions.map((dimension) => placeDimension(dimension, fit)) : [];
  return (
    <View
      style={{ height: heightPx }}
      className="w-full"
      onLayout={(event) => setWidthPx(event.nativeEvent.layout.width)}
    >
      {widthPx > 0 ? (
        <>
          <View role="img" aria-label={description}>
            <Svg width={widthPx} height={heightPx}>
              <Shapes
                rectangles={drawing.rectangles}
                fit={fit}
                litIds={props.litIds}
                activeOpening={activeOpening}
                onPiece={props.onPiece}
              />
              {placed.map((each) => (
                <DimensionLine
                  key={each.dimension.id}
                  placed={each}
                  active={isActive(each.dimension, props.activePath)}
                />
              ))}
            </Svg>
          </View>
          {placed.map((each) => (
            <FigureButton key={each.dimension.id} placed={each} onDimension={props.onDimension} />
          ))}
        </>
      ) : null}
    </View>
  );
}

const isActive = (dimension: DrawnDimension, path: string | undefined): boolean =>
  path !== undefined && dimension.path === path;

type ShapesProps = Pick<Props, "litIds" | "onPiece"> & {
  readonly rectangles: readonly DrawnRectangle[];
  readonly fit: Fit;
  readonly activeOpening: string | undefined;
};

/** The many shapes of a wall, drawn anew only when one of them has changed. */
const Shapes = memo(function Shapes({ rectangles, fit, litIds, onPiece, activeOpening }: ShapesProps) {
  const { colour } = useTokens();
  const fillOf = (shape: DrawnRectangle): string => {
    if (litIds?.has(shape.id)) return colour("pine");
    if (shape.role === "outline") return colour("sheet");
    if (shape.role === "opening") return shape.id === activeOpening ? colour("pine-wash") : colour("paper");
    return TIMBER[shape.role];
  };
  const strokeOf = (shape: DrawnRectangle): string => {
    if (litIds?.has(shape.id)) return colour("pine");
    return shape.role === "outline" || shape.role === "opening" ? colour("ink") : TIMBER.edge;
  };
  const ordered = [...rectangles].sort(
    (a, b) => rank(a) - rank(b) || Number(litIds?.has(a.id)) - Number(litIds?.has(b.id)),
  );
  const dimmed = litIds !== undefined && litIds.size > 0;
  return (
    <G>
      {ordered.map((shape) => (
        <Rect
          key={`${shape.role}-${shape.id}`}
          x={fit.x(shape.xNm)}
          y={fit.y(shape.yNm + shape.heightNm)}
          width={Math.max(0.5, shape.widthNm * fit.pxPerNm)}
          height={Math.max(0.5, shape.heightNm * fit.pxPerNm)}
          fill={fillOf(shape)}
          stroke={strokeOf(shape)}
          strokeWidth={litIds?.has(shape.id) ? 1.4 : shape.role === "outline" || shape.role === "opening" ? 1.2 : 0.6}
          strokeDasharray={shape.role === "opening" ? "5 3" : undefined}
          opacity={dimmed && !litIds.has(shape.id) && rank(shape) === 2 ? 0.45 : 1}
          {...(onPiece && rank(shape) > 0 ? { onPress: () => onPiece(shape.id) } : {})}
        />
      ))}
    </G>
  );
});

/** Outline at the back, sheets on it, openings cut through the sheets, timber in front. */
function rank(shape: DrawnRectangle): number {
  if (shape.role === "outline") return 0;
  if (shape.role === "sheet") return 1;
  return shape.role === "opening" ? 1.5 : 2;
}

function DimensionLine({ placed, active }: { placed: PlacedDimension; active: boolean }) {
  const { colour } = useTokens();
  const ink = active ? colour("pine") : colour("faint");
  const { line, text, dimension } = placed;
  const width = active ? 2 : 1;
  return (
    <G>
      <Line x1={line.x1} y1={line.y1} x2={line.x2} y2={line.y2} stroke={ink} strokeWidth={width} />
      {placed.ticks.map((tick) => (
        <Line key={`${tick.x1},${tick.y1}`} {...tick} stroke={ink} strokeWidth={1.6} />
      ))}
      {placed.fits && !(dimension.path && placed.button) ? (
        <SvgText
          x={text.x}
          y={text.y}
          fontSize={placed.fontSizePx}
          fill={colour("faint")}
          fontFamily="Atkinson-Regular"
          textAnchor="middle"
        >
          {dimension.text}
        </SvgText>
      ) : null}
      {placed.fits && dimension.path && placed.button ? (
        <SvgText
          x={text.x}
          y={text.y}
          fontSize={placed.fontSizePx}
          fill={active ? colour("pine") : colour("ink")}
          fontFamily="Atkinson-SemiBold"
          textAnchor="middle"
        >
          {dimension.text}
        </SvgText>
      ) : null}
    </G>
  );
}

function FigureButton({ placed, onDimension }: { placed: PlacedDimension; onDimension: Props["onDimension"] }) {
  const { dimension, button } = placed;
  const { path } = dimension;
  if (!onDimension || path === undefined || !button || !placed.fits) return null;
  return (
    <Pressable
      role="button"
      aria-label={`Change ${placed.name}, ${dimension.text}`}
      onPress={() => onDimension(path)}
      className="absolute border-b-2 border-dotted border-pine active:bg-pine/10"
      style={{ left: button.left, top: button.top, width: button.width, height: button.height }}
    />
  );
}
