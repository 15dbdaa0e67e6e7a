import type { Part } from "@wide-porch/core";
import { useCallback, useState } from "react";
import type { usePartFigures } from "../measure/usePartFigures";

type Change = ReturnType<typeof usePartFigures<Part>>["change"];

/** Changes of a part of one kind: says whether one was taken, and keeps why the last was not. */
export function useGroundChange<P extends Part>(kind: P["kind"], change: Change) {
  const [refusal, setRefusal] = useState<string>();
  const changeIt = useCallback(
    (choose: (now: P) => P): boolean => {
      // A part's kind never changes: what has this one's name is of its type.
      const problem = change((now) => (now.kind === kind ? choose(now as P) : now));
      setRefusal(problem ? `${problem.message} It stays as it was.` : undefined);
      return problem === undefined;
    },
    [change, kind],
  );
  return { refusal, change: changeIt };
}
