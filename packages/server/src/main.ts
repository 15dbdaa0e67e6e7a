import type { Server } from "node:http";
import { type Logger, pino } from "pino";
import { createApp, type Working } from "./app";
import { type Config, readConfig } from "./config";
import { alone } from "./database/alone";
import { createDataSource } from "./database/dataSource";
import { toldOf } from "./database/failures";
import { loadDemo } from "./demo/load";
import { keepHouse } from "./housekeeping/keepHouse";
import { startHeavyAnswers } from "./pool/heavyAnswers";
import { closeServices, startServices } from "./services";
import { endDemoSessions } from "./sessions/store";
import { forkStandIn } from "./standIns/forkStandIn";
import { freePorts } from "./standIns/freePorts";
import { startRoofReports } from "./standIns/roofReports";
import { startMetrics } from "./watching/metrics";

/** Requests under way get this long to finish once the server is told to stop. */
const LAST_ANSWERS_MS = 5000;
/** By then it ends, whatever does not let go: a database that went away meanwhile answers nothing any more. */
const LAST_MS = 12_000;
const KEPT_ALIVE_MS = 65_000;
const WARM_AFTER_MS = 1500;
/** A sender who does not come to the end of their headers. How slowly a body may come is said where bodies are read. */
const HEADERS_MS = 20_000;

type Stopped = { readonly stop: () => Promise<void> };

/** Small stand-ins for the services that no setting names. */
async function withStandIns(
  config: Config,
  logger: Logger,
): Promise<{ readonly config: Config; readonly roofs: Stopped | undefined; readonly begin: () => Stopped[] }> {
  const [suppliersPort = 0, smtpPort = 0, pagePort = 0] = await freePorts(3);
  const roofs = config.roofReports === undefined ? await startRoofReports() : undefined;
  const isOwnMail = config.mail.smtp === undefined;
  /** Processes of their own, which take a core each to begin: once the server listens. */
  const begin = (): Stopped[] => [
    ...(config.suppliers === undefined ? [forkStandIn("suppliersMain.js", [suppliersPort], logger)] : []),
    ...(isOwnMail ? [forkStandIn("mailMain.js", [smtpPort, pagePort], logger)] : []),
  ];
  const at = (port: number): string => `127.0.0.1:${port}`;
  return {
    begin,
    roofs,
    config: {
      ...config,
      roofReports: config.roofReports ?? roofs?.address,
      suppliers: config.suppliers ?? `http://${at(suppliersPort)}`,
      mail: isOwnMail
        ? { ...config.mail, smtp: `smtp://${at(smtpPort)}`, page: `http://${at(pagePort)}` }
        : config.mail,
    },
  };
}

const portOf = (server: Server, config: Config): number => {
  const address = server.address();
  return typeof address === "object" && address ? address.port : config.port;
};

async function main(): Promise<void> {
  const given = readConfig(process.env);
  let working: Working | undefined;
  const logger = pino({
    level: given.logLevel,
    serializers: { err: toldOf },
  });
  // Each request is by itself, and what is kept lies in the database: what was not foreseen in one ends nothing else.
  const notCaught = (error: unknown): void => {
    logger.fatal({ err: error }, "not caught");
    working?.metrics.notCaught();
  };
  process.on("uncaughtException", notCaught);
  process.on("unhandledRejection", notCaught);
  const dataSource = await createDataSource(given).initialize();
  await alone(dataSource, "wide-porch-start", async () => {
    await dataSource.runMigrations({ transaction: "each" });
    if (given.demo) await loadDemo(dataSource);
    else await endDemoSessions(dataSource);
  });
  const { config, roofs, begin } = await withStandIns(given, logger);
  const standIns: Stopped[] = roofs ? [roofs] : [];
  const addressOf = (): string => config.address ?? `http://127.0.0.1:${portOf(server, config)}`;
  const heavy = startHeavyAnswers(config, logger);
  const running: Working = {
    heavy,
    services: startServices(config, logger, addressOf),
    metrics: startMetrics(heavy.figures),
  };
  working = running;
  const house = keepHouse(dataSource, logger, running.services.pictures);
  const server: Server = createApp(dataSource, config, logger, running).listen(config.port, config.host, () => {
    const port = portOf(server, config);
    logger.info({ port }, "listening");
    standIns.push(...begin());
    // Whoever waited for the server is answered first.
    if (config.warmThreads) setTimeout(running.heavy.warm, WARM_AFTER_MS).unref();
    process.send?.({ listening: port, letters: config.mail.page });
  });
  server.headersTimeout = HEADERS_MS;
  server.requestTimeout = 0;
  // Longer than proxies keep theirs, so that none of them sends into one that is being closed.
  server.keepAliveTimeout = KEPT_ALIVE_MS;
  const close = async (): Promise<void> => {
    house.stop();
    await running.heavy.close();
    await closeServices(running.services);
    await dataSource.destroy();
    for (const { stop } of standIns) await stop();
  };
  server.on("error", (error) => {
    logger.fatal({ err: error }, "cannot listen");
    process.exitCode = 1;
    void close();
  });

  const stop = (): void => {
    server.close(() => void close());
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), LAST_ANSWERS_MS).unref();
    setTimeout(() => {
      logger.warn("ended with something that did not let go");
      process.exit(1);
    }, LAST_MS).unref();
  };
  process.once("SIGTERM", stop);
  process.once("SIGINT", stop);
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`);
  process.exit(1);
});
