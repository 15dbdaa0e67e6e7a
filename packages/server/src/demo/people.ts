import type { Role } from "../companies/entity";

/** An invented company and its people. */
export const DEMO_COMPANY = { name: "Fernhollow Building", address: "4 Tanner's Rise, Marlcroft (invented)" };

export const DEMO_PASSWORD = "porch-demo-2026";

export const DEMO_PEOPLE: readonly { name: string; email: string; role: Role }[] = [
  { name: "Ros Adeyemi-Lund", email: "ros@fernhollow.example", role: "owner" },
  { name: "Piet Marrow", email: "piet@fernhollow.example", role: "estimator" },
  { name: "Juno Vale", email: "juno@fernhollow.example", role: "crew" },
];
