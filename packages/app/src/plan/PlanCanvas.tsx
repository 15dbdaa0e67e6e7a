import type { PlanDrawing } from "@wide-porch/core";
import { useMemo, useRef, useState } from "react";
import { type GestureResponderEvent, Pressable, View, type ViewStyle } from "react-native";
import { PlanInk } from "./PlanInk";
import {
  boundsOfPlan,
  fitPlan,
  type PlacedFigure,
  type View as PlanView,
  type Px,
  placeFigure,
  shapeAt,
  WHOLE,
} from "./planFit";

export type PlanCanvasProps = {
  readonly drawing: PlanDrawing;
  /** The plan in words, for reading out. */
  readonly description: string;
  readonly heightPx: number;
  readonly activePath?: string | undefined;
  readonly litIds?: ReadonlySet<string> | undefined;
  readonly onFigure?: ((path: string) => void) | undefined;
  readonly onShape?: ((id: string, at: Px) => void) | undefined;
  /** Where on the plan was pressed, for what is no shape: a corner. It goes before `onShape`. */
  readonly onPlace?: ((place: { readonly xNm: number; readonly yNm: number }) => void) | undefined;
  /** How far a finger was drawn over the plan, on the plan, and whether it was let go. It goes before presses. */
  readonly onDrag?: ((by: { readonly xNm: number; readonly yNm: number }, done: boolean) => void) | undefined;
  readonly view?: PlanView;
  readonly showFigures?: boolean;
};

/** Of the web, where a drawn finger scrolls the page otherwise: it is no style that other platforms know. */
const UNSCROLLED = { touchAction: "none" } as ViewStyle;

/** A plan in ink on paper. Figures that can be typed are buttons laid over it. */
export function PlanCanvas(props: PlanCanvasProps) {
  const {
    drawing,
    description,
    heightPx,
    view = WHOLE,
    showFigures = true,
    onShape,
    onPlace,
    onFigure,
    onDrag,
  } = props;
  const begun = useRef<Px>({ x: 0, y: 0 });
  const [widthPx, setWidthPx] = useState(0);
  const bounds = useMemo(() => boundsOfPlan(drawing), [drawing]);
  const outside = showFigures && drawing.figures.some((figure) => figure.side === "outside");
  const allRound = outside && drawing.figures.some(({ side, towards }) => side === "outside" && towards.y > 0.5);
  const fit = useMemo(
    () => fitPlan(bounds, widthPx, heightPx, outside, view, allRound),
    [bounds, widthPx, heightPx, outside, view, allRound],
  );
  const placed = useMemo(
    () => (showFigures ? drawing.figures.flatMap((figure) => placeFigure(figure, fit) ?? []) : []),
    [drawing.figures, fit, showFigures],
  );
  const place = ({ nativeEvent }: GestureResponderEvent): Px => ({ x: nativeEvent.pageX, y: nativeEvent.pageY });
  const drawn = (event: GestureResponderEvent, done: boolean) => {
    const [from, to] = [fit.back(begun.current), fit.back(place(event))];
    onDrag?.({ xNm: to.xNm - from.xNm, yNm: to.yNm - from.yNm }, done);
  };
  const drag = onDrag && {
    onStartShouldSetResponder: () => true,
    // A page that scrolls would take the finger away.
    onResponderTerminationRequest: () => false,
    onResponderGrant: (event: GestureResponderEvent) => {
      begun.current = place(event);
    },
    onResponderMove: (event: GestureResponderEvent) => drawn(event, false),
    onResponderRelease: (event: GestureResponderEvent) => drawn(event, true),
  };
  const press = (onShape || onPlace) && {
    onStartShouldSetResponder: () => true,
    onResponderRelease: ({ nativeEvent }: { nativeEvent: { locationX: number; locationY: number } }) => {
      const at = { x: nativeEvent.locationX, y: nativeEvent.locationY };
      if (onPlace) {
        onPlace(fit.back(at));
        return;
      }
      const found = shapeAt(drawing.shapes, fit, at);
      if (found) onShape?.(found.id, at);
    },
  };
  return (
    <View
      style={{ height: heightPx }}
      className="w-full"
      onLayout={(event) => setWidthPx(event.nativeEvent.layout.width)}
    >
      {widthPx > 0 ? (
        <>
          <View
            role="img"
            aria-label={description}
            style={[{ width: widthPx, height: heightPx }, onDrag ? UNSCROLLED : undefined]}
            {...(drag ?? press)}
          >
            <PlanInk
              drawing={drawing}
              fit={fit}
              widthPx={widthPx}
              heightPx={heightPx}
              placed={placed}
              activePath={props.activePath}
              litIds={props.litIds}
            />
          </View>
          {onFigure
            ? placed.map((each) => <FigureButton key={each.figure.id} placed={each} onFigure={onFigure} />)
            : null}
        </>
      ) : null}
    </View>
  );
}

type FigureButtonProps = { readonly placed: PlacedFigure; readonly onFigure: (path: string) => void };

function FigureButton({ placed: { figure, button }, onFigure }: FigureButtonProps) {
  const { path } = figure;
  if (path === undefined) return null;
  return (
    <Pressable
      role="button"
      aria-label={`Change ${figure.name}, ${figure.text.split("  ").at(-1)}`}
      onPress={() => onFigure(path)}
      className="absolute rounded active:bg-pine/10"
      style={button}
    />
  );
}
