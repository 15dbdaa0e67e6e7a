import { useEffect, useSyncExternalStore } from "react";

let open = 0;
const listeners = new Set<() => void>();

function change(by: number): void {
  open += by;
  for (const listener of listeners) listener();
}

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Whether a tape pad is open: on the phone it takes the place of the bottom bar. */
export const useIsPadOpen = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => open > 0,
    () => false,
  );

/** Says so, while the pad that calls it is there. */
export function useSayPadOpen(): void {
  useEffect(() => {
    change(1);
    return () => change(-1);
  }, []);
}
