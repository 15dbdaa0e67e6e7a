import { randomUUID } from "node:crypto";
import { newJobSchema, plainProfile } from "@wide-porch/core";
import { starterCompanySettings, starterPriceList } from "@wide-porch/library";
import type { EntityManager } from "typeorm";
import { z } from "zod";
import { insertStarters } from "../assemblies/store";
import { companyEntity, type UserRow, userEntity } from "../companies/entity";
import { priceItemEntity } from "../priceList/entity";
import { newEmailSchema } from "./address";

/** A line: it stands in the subjects of letters too. */
const line = (): z.ZodString =>
  z
    .string()
    .trim()
    .regex(/^\P{Cc}*$/u, "This has a character in it that no name has.");

/** Somebody's name, as the others of the company read it. */
export const personNameSchema = line().min(1, "A name is needed.").max(160);
export const passwordFieldSchema = z.string().max(1000);
export const companyNameSchema = line().min(1, "The company needs a name.").max(160);

export const newCompanySchema = z
  .object({
    companyName: companyNameSchema,
    name: personNameSchema,
    email: newEmailSchema,
    password: passwordFieldSchema,
    system: newJobSchema.shape.system,
    currency: newJobSchema.shape.currency,
    timeZone: z.string().max(60).default("UTC"),
  })
  .meta({ id: "NewCompany" });
export type NewCompany = z.infer<typeof newCompanySchema>;

/** A company with its first owner, and all that a new one starts with. Runs inside the caller's transaction. */
export async function insertCompany(
  manager: EntityManager,
  wanted: Omit<NewCompany, "password">,
  passwordHash: string,
  { addressConfirmed }: Pick<UserRow, "addressConfirmed">,
): Promise<UserRow> {
  const companyId = randomUUID();
  const { system, currency, timeZone } = wanted;
  const settings = { ...starterCompanySettings, profile: { ...plainProfile, system, currency, timeZone } };
  await manager.getRepository(companyEntity).insert({ id: companyId, name: wanted.companyName, settings, demo: false });
  const { name, email } = wanted;
  const id = randomUUID();
  const owner: UserRow = { id, companyId, email, name, role: "owner", passwordHash, leftAt: null, addressConfirmed };
  await manager.getRepository(userEntity).insert(owner);
  const items = starterPriceList.map((item) => ({ companyId, code: item.code, revision: 1, data: item }));
  await manager.getRepository(priceItemEntity).insert(items);
  await insertStarters(manager, companyId);
  return owner;
}
