import { DataSource, type EntityManager } from "typeorm";
import { invitationEntity, passwordResetEntity } from "../accounts/entity";
import { assemblyEntity, standardEntity } from "../assemblies/entity";
import { companyEntity, userEntity } from "../companies/entity";
import { companyMarkEntity } from "../companies/mark";
import type { Config } from "../config";
import { commandEntity, jobEntity } from "../jobs/entity";
import { jobTotalEntity } from "../jobs/totals";
import { partEntity, partVersionEntity } from "../parts/entity";
import { photoEntity } from "../photos/entity";
import { priceBatchEntity, priceItemEntity, priceItemVersionEntity } from "../priceList/entity";
import { quoteCounterEntity, quoteEntity } from "../quotes/entity";
import { sessionEntity, signInAttemptEntity } from "../sessions/entity";
import { Accounts1766800000000 } from "./accounts";
import { Assemblies1764200000000 } from "./assemblies";
import { ChangeNumbers1764600000000 } from "./changeNumbers";
import { metAnother } from "./conflicts";
import { DeckStarters1766400000000 } from "./deckStarters";
import { FloorStarters1766000000000 } from "./floorStarters";
import { GroundStarters1765000000000 } from "./groundStarters";
import { Initial1764000000000 } from "./initial";
import { JobPrices1764900000000 } from "./jobPrices";
import { MasonryStarters1764500000000 } from "./masonryStarters";
import { OpeningsAndPictures1764300000000 } from "./openingsAndPictures";
import { PhotoPlaces1766900000000 } from "./photoPlaces";
import { PriceHistory1764800000000 } from "./priceHistory";
import { RoofStarters1764700000000 } from "./roofStarters";
import { SiteMeasuring1764100000000 } from "./siteMeasuring";
import { SoundRecords1764400000000 } from "./soundRecords";

/** Connections that the answering thread has. */
const CONNECTIONS = 10;

export function createDataSource({ database }: Pick<Config, "database">, connections = CONNECTIONS): DataSource {
  return new DataSource({
    type: "mariadb",
    poolSize: connections,
    host: database.host,
    port: database.port,
    username: database.user,
    password: database.password,
    database: database.name,
    charset: "utf8mb4",
    timezone: "Z",
    synchronize: false,
    migrations: [
      Initial1764000000000,
      SiteMeasuring1764100000000,
      Assemblies1764200000000,
      OpeningsAndPictures1764300000000,
      SoundRecords1764400000000,
      MasonryStarters1764500000000,
      ChangeNumbers1764600000000,
      RoofStarters1764700000000,
      PriceHistory1764800000000,
      JobPrices1764900000000,
      GroundStarters1765000000000,
      FloorStarters1766000000000,
      DeckStarters1766400000000,
      Accounts1766800000000,
      PhotoPlaces1766900000000,
    ],
    entities: [
      companyEntity,
      companyMarkEntity,
      invitationEntity,
      passwordResetEntity,
      userEntity,
      sessionEntity,
      signInAttemptEntity,
      jobEntity,
      jobTotalEntity,
      commandEntity,
      partEntity,
      partVersionEntity,
      photoEntity,
      priceItemEntity,
      priceItemVersionEntity,
      priceBatchEntity,
      quoteEntity,
      quoteCounterEntity,
      assemblyEntity,
      standardEntity,
    ],
  });
}

/** Runs `work` while no other server on this database does the same: migrations and demo data happen once. */
export async function alone<T>(dataSource: DataSource, name: string, work: () => Promise<T>): Promise<T> {
  const runner = dataSource.createQueryRunner();
  try {
    const [row] = await runner.query("SELECT GET_LOCK(?, 60) AS got", [name]);
    if (Number(row?.got) !== 1) throw new Error(`alone: another server has held "${name}" for a minute`);
    return await work();
  } finally {
    await runner.query("SELECT RELEASE_LOCK(?)", [name]);
    await runner.release();
  }
}

/**
 * Work that stands or falls as a whole. Reads see what others have committed up to that moment, so that what is read after
 * waiting for a lock is what the lock protects.
 */
export async function inTransaction<T>(
  dataSource: DataSource,
  work: (manager: EntityManager) => Promise<T>,
): Promise<T> {
  for (let tries = 1; ; tries += 1) {
    try {
      return await dataSource.transaction("READ COMMITTED", work);
    } catch (error) {
      if (tries >= MOST_TRIES || !metAnother(error)) throw error;
    }
  }
}

const MOST_TRIES = 4;
