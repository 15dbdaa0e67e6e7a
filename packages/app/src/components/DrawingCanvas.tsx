import type { DrawnDimension, DrawnRectangle, ElevationDrawing } from "@wide-porch/core";
import { memo, useMemo, useState } from "react";
import { type GestureResponderEvent, Pressable, View } from "react-native";
import Svg, { G, Path, Text as SvgText } from "react-native-svg";
import { TONES, toneOf } from "../theme/tokens";
import { useTokens } from "../theme/useTokens";
import { extentOf, type Fit, fitDrawing, neededHeightPx, type PlacedDimension, placeDimension } from "./drawingFit";
import { groupAlike, isCourseRole, isSheetRole, rectangleAt, rectanglePath } from "./drawingShapes";
import { MarkTexts } from "./MarkTexts";

type Props = {
  readonly drawing: ElevationDrawing;
  /** What is drawn, in words. The figures themselves are in the list beside it. */
  readonly description: string;
  /** The most it may take; a low wall takes less. */
  readonly heightPx: number;
  readonly litIds?: ReadonlySet<string> | undefined;
  readonly activePath?: string | undefined;
  readonly onDimension?: ((path: string) => void) | undefined;
  readonly onPiece?: ((id: string) => void) | undefined;
  readonly showDimensions?: boolean;
  /** What is chalked on each piece, by its id. */
  readonly marks?: ReadonlyMap<string, string> | undefined;
};

/** Draws the drawing model in ink on paper. Figures that can be typed are buttons laid over it. */
export const DrawingCanvas = memo(function DrawingCanvas(props: Props) {
  const { drawing, description, showDimensions = true } = props;
  const [widthPx, setWidthPx] = useState(0);
  const { widthNm, heightNm, rows, columns, onRight } = extentOf(drawing, showDimensions);
  const needed = neededHeightPx({ widthNm, heightNm, rows, columns, onRight }, widthPx);
  const heightPx = widthPx > 0 ? Math.min(props.heightPx, needed) : props.heightPx;
  // By its figures, not by the drawing, which comes anew at each change: shapes that stay are not drawn again.
  const fit = useMemo(
    () => fitDrawing({ widthNm, heightNm, rows, columns, onRight }, widthPx, heightPx),
    [widthNm, heightNm, rows, columns, onRight, widthPx, heightPx],
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
          <View role="img" aria-label={description} {...pressOn(drawing, fit, props.onPiece)}>
            <Svg width={widthPx} height={heightPx}>
              <Shapes rectangles={drawing.rectangles} fit={fit} litIds={props.litIds} activeOpening={activeOpening} />
              {props.marks ? <MarkTexts rectangles={drawing.rectangles} marks={props.marks} fit={fit} /> : null}
              <DimensionLines placed={placed} activePath={props.activePath} />
              {placed.map((each) => (
                <DimensionText
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
});

const isActive = (dimension: DrawnDimension, path: string | undefined): boolean =>
  path !== undefined && dimension.path === path;

type ShapesProps = Pick<Props, "litIds"> & {
  readonly rectangles: readonly DrawnRectangle[];
  readonly fit: Fit;
  readonly activeOpening: string | undefined;
};

/** Shapes that look alike, as one path: a wall has many sticks, and each path costs a frame's time. */
const Shapes = memo(function Shapes({ rectangles, fit, litIds, activeOpening }: ShapesProps) {
  const { colour } = useTokens();
  const dimmed = litIds !== undefined && litIds.size > 0;
  return (
    <G>
      {groupAlike(rectangles, litIds, activeOpening).map(({ key, role, tone, lit, active, members }) => {
        const framed = role === "outline" || role === "opening";
        const fills = { outline: colour("sheet"), opening: colour(active ? "pine-wash" : "paper") };
        const fill = role === "outline" || role === "opening" ? fills[role] : toneOf(role, tone);
        return (
          <Path
            key={key}
            d={members.map((shape) => rectanglePath(shape, fit)).join("")}
            fill={lit ? colour("pine") : fill}
            stroke={isCourseRole(role) ? "none" : lit ? colour("pine") : framed ? colour("ink") : TONES.edge}
            strokeWidth={lit ? 1.4 : framed ? 1.2 : 0.6}
            strokeDasharray={role === "opening" ? "5 3" : undefined}
            opacity={dimmed && !lit && !framed && !isSheetRole(role) ? 0.45 : 1}
          />
        );
      })}
    </G>
  );
});

/** A press on a stick says which; the sticks themselves are no buttons, the count's rows are. */
function pressOn(drawing: ElevationDrawing, fit: Fit, onPiece: Props["onPiece"]) {
  if (!onPiece) return {};
  return {
    onStartShouldSetResponder: () => true,
    onResponderRelease: ({ nativeEvent }: GestureResponderEvent) => {
      const found = rectangleAt(drawing.rectangles, fit, nativeEvent.locationX, nativeEvent.locationY);
      if (found) onPiece(found.id);
    },
  };
}

const strokeOf = ({ x1, y1, x2, y2 }: PlacedDimension["line"]): string => `M${x1} ${y1}L${x2} ${y2}`;

type LinesProps = { readonly placed: readonly PlacedDimension[]; readonly activePath: string | undefined };

/** All dimension lines in one path and their ticks in another: each shape of its own costs a part of a frame. */
function DimensionLines({ placed, activePath }: LinesProps) {
  const { colour } = useTokens();
  const [active, still] = [true, false].map((wanted) =>
    placed.filter((each) => isActive(each.dimension, activePath) === wanted),
  );
  const linesOf = (some: readonly PlacedDimension[] = []) => some.map((each) => strokeOf(each.line)).join("");
  const ticksOf = (some: readonly PlacedDimension[] = []) => some.flatMap((each) => each.ticks.map(strokeOf)).join("");
  return (
    <G>
      <Path d={linesOf(still)} stroke={colour("faint")} strokeWidth={1} />
      <Path d={ticksOf(still)} stroke={colour("faint")} strokeWidth={1.6} />
      <Path d={linesOf(active)} stroke={colour("pine")} strokeWidth={2} />
      <Path d={ticksOf(active)} stroke={colour("pine")} strokeWidth={1.6} />
    </G>
  );
}

function DimensionText({ placed, active }: { placed: PlacedDimension; active: boolean }) {
  const { colour } = useTokens();
  const { text, dimension, button } = placed;
  if (!placed.fits) return null;
  const typed = dimension.path !== undefined && button !== undefined;
  const ink = active ? "pine" : "ink";
  return (
    <SvgText
      x={text.x}
      y={text.y}
      fontSize={placed.fontSizePx}
      fill={colour(typed ? ink : "faint")}
      fontFamily={typed ? "Atkinson-SemiBold" : "Atkinson-Regular"}
      textAnchor="middle"
    >
      {dimension.text}
    </SvgText>
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
