import { select } from "d3-selection";
import { type D3ZoomEvent, type ZoomBehavior, type ZoomTransform, zoom, zoomIdentity } from "d3-zoom";
import { useCallback, useEffect, useRef, useState } from "react";
import { type View, WHOLE } from "./planFit";

const MOST_TIMES = 20;
const STEP_TIMES = 1.5;

type Options = {
  /** The layer that follows the hand while it moves. */
  readonly layer: { readonly current: HTMLElement | null };
  /** Whether a press begins a pan; not when it takes hold of a room. */
  readonly mayPan: (event: Event) => boolean;
};

/**
 * Moving and magnifying a plan. While the hand moves, the drawn layer is moved as a picture, which costs no drawing; when
 * it rests, `view` changes and the plan is drawn sharp.
 */
export function usePanZoom(canvas: { readonly current: HTMLElement | null }, { layer, mayPan }: Options) {
  const [view, setView] = useState<View>(WHOLE);
  const drawn = useRef<View>(WHOLE);
  const behaviour = useRef<ZoomBehavior<HTMLElement, unknown>>(undefined);
  const may = useRef(mayPan);
  may.current = mayPan;

  useEffect(() => {
    const element = canvas.current;
    if (!element) return undefined;
    const follow = ({ k, x, y }: ZoomTransform) => {
      if (!layer.current) return;
      const from = drawn.current;
      const times = k / from.k;
      layer.current.style.willChange = "transform";
      layer.current.style.transformOrigin = "0 0";
      layer.current.style.transform = `translate(${x - from.x * times}px, ${y - from.y * times}px) scale(${times})`;
    };
    const made = zoom<HTMLElement, unknown>()
      .scaleExtent([1, MOST_TIMES])
      .clickDistance(4)
      .filter((event: Event) => may.current(event) && !(event instanceof MouseEvent && event.button !== 0))
      .on("zoom", (event: D3ZoomEvent<HTMLElement, unknown>) => follow(event.transform))
      .on("end", (event: D3ZoomEvent<HTMLElement, unknown>) => {
        const { k, x, y } = event.transform;
        setView({ k, x, y });
      });
    behaviour.current = made;
    const selection = select(element);
    selection.call(made).on("dblclick.zoom", null);
    return () => {
      selection.on(".zoom", null);
    };
  }, [canvas, layer]);

  /** To be called once the plan is drawn at `view`. */
  const settle = useCallback(() => {
    drawn.current = view;
    if (!layer.current) return;
    layer.current.style.transform = "";
    layer.current.style.willChange = "";
  }, [view, layer]);

  const by = (times: number) => {
    if (canvas.current && behaviour.current) behaviour.current.scaleBy(select(canvas.current), times);
  };
  return {
    view,
    settle,
    closer: () => by(STEP_TIMES),
    further: () => by(1 / STEP_TIMES),
    whole: () => {
      if (canvas.current && behaviour.current) behaviour.current.transform(select(canvas.current), zoomIdentity);
    },
  };
}
