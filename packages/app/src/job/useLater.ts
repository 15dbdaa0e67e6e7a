import { startTransition, useEffect, useState } from "react";

/** Long enough for a frame to be painted on a slow phone. */
export const AFTER_PAINT_MS = 40;

/**
 * A value as it was until what was just entered is on screen: what follows from an entry is drawn after the entry itself.
 * `undefined` is not waited on: the first real value shows at once.
 */
export function useLater<T>(value: T): T {
  const [shown, show] = useState(value);
  useEffect(() => {
    if (Object.is(shown, value)) return undefined;
    const timer = setTimeout(() => startTransition(() => show(() => value)), AFTER_PAINT_MS);
    return () => clearTimeout(timer);
  }, [value, shown]);
  return shown === undefined ? value : shown;
}
