import type { Beyond, OpenPoint } from "../../parts/partKind";
import type { StudWall } from "./schema";

/** The assemblies that a company's outside and inside walls are framed by, under whatever version it has. */
export const OUTSIDE_WALL = "outside-wall";
export const INSIDE_WALL = "inside-wall";

/** What is taken for outside or inside, until somebody settles whether it carries load. */
export function besideWhatLies(wall: StudWall, beyond: Beyond): OpenPoint | undefined {
  if (!wall.parameters.bearing.assumed) return undefined;
  if (beyond === "nothing" && wall.assembly.id !== OUTSIDE_WALL) {
    const message = "Nothing lies beyond it on the plan, and it is not built as an outside wall";
    return { path: "assembly", kind: "conflict", message };
  }
  if (beyond === "part") {
    const message = "Part of it has nothing beyond it on the plan: check what it is built as";
    return { path: "assembly", kind: "assumed", message };
  }
  if (beyond !== "nothing") return undefined;
  const message = "Taken for an outside wall: nothing lies beyond it on the plan";
  return { path: "assembly", kind: "assumed", message };
}
