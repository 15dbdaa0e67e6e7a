import { isAssumed } from "../../parts/choicesSlot";
import type { Beyond, OpenPoint } from "../../parts/partKind";
import type { AssemblyRef } from "../../parts/use";
import type { StudWall } from "./schema";

/** The assemblies that a company's outside and inside walls are framed by, under whatever version it has. */
export const OUTSIDE_WALL = "outside-wall";
export const INSIDE_WALL = "inside-wall";

/** What is taken for outside or inside, until somebody settles whether it carries load. */
export function besideWhatLies(wall: StudWall, beyond: Beyond): OpenPoint | undefined {
  if (!isAssumed(wall, "bearing")) return undefined;
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

/** With nothing beyond it, the company's outside wall, which carries load unless somebody says otherwise; else the inside wall. */
export function framedOnPlan(
  wall: StudWall,
  beyond: Beyond,
  newest: (assemblyId: string) => AssemblyRef | undefined,
): StudWall {
  const assembly = newest(beyond === "nothing" ? OUTSIDE_WALL : INSIDE_WALL) ?? wall.assembly;
  return { ...wall, assembly };
}
