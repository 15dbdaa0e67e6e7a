import type { PlanDrawing, PlanShape, Point } from "@wide-porch/core";
import { useLayoutEffect, useMemo, useRef, useState } from "react";
import { View } from "react-native";
import Svg, { Path } from "react-native-svg";
import { IconButton } from "../components/Button";
import { Maximize, Minus, Plus } from "../icons";
import { useTokens } from "../theme/useTokens";
import { PlanInk } from "./PlanInk";
import { boundsOfPlan, fitPlan, type PlanFit, type Px, placeFigure, shapeAt, shapePath } from "./planFit";
import { usePanZoom } from "./usePanZoom";

/** What is shown of a room while it is dragged, and what becomes of it when it is put down. */
export type Drag = { readonly ghost: readonly Point[]; readonly snapped: boolean; readonly drop: () => void };

type Props = {
  readonly drawing: PlanDrawing;
  readonly description: string;
  readonly heightPx: number;
  readonly litIds: ReadonlySet<string>;
  readonly onShape: (id: string) => void;
  /** Takes hold of a shape, moved by so much; undefined for what cannot be moved. `reachNm` is what a thumb can aim at. */
  readonly onDrag: ((shapeId: string, by: Point, reachNm: number) => Drag | undefined) | undefined;
};

const REACH_PX = 26;
const A_MOVE_PX = 4;

type Held = { readonly shapeId: string; readonly from: Px; drag: Drag | undefined };

/** A plan that can be moved, magnified and, room by room, rearranged. */
export function ZoomablePlan({ drawing, description, heightPx, litIds, onShape, onDrag }: Props) {
  const [widthPx, setWidthPx] = useState(0);
  const canvas = useRef<HTMLElement>(null);
  const layer = useRef<HTMLElement>(null);
  const held = useRef<Held>(undefined);
  const fitNow = useRef<PlanFit>(undefined);
  const [drag, setDrag] = useState<Drag>();

  const pxOf = (event: { clientX: number; clientY: number }): Px => {
    const box = canvas.current?.getBoundingClientRect();
    return { x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) };
  };
  const roomAt = (px: Px): PlanShape | undefined =>
    fitNow.current &&
    shapeAt(
      drawing.shapes.filter((shape) => shape.role === "room"),
      fitNow.current,
      px,
    );
  const mayPan = (event: Event): boolean => {
    if (!onDrag || !(event instanceof MouseEvent || (typeof TouchEvent !== "undefined" && event instanceof TouchEvent)))
      return true;
    const at = event instanceof MouseEvent ? event : event.touches[0];
    if (event.type === "wheel" || !at || (!(event instanceof MouseEvent) && event.touches.length > 1)) return true;
    return roomAt(pxOf(at)) === undefined;
  };
  const { view, settle, closer, further, whole } = usePanZoom(canvas, { layer, mayPan });
  const bounds = useMemo(() => boundsOfPlan(drawing), [drawing]);
  const outside = drawing.figures.length > 0;
  const fit = useMemo(
    () => fitPlan(bounds, widthPx, heightPx, outside, view),
    [bounds, widthPx, heightPx, outside, view],
  );
  fitNow.current = fit;
  const placed = useMemo(
    () => drawing.figures.flatMap((figure) => placeFigure(figure, fit) ?? []),
    [drawing.figures, fit],
  );
  // biome-ignore lint/correctness/useExhaustiveDependencies: after each drawing at a new view
  useLayoutEffect(settle, [settle, fit]);

  const release = (event: React.PointerEvent) => {
    const { current } = held;
    held.current = undefined;
    setDrag(undefined);
    if (current?.drag) current.drag.drop();
    else press(event);
  };
  const down = useRef<Px>(undefined);
  const press = (event: React.PointerEvent) => {
    const px = pxOf(event);
    const from = down.current;
    if (!from || Math.hypot(px.x - from.x, px.y - from.y) > A_MOVE_PX) return;
    const found = shapeAt(drawing.shapes, fit, px);
    if (found) onShape(found.id);
  };
  const handlers = {
    onPointerDown: (event: React.PointerEvent) => {
      const px = pxOf(event);
      down.current = px;
      const room = onDrag ? roomAt(px) : undefined;
      if (!room) return;
      held.current = { shapeId: room.id, from: px, drag: undefined };
      canvas.current?.setPointerCapture(event.pointerId);
    },
    onPointerMove: (event: React.PointerEvent) => {
      const { current } = held;
      if (!current || !onDrag) return;
      const px = pxOf(event);
      if (!current.drag && Math.hypot(px.x - current.from.x, px.y - current.from.y) < A_MOVE_PX) return;
      const [a, b] = [fit.back(current.from), fit.back(px)];
      current.drag = onDrag(current.shapeId, { xNm: b.xNm - a.xNm, yNm: b.yNm - a.yNm }, REACH_PX / fit.pxPerNm);
      setDrag(current.drag);
    },
    onPointerUp: release,
    onPointerCancel: () => {
      held.current = undefined;
      setDrag(undefined);
    },
  };
  return (
    <View
      className="w-full"
      style={{ height: heightPx }}
      onLayout={(event) => setWidthPx(event.nativeEvent.layout.width)}
    >
      <div
        ref={canvas as React.RefObject<HTMLDivElement>}
        role="img"
        aria-label={description}
        data-testid="plan-canvas"
        style={{
          width: widthPx,
          height: heightPx,
          overflow: "hidden",
          touchAction: "none",
          userSelect: "none",
          cursor: onDrag ? "grab" : "default",
        }}
        {...handlers}
      >
        <div ref={layer as React.RefObject<HTMLDivElement>} data-testid="plan-layer">
          {widthPx > 0 ? (
            <PlanInk
              drawing={drawing}
              fit={fit}
              widthPx={widthPx}
              heightPx={heightPx}
              placed={placed}
              activePath={undefined}
              litIds={litIds}
            />
          ) : null}
        </div>
        {drag ? <Ghost drag={drag} fit={fit} widthPx={widthPx} heightPx={heightPx} /> : null}
      </div>
      <View className="absolute bottom-1 right-1 flex-row rounded-md bg-paper/80">
        <IconButton name="Closer" icon={Plus} onPress={closer} />
        <IconButton name="Further" icon={Minus} onPress={further} />
        <IconButton name="The whole plan" icon={Maximize} onPress={whole} />
      </View>
    </View>
  );
}

type GhostProps = { readonly drag: Drag; readonly fit: PlanFit; readonly widthPx: number; readonly heightPx: number };

function Ghost({ drag, fit, widthPx, heightPx }: GhostProps) {
  const { colour } = useTokens();
  return (
    <div style={{ position: "absolute", left: 0, top: 0, pointerEvents: "none" }}>
      <Svg width={widthPx} height={heightPx}>
        <Path
          d={shapePath({ points: drag.ghost, closed: true }, fit)}
          fill={colour("pine")}
          fillOpacity={drag.snapped ? 0.3 : 0.12}
          stroke={colour("pine")}
          strokeWidth={drag.snapped ? 3 : 1.5}
          strokeDasharray={drag.snapped ? undefined : "5 4"}
        />
      </Svg>
    </div>
  );
}
