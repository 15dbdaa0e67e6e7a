import { plural, roleOf, singular } from "@wide-porch/core";

/** What so many pieces of a role are called: `1 ridge`, `2 ridges`. */
export function roleWords(role: string, count: number): string {
  const words = roleOf(role)?.words ?? role;
  return plural(count, singular(words), words);
}
