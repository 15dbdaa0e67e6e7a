import type { DataSource, EntityManager, EntitySchema } from "typeorm";
import { HttpProblem, notFound, unfit } from "../http/problemDetails";
import type { AssemblyRow, StandardRow } from "./entity";

type Row = AssemblyRow | StandardRow;
type Key = { readonly companyId: string; readonly system: string; readonly id: string };

/** The entity's rows are those asked for; TypeORM's own types cannot follow a union of them. */
const plain = <R extends Row>(entity: EntitySchema<R>) => entity as unknown as EntitySchema<Row>;

/**
 * Saves the next version, inside the caller's transaction. Throws 409 with the newest where somebody saved one meanwhile, 422 where the record names another
 * id than the address.
 */
export async function saveVersion<R extends Row>(
  manager: EntityManager,
  entity: EntitySchema<R>,
  key: Key,
  baseVersion: number,
  data: R["data"],
  userId: string,
  /** Other columns of the version. */
  more: Omit<Partial<R>, keyof Key | "data" | "version">,
): Promise<R> {
  if (data.id !== key.id || data.system !== key.system) {
    throw unfit([{ code: "id-changed", path: "id", message: "It keeps its id and its measuring system." }]);
  }
  const rows = manager.getRepository(plain(entity));
  const newest = await rows.findOne({ where: key, order: { version: "DESC" }, lock: { mode: "pessimistic_write" } });
  if ((newest?.version ?? 0) !== baseVersion) throw new HttpProblem(409, { current: newest?.data ?? null });
  const version = baseVersion + 1;
  const retired = newest?.retired ?? false;
  const row = {
    ...more,
    ...key,
    version,
    retired,
    data: { ...data, version },
    createdAt: new Date(),
    createdBy: userId,
  };
  await rows.insert(row as unknown as Row);
  return row as unknown as R;
}

/** Throws 404 where the company has none of that id. */
export async function retire<R extends Row>(
  dataSource: DataSource,
  entity: EntitySchema<R>,
  key: Key,
  retired: boolean,
): Promise<R> {
  const rows = dataSource.getRepository(plain(entity));
  await rows.update(key, { retired });
  const newest = await rows.findOne({ where: key, order: { version: "DESC" } });
  if (!newest) throw notFound("record");
  return newest as R;
}
