import { kindOf, type Part } from "./registry";

/** Parts under new ids, by the ids they had; what they name of each other goes with them. Other ids stay. */
export function renameParts(parts: readonly Part[], newId: (id: string) => string): Part[] {
  const ids = new Map(parts.map((part) => [part.id, newId(part.id)]));
  const renamed = (id: string): string => ids.get(id) ?? id;
  return parts.map((part): Part => {
    const moved = kindOf(part).withReferences?.(part, renamed) ?? part;
    return { ...moved, id: renamed(part.id) };
  });
}
