import { randomUUID } from "node:crypto";
import { hash } from "@node-rs/argon2";
import { type Job, type NewJob, newExtra, type Part, partContext, startJob } from "@wide-porch/core";
import { library, starterCompanySettings, starterPriceList } from "@wide-porch/library";
import type { DataSource, EntityManager } from "typeorm";
import { insertStarters } from "../assemblies/store";
import { companyEntity, userEntity } from "../companies/entity";
import { insertJob } from "../jobs/routes";
import { partEntity } from "../parts/entity";
import { noteVersion } from "../parts/store";
import { priceItemEntity } from "../priceList/entity";
import { issueQuote } from "../quotes/routes";
import { lanternDeck } from "./deck";
import { lanternFloors, quillmoorRoof } from "./floors";
import { bramblegate, lanternGround, quillmoorGround } from "./ground";
import { lanternHouse } from "./lanternHouse";
import { DEMO_COMPANY, DEMO_PASSWORD, DEMO_PEOPLE } from "./people";
import { quillmoor } from "./quillmoor";
import { skylark } from "./skylark";

const LANTERN_HOUSE: NewJob = {
  title: "Lantern House: boot room and wrap-around porch",
  customerName: "Wilhelmina Ostrander-Okafor",
  site: "Lantern House, 9 Eel Pie Lane, Marlcroft (invented)",
  system: "imperial",
  currency: "USD",
};

const QUILLMOOR: NewJob = {
  title: "Quillmoor pottery studio",
  customerName: "Tobias Quill",
  site: "Quillmoor Farm, Sedge Road, Netherby Wold (invented)",
  system: "metric",
  currency: "GBP",
};

const SKYLARK: NewJob = {
  title: "Skylark loft bedroom",
  customerName: "Maud and Ines Fairweather",
  site: "Skylark, 3 Dunnock Rise, Marlcroft (invented)",
  system: "imperial",
  currency: "USD",
};

const BRAMBLEGATE: NewJob = {
  title: "Bramblegate cellar laundry",
  customerName: "Odile Vanderkamp",
  site: "Bramblegate, 4 Cooper's Steps, Oudhaven (invented)",
  system: "metric",
  currency: "EUR",
};

/** At the prices of today, as any job that is started. */
const startDemoJob = (start: NewJob): Job => startJob(start, starterCompanySettings, null, new Date().toISOString());

/** Loads the invented company once, beside those that are there. */
export async function loadDemo(dataSource: DataSource): Promise<void> {
  if (await dataSource.getRepository(companyEntity).existsBy({ demo: true })) return;
  const passwordHash = await hash(DEMO_PASSWORD);
  await dataSource.transaction(async (manager) => {
    const settings = { ...starterCompanySettings, address: DEMO_COMPANY.address };
    const companyId = randomUUID();
    await manager.getRepository(companyEntity).insert({ id: companyId, name: DEMO_COMPANY.name, settings, demo: true });
    const users = DEMO_PEOPLE.map((person) => ({ id: randomUUID(), companyId, ...person, passwordHash, leftAt: null }));
    await manager.getRepository(userEntity).insert(users);
    const items = starterPriceList.map((item) => ({ companyId, code: item.code, revision: 1, data: item }));
    await manager.getRepository(priceItemEntity).insert(items);
    await insertStarters(manager, companyId);
    const owner = users[0]?.id ?? "";
    await insertBramblegate(manager, companyId, owner);
    await insertSkylark(manager, companyId, owner);
    await insertQuillmoor(manager, companyId, owner);
    await insertLanternHouse(manager, companyId, owner);
  });
}

async function insertParts(manager: EntityManager, companyId: string, jobId: string, userId: string, parts: Part[]) {
  const updatedAt = new Date();
  const rows = parts.map((data, index) => ({
    id: data.id,
    companyId,
    jobId,
    revision: 1,
    changeNumber: 1,
    place: index + 1,
    data,
    updatedAt,
    updatedBy: userId,
    binnedAt: null,
  }));
  await manager.getRepository(partEntity).insert(rows);
  for (const row of rows) await noteVersion(manager, row, "saved", row.data, { userId, at: updatedAt });
}

async function insertLanternHouse(manager: EntityManager, companyId: string, owner: string): Promise<void> {
  const start = startDemoJob(LANTERN_HOUSE);
  const extras = [newExtra("saw-bench", "plant", "Hire of saw bench, one week", "85.00")];
  const standard = { id: "new-build", version: 1 };
  const job = { ...start, pricing: { ...start.pricing, extras }, standard };
  const row = await insertJob(manager, companyId, job);
  const context = partContext("imperial", library);
  const house = lanternHouse(randomUUID, context);
  const parts = [
    ...house,
    ...lanternGround(randomUUID, context),
    ...lanternFloors(house, randomUUID, context),
    ...lanternDeck(house, randomUUID, context),
  ];
  await insertParts(manager, companyId, row.id, owner, parts);
  await issueQuote(manager, companyId, row.id, owner, undefined);
}

/** A metric job: masonry in the yard, and a partition with nothing measured. */
async function insertQuillmoor(manager: EntityManager, companyId: string, owner: string): Promise<void> {
  const start = startDemoJob(QUILLMOOR);
  const job = {
    ...start,
    pricing: { ...start.pricing, tax: { ...start.pricing.tax, name: "VAT", percent: "20", reducedPercent: "5" } },
  };
  const row = await insertJob(manager, companyId, job);
  const context = partContext("metric", library);
  const parts = [
    ...quillmoor(randomUUID, context),
    ...quillmoorGround(randomUUID, context),
    ...quillmoorRoof(randomUUID, context),
  ];
  await insertParts(manager, companyId, row.id, owner, parts);
}

/** A cellar that is kept dry. */
async function insertBramblegate(manager: EntityManager, companyId: string, owner: string): Promise<void> {
  const row = await insertJob(manager, companyId, startDemoJob(BRAMBLEGATE));
  await insertParts(manager, companyId, row.id, owner, bramblegate(randomUUID, partContext("metric", library)));
}

/** A roof of two pitches, with nothing measured beneath it yet. */
async function insertSkylark(manager: EntityManager, companyId: string, owner: string): Promise<void> {
  const row = await insertJob(manager, companyId, startDemoJob(SKYLARK));
  await insertParts(manager, companyId, row.id, owner, skylark(randomUUID, partContext("imperial", library)));
}
