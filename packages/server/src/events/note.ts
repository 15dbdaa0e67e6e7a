import type { DataSource, EntityManager } from "typeorm";
import type { UserRow } from "../companies/entity";
import type { Received } from "../http/received";
import { type EventKind, eventEntity } from "./entity";

type Source = DataSource | EntityManager;

/** Writes a line into the log of a person's company. */
export async function noteEvent(
  source: Source,
  what: EventKind,
  { id, companyId, name }: Pick<UserRow, "id" | "companyId" | "name">,
  { place, userAgent }: Pick<Received, "place" | "userAgent">,
  about = "",
): Promise<void> {
  await source.getRepository(eventEntity).insert({
    companyId,
    at: new Date(),
    what,
    userId: id,
    who: name.slice(0, 160),
    place: place.slice(0, 60),
    device: userAgent.slice(0, 300),
    about: about.slice(0, 300),
  });
}
