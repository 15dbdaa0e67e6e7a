import { pino } from "pino";
import { createApp } from "./app";
import { readConfig } from "./config";
import { alone, createDataSource } from "./database/dataSource";
import { loadDemo } from "./demo/load";
import { startHeavyAnswers } from "./pool/heavyAnswers";
import { closeServices, startServices } from "./services";
import { forkSuppliers } from "./standIns/forkSuppliers";
import { startRoofReports } from "./standIns/roofReports";

/** Requests under way get this long to finish once the server is told to stop. */
const LAST_ANSWERS_MS = 5000;

async function main(): Promise<void> {
  const config = readConfig(process.env);
  const logger = pino({
    level: config.logLevel,
    redact: ["req.headers.cookie", 'req.headers["x-csrf-token"]', 'res.headers["set-cookie"]'],
  });
  const dataSource = await createDataSource(config).initialize();
  await alone(dataSource, "wide-porch-start", async () => {
    await dataSource.runMigrations();
    if (config.demo) await loadDemo(dataSource);
  });
  const standIn = config.roofReports === undefined ? await startRoofReports() : undefined;
  const suppliers = config.suppliers === undefined ? await forkSuppliers() : undefined;
  const standIns = {
    ...config,
    roofReports: config.roofReports ?? standIn?.address,
    suppliers: config.suppliers ?? suppliers?.address,
  };
  const working = { heavy: startHeavyAnswers(standIns, logger), services: startServices() };
  const server = createApp(dataSource, standIns, logger, working).listen(config.port, config.host, () => {
    const address = server.address();
    const port = typeof address === "object" && address ? address.port : config.port;
    logger.info({ port }, "listening");
    process.send?.({ listening: port });
  });
  server.on("error", (error) => {
    logger.fatal({ err: error }, "cannot listen");
    process.exitCode = 1;
    void dataSource.destroy();
  });

  const stop = (): void => {
    server.close(() => {
      void working.heavy.close();
      void closeServices(working.services);
      void dataSource.destroy();
    });
    void standIn?.stop();
    void suppliers?.stop();
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), LAST_ANSWERS_MS).unref();
  };
  process.once("SIGTERM", stop);
  process.once("SIGINT", stop);
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`);
  process.exitCode = 1;
});
