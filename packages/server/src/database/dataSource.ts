import { setTimeout as pause } from "node:timers/promises";
import { DataSource, type EntityManager } from "typeorm";
import { invitationEntity, passwordResetEntity } from "../accounts/entity";
import { entryToConfirmEntity } from "../accounts/toConfirm";
import { assemblyEntity, standardEntity } from "../assemblies/entity";
import { companyEntity, userEntity } from "../companies/entity";
import { companyMarkEntity } from "../companies/mark";
import type { Config } from "../config";
import { eventEntity } from "../events/entity";
import { commandEntity, jobEntity } from "../jobs/entity";
import { jobTotalEntity } from "../jobs/totals";
import { partEntity, partVersionEntity } from "../parts/entity";
import { photoEntity } from "../photos/entity";
import { priceBatchEntity, priceItemEntity, priceItemVersionEntity } from "../priceList/entity";
import { quoteCounterEntity, quoteEntity } from "../quotes/entity";
import { recoveryCodeEntity, secondFactorEntity } from "../secondFactor/entity";
import { knownDeviceEntity, sessionEntity, signInAttemptEntity } from "../sessions/entity";
import { Accounts1766800000000 } from "./accounts";
import { noteCluster } from "./alone";
import { Assemblies1764200000000 } from "./assemblies";
import { ChangeNumbers1764600000000 } from "./changeNumbers";
import { isSecond, metAnother } from "./conflicts";
import { DeckStarters1766400000000 } from "./deckStarters";
import { FloorStarters1766000000000 } from "./floorStarters";
import { GroundStarters1765000000000 } from "./groundStarters";
import { Guarded1767000000000 } from "./guarded";
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
  const dataSource = new DataSource({
    type: "mariadb",
    poolSize: connections,
    host: database.host,
    port: database.port,
    username: database.user,
    password: database.password,
    database: database.name,
    ...(database.tls ? { ssl: { ca: database.tls.ca, rejectUnauthorized: true, minVersion: "TLSv1.2" } } : {}),
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
      Guarded1767000000000,
    ],
    entities: [
      companyEntity,
      companyMarkEntity,
      invitationEntity,
      passwordResetEntity,
      entryToConfirmEntity,
      userEntity,
      sessionEntity,
      knownDeviceEntity,
      secondFactorEntity,
      recoveryCodeEntity,
      eventEntity,
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
  if (database.cluster) noteCluster(dataSource);
  return dataSource;
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
      if (tries >= (isSecond(error) ? MOST_TRIES_OF_A_SECOND : MOST_TRIES) || !metAnother(error)) throw error;
      // Two who meet again and again are pulled apart.
      await pause(Math.random() * Math.min(10 * 2 ** tries, LONGEST_PAUSE_MS));
    }
  }
}

/** Over a cluster work may meet another each time that it comes to its end. */
const MOST_TRIES = 12;
const MOST_TRIES_OF_A_SECOND = 4;
const LONGEST_PAUSE_MS = 500;
