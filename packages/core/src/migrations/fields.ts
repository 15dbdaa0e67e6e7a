/** Stored values are read as what they should be before any schema has checked them: what is none of it is empty. */
export const recordOf = (value: unknown): Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value) ? { ...value } : {};

export const recordsOf = (value: unknown): Record<string, unknown>[] =>
  Array.isArray(value) ? value.map(recordOf) : [];
