import { randomUUID } from "node:crypto";
import { hash } from "@node-rs/argon2";
import { partContext, type StudWall, studWallKind } from "@wide-porch/core";
import { library, starterCompanySettings, starterPriceList } from "@wide-porch/library";
import type { Express } from "express";
import { createConnection } from "mysql2/promise";
import { type Logger, pino } from "pino";
import supertest from "supertest";
import type { DataSource } from "typeorm";
import { createApp } from "../app";
import { insertStarters } from "../assemblies/store";
import { companyEntity, type Role, userEntity } from "../companies/entity";
import { type Config, readConfig } from "../config";
import { createDataSource } from "../database/dataSource";
import { DEMO_PASSWORD } from "../demo/people";
import { type HeavyAnswers, startHeavyAnswers } from "../pool/heavyAnswers";
import { priceItemEntity } from "../priceList/entity";
import { closeServices, type Services, startServices } from "../services";
import { type Metrics, startMetrics } from "../watching/metrics";
import { migratedDatabase } from "./templateDatabase";

export type Agent = ReturnType<typeof supertest.agent>;

export type TestServer = {
  readonly dataSource: DataSource;
  readonly config: Config;
  readonly services: Services;
  readonly heavy: HeavyAnswers;
  readonly metrics: Metrics;
  readonly logger: Logger;
  readonly anonymous: Agent;
  /** Somebody who was never here. */
  readonly stranger: () => Agent;
  readonly signedInAs: (email: string, password?: string) => Promise<Agent>;
  /** The same over the same database with other settings, in its threads as well; stopped with it. */
  readonly appWith: (change: Partial<Config>) => Express;
  readonly stop: () => Promise<void>;
};

export async function onServer(config: Config, statement: string): Promise<void> {
  const { host, port, user, password } = config.database;
  const connection = await createConnection({ host, port, user, password });
  await connection.query(statement);
  await connection.end();
}

/** The real app over a database of its own, with the demo company in it. */
export async function startTestServer(): Promise<TestServer> {
  const name = `wide_porch_test_${randomUUID().slice(0, 8)}`;
  const config = readConfig({
    ...process.env,
    WIDE_PORCH_DB_NAME: name,
    WIDE_PORCH_DEMO: "1",
    LOG_LEVEL: "silent",
    WIDE_PORCH_WARM_THREADS: "0",
  });
  await migratedDatabase(config, name);
  const dataSource = await createDataSource(config).initialize();
  const logger = pino({ level: "silent" });
  const heavy = startHeavyAnswers(config, logger);
  const services = startServices(config, logger, () => "https://porch.example");
  const metrics = startMetrics(heavy.figures);
  const app = createApp(dataSource, config, logger, { heavy, services, metrics });
  const signedInAs = async (email: string, password = DEMO_PASSWORD): Promise<Agent> => {
    const agent = supertest.agent(app);
    const answer = await agent.post("/api/v1/session").send({ email, password }).expect(201);
    agent.set("x-csrf-token", answer.body.csrfToken);
    return agent;
  };
  const others: HeavyAnswers[] = [];
  const appWith = (change: Partial<Config>): Express => {
    const changed = { ...config, ...change };
    const own = startHeavyAnswers(changed, logger);
    others.push(own);
    return createApp(dataSource, changed, logger, { heavy: own, services, metrics });
  };
  const stop = async () => {
    for (const each of [heavy, ...others]) await each.close();
    await closeServices(services);
    await dataSource.destroy();
    await onServer(config, `DROP DATABASE ${name}`);
  };
  return {
    dataSource,
    config,
    services,
    heavy,
    metrics,
    logger,
    anonymous: supertest.agent(app),
    stranger: () => supertest.agent(app),
    signedInAs,
    appWith,
    stop,
  };
}

/** A second company, to see that nothing passes between the two. */
export async function addCompany(dataSource: DataSource, email: string, role: Role = "owner"): Promise<void> {
  const companyId = randomUUID();
  await dataSource
    .getRepository(companyEntity)
    .insert({ id: companyId, name: "Dunnock & Daughters", settings: starterCompanySettings, demo: false });
  const person = {
    id: randomUUID(),
    companyId,
    email,
    name: "Isolde Dunnock",
    role,
    passwordHash: await hash(DEMO_PASSWORD),
    leftAt: null,
    addressConfirmed: true,
  };
  await dataSource.getRepository(userEntity).insert(person);
  const items = starterPriceList.map((item) => ({ companyId, code: item.code, revision: 1, data: item }));
  await dataSource.getRepository(priceItemEntity).insert(items);
  await insertStarters(dataSource, companyId);
}

export const newWall = (id: string = randomUUID()): StudWall => {
  const imperial = partContext("imperial", library);
  const wall = studWallKind.defaults(id, "Test wall", imperial);
  return studWallKind.withDimension(wall, "length", 12 * 12 * 25_400_000, "12'", imperial);
};

export const NEW_JOB = { title: "Test job", customerName: "A customer", site: "", system: "imperial", currency: "USD" };
