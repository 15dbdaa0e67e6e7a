export const SYSTEMS = [
  { value: "imperial", label: "Feet and inches" },
  { value: "metric", label: "Metric" },
] as const;
