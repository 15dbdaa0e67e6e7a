import { type DataSource, In, LessThan } from "typeorm";
import { z } from "zod";
import { userEntity } from "../companies/entity";
import { type Endpoint, endpoint } from "../http/endpoint";
import { EVENTS, type EventRow, eventEntity } from "./entity";

const PER_PAGE = 50;

const pageSchema = z.object({
  /** Lines before this one; the newest without. */
  before: z.coerce.number().int().min(1).max(Number.MAX_SAFE_INTEGER).optional(),
  /** Of these kinds alone, with commas between. */
  of: z.string().max(600).default(""),
});

const eventSchema = z
  .object({
    id: z.string(),
    at: z.iso.datetime(),
    what: z.string(),
    who: z.string(),
    place: z.string(),
    device: z.string(),
    about: z.string(),
  })
  .meta({ id: "Event" });

const UUID = /[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g;

/** People are told by what they are called now. */
const shown = ({ id, at, what, who, place, device, about }: EventRow, names: ReadonlyMap<string, string>) => ({
  id: String(id),
  at: at.toISOString(),
  what,
  who,
  place,
  device,
  about: about.replace(UUID, (found) => names.get(found) ?? found),
});

export const eventEndpoints = (dataSource: DataSource): Endpoint[] => [
  endpoint({
    method: "get",
    path: "/events",
    access: "owner",
    summary:
      "The company's log, newest first: who signed in, changed roles, took data away, issued or deleted, when and where from",
    status: 200,
    query: pageSchema,
    answer: z.object({ items: z.array(eventSchema), more: z.boolean() }),
    handle: async ({ user, query: { before, of } }) => {
      const kinds = EVENTS.filter((each) => of.split(",").includes(each));
      const where = {
        companyId: user.companyId,
        ...(before === undefined ? {} : { id: LessThan(String(before)) }),
        ...(kinds.length === 0 ? {} : { what: In(kinds) }),
      };
      const rows = await dataSource
        .getRepository(eventEntity)
        .find({ where, order: { id: "DESC" }, take: PER_PAGE + 1 });
      const users = await dataSource
        .getRepository(userEntity)
        .find({ where: { companyId: user.companyId }, select: { id: true, name: true } });
      const names = new Map(users.map(({ id, name }) => [id, name]));
      return { items: rows.slice(0, PER_PAGE).map((row) => shown(row, names)), more: rows.length > PER_PAGE };
    },
  }),
];
