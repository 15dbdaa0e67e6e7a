import { useSyncExternalStore } from "react";

let folded = false;
const listeners = new Set<() => void>();

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
const read = (): boolean => folded;

function set(next: boolean): void {
  folded = next;
  for (const listener of listeners) listener();
}

/** Whether the tape pad's keys are folded away, from figure to figure: with a keyboard or a meter they are not needed. */
export const useKeysFolded = (): readonly [boolean, (next: boolean) => void] => [
  useSyncExternalStore(subscribe, read, read),
  set,
];
