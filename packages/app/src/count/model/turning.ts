/** Two frames in a row slower than this and a device is drawing more than it can: 30 a second are aimed for. */
const SLOW_MS = 40;
const SLOW_FRAMES = 2;

type Clock = {
  readonly frame: (draw: (nowMs: number) => void) => number;
  readonly cancel: (handle: number) => void;
};

const ofWindow: Clock = {
  frame: (draw) => requestAnimationFrame(draw),
  cancel: (handle) => cancelAnimationFrame(handle),
};

/**
 * What moves is drawn once a frame, however often it is told to have moved. Where frames come too slowly it is drawn coarsely until it
 * is still again.
 */
export function turningWith(draw: () => void, coarsely: (coarse: boolean) => void, clock: Clock = ofWindow) {
  let asked: number | undefined;
  let lastMs: number | undefined;
  let slow = 0;
  const drawn = (nowMs: number) => {
    asked = undefined;
    if (lastMs !== undefined) slow = nowMs - lastMs > SLOW_MS ? slow + 1 : 0;
    lastMs = nowMs;
    if (slow === SLOW_FRAMES) coarsely(true);
    draw();
  };
  return {
    moved: () => {
      asked ??= clock.frame(drawn);
    },
    still: () => {
      if (asked !== undefined) clock.cancel(asked);
      [asked, lastMs, slow] = [undefined, undefined, 0];
      coarsely(false);
      draw();
    },
  };
}
