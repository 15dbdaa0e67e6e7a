import { percentile } from "./timing.mjs";

/** Runs in the page: the time between painted frames, until told to stop. */
export const watchFrames = () => {
  window.frames_ = [];
  let last = performance.now();
  const frame = (now) => {
    if (!window.frames_) return;
    window.frames_.push(now - last);
    last = now;
    requestAnimationFrame(frame);
  };
  requestAnimationFrame(frame);
};

/** Runs in the page: the times since, the first of them left out. */
export const takeFrames = () => {
  const frames = window.frames_.slice(2);
  window.frames_ = undefined;
  return frames;
};

export function reportFrames(name, frames, aim) {
  const whole = frames.reduce((sum, each) => sum + each, 0);
  const perSecond = (1000 * frames.length) / whole;
  console.log(
    `${name.padEnd(52)} ${perSecond.toFixed(1)} frames a second  p95 ${percentile(frames, 0.95).toFixed(1)} ms a frame  (aim: ${aim} or more)`,
  );
}
