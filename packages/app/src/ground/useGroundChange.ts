import type { GroundPart, Part } from "@wide-porch/core";
import { useCallback, useState } from "react";
import type { usePartFigures } from "../measure/usePartFigures";

type Change = ReturnType<typeof usePartFigures<Part>>["change"];

/** Changes of the part that a screen shows: says whether one was taken, and keeps why the last was not. */
export function useGroundChange<P extends GroundPart>(change: Change) {
  const [refusal, setRefusal] = useState<string>();
  const changeIt = useCallback(
    (choose: (now: P) => P): boolean => {
      // It is the part that the screen was given, whose kind never changes.
      const problem = change((now) => choose(now as P));
      setRefusal(problem ? `${problem.message} It stays as it was.` : undefined);
      return problem === undefined;
    },
    [change],
  );
  return { refusal, change: changeIt };
}
