import type { Session } from "../api/records";

export type Role = Session["user"]["role"];

export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  owner: "owner",
  estimator: "estimator",
  crew: "crew, sees no costs",
};

export const ROLES: readonly { readonly value: Role; readonly label: string }[] = [
  { value: "owner", label: "Owner" },
  { value: "estimator", label: "Estimator" },
  { value: "crew", label: "Crew, sees no costs" },
];
