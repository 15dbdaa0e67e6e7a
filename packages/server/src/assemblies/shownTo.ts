import type { Assembly } from "@wide-porch/core";
import type { Role } from "../companies/entity";
import { isKnown } from "../database/lifted";
import { seesCosts } from "../http/endpoint";

/** An assembly as a person may see it: what it allows for things not chosen yet is a cost, and nothing to those who see none. */
export function shownTo(role: Role, assembly: Assembly): Assembly {
  if (seesCosts(role) || !isKnown({ data: assembly })) return assembly;
  const rules = assembly.rules.map((rule) =>
    rule.supply?.rate === undefined ? rule : { ...rule, supply: { ...rule.supply, rate: "0" } },
  );
  return { ...assembly, rules };
}
