import { randomUUID } from "node:crypto";
import { companyProfileSchema } from "@wide-porch/core";
import sharp from "sharp";
import type { DataSource } from "typeorm";
import { z } from "zod";
import { companyNameSchema } from "../accounts/newCompany";
import { inTransaction } from "../database/dataSource";
import { type Endpoint, endpoint } from "../http/endpoint";
import { notFound } from "../http/problemDetails";
import { Reply } from "../http/reply";
import { MOST_PIXELS, notAPicture, readPicture } from "../photos/store";
import { companyEntity, companyOf, lockCompany } from "./entity";
import { companyMarkEntity } from "./mark";

/** A mark's picture is changed by itself. */
const profileSchema = companyProfileSchema.omit({ mark: true });

const companySchema = z
  .object({ name: companyNameSchema, address: z.string().max(400), profile: companyProfileSchema })
  .meta({ id: "Company" });
const changeSchema = z
  .object({
    name: companyNameSchema.optional(),
    address: z.string().max(400).optional(),
    profile: profileSchema.partial().strict().optional(),
  })
  .strict()
  .meta({ id: "CompanyChange" });
type Change = z.infer<typeof changeSchema> & { readonly mark?: string | null };

/** More than paper shows. */
const WIDEST_MARK_PX = 1200;
const HIGHEST_MARK_PX = 600;

export const companyEndpoints = (dataSource: DataSource): Endpoint[] => {
  /** Locked meanwhile, so that two who change different things do not undo each other. */
  const changed = (companyId: string, { name, address, profile, mark }: Change) =>
    inTransaction(dataSource, async (manager) => {
      const company = await lockCompany(manager, companyId);
      const before = company.settings;
      const settings = {
        ...before,
        address: address ?? before.address,
        profile: { ...before.profile, ...withoutUndefined(profile ?? {}), ...(mark === undefined ? {} : { mark }) },
      };
      await manager.getRepository(companyEntity).save({ ...company, name: name ?? company.name, settings });
      return { name: name ?? company.name, address: settings.address, profile: settings.profile };
    });

  return [
    endpoint({
      method: "get",
      path: "/company",
      access: "sees-costs",
      summary: "What the company is: name, address, the head of its quotes, what a new job starts with",
      status: 200,
      answer: companySchema,
      handle: async ({ user }) => {
        const { name, settings } = await companyOf(dataSource, user.companyId);
        return { name, address: settings.address, profile: settings.profile };
      },
    }),
    endpoint({
      method: "patch",
      path: "/company",
      access: "owner",
      summary: "Change what the company is; quotes that were issued stay as they are",
      status: 200,
      noted: {
        what: "company-changed",
        about: ({ body }) => Object.keys(typeof body === "object" && body !== null ? body : {}).join(", "),
      },
      body: changeSchema,
      answer: companySchema,
      handle: ({ user, body }) => changed(user.companyId, body),
    }),
    endpoint({
      method: "put",
      path: "/company/mark",
      access: "owner",
      summary:
        "The company's mark: a picture's bytes as the body, JPEG, PNG or WebP. Quotes that were issued keep theirs",
      status: 200,
      lane: "reckoning",
      bodyOf: "picture",
      answer: companySchema,
      handle: async ({ user, received }) => {
        const picture = await readPicture(received.body);
        const bytes = await markOf(picture.bytes);
        const id = randomUUID();
        const { companyId } = user;
        const row = { id, companyId, contentType: "image/png", bytes, createdAt: new Date() };
        await dataSource.getRepository(companyMarkEntity).insert(row);
        return changed(companyId, { mark: id });
      },
    }),
    endpoint({
      method: "delete",
      path: "/company/mark",
      access: "owner",
      summary: "Quotes without a mark from now on",
      status: 200,
      answer: companySchema,
      handle: ({ user }) => changed(user.companyId, { mark: null }),
    }),
    endpoint({
      method: "get",
      path: "/company/marks/:id",
      access: "signed-in",
      summary: "A mark. It never changes under its id",
      status: 200,
      lane: "records",
      contentType: "image/png",
      handle: async ({ user, param }) => {
        const where = { id: param("id"), companyId: user.companyId };
        const mark = await dataSource.getRepository(companyMarkEntity).findOneBy(where);
        if (!mark) throw notFound("mark");
        return new Reply(mark.bytes, { contentType: mark.contentType });
      },
    }),
  ];
};

async function markOf(picture: Buffer): Promise<Buffer> {
  try {
    return await sharp(picture, { limitInputPixels: MOST_PIXELS, failOn: "truncated" })
      .rotate()
      .resize({ width: WIDEST_MARK_PX, height: HIGHEST_MARK_PX, fit: "inside", withoutEnlargement: true })
      .png()
      .toBuffer();
  } catch {
    throw notAPicture("This picture is broken: it cannot be shown whole.");
  }
}

const withoutUndefined = <T extends object>(values: T): Partial<T> =>
  Object.fromEntries(Object.entries(values).filter(([, value]) => value !== undefined)) as Partial<T>;
