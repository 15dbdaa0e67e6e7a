import { createHash } from "node:crypto";
import { existsSync } from "node:fs";
import { join } from "node:path";
import { LARGEST_PHOTO_BYTES } from "@wide-porch/core";
import compression from "compression";
import cookieParser from "cookie-parser";
import express, { type Express, type Request, type RequestHandler } from "express";
import { ipKeyGenerator, rateLimit } from "express-rate-limit";
import helmet from "helmet";
import type { Logger } from "pino";
import { pinoHttp } from "pino-http";
import type { DataSource } from "typeorm";
import type { Config } from "./config";
import { allEndpoints } from "./endpoints";
import type { BodyOf, Endpoint } from "./http/endpoint";
import { mount } from "./http/mount";
import { HttpProblem, problemHandler, unknownRoute } from "./http/problemDetails";
import { openApiDocument } from "./openapi/document";
import type { HeavyAnswers } from "./pool/heavyAnswers";
import type { Services } from "./services";
import { AttemptStore } from "./sessions/attemptStore";
import { readSession, requireCsrfToken, requireSignedIn } from "./sessions/signedIn";

const WRONG_SIGN_INS = 10;
/** Whoever it is for: one place tries no list of people. A site office shares one. */
const WRONG_SIGN_INS_FROM_A_PLACE = 60;
const WINDOW_MS = 10 * 60_000;
const LARGEST_BODY = "4mb";
/** Bodies that are passed on as bytes, and how large they may be. */
const LARGEST: Readonly<Record<Exclude<BodyOf, "json">, string | number>> = {
  // Tens of thousands of items.
  "large-json": "40mb",
  // A job file carries the job's photos.
  "job-file": "200mb",
  // A little more than a photo may be, so that one too large is told so in words.
  picture: LARGEST_PHOTO_BYTES + 1024,
};

/** Only people who are signed in may send much. */
function readBytes(router: express.Router, endpoints: readonly Endpoint[]): void {
  for (const { method, path, bodyOf = "json" } of endpoints) {
    if (bodyOf === "json") continue;
    const type = bodyOf === "picture" ? () => true : "application/json";
    router[method](path, requireSignedIn, express.raw({ type, limit: LARGEST[bodyOf] }));
  }
}

/** What the app works with beside the database. */
export type Working = { readonly heavy: HeavyAnswers; readonly services: Services };

const placeOf = (request: Request): string => ipKeyGenerator(request.ip ?? "");

/** The person a sign-in is for, however their address was typed; a hash, as it may be any text. */
const personOf = (request: Request): string =>
  createHash("sha256")
    .update(
      String(request.body?.email ?? "")
        .trim()
        .toLowerCase(),
    )
    .digest("hex");

/** Wrong sign-ins, counted in MariaDB. Right ones do not count. */
const signInLimit = (
  dataSource: DataSource,
  limit: number,
  keyGenerator: (request: Request) => string,
): RequestHandler =>
  rateLimit({
    windowMs: WINDOW_MS,
    limit,
    skipSuccessfulRequests: true,
    standardHeaders: "draft-8",
    legacyHeaders: false,
    store: new AttemptStore(dataSource),
    keyGenerator,
    handler: (_request, _response, next) =>
      next(new HttpProblem(429, { detail: "Too many wrong passwords. Wait ten minutes and try again." })),
  });

function apiRouter(dataSource: DataSource, config: Config, { heavy, services }: Working): express.Router {
  const router = express.Router();
  const endpoints = allEndpoints(dataSource, config, services);
  router.use((_request, response, next) => {
    response.setHeader("Cache-Control", "no-store");
    next();
  });
  router.get("/health", async (_request, response) => {
    await dataSource.query("SELECT 1");
    response.json({ status: "ok" });
  });
  const openApi = openApiDocument(endpoints);
  router.get("/openapi.json", (_request, response) => {
    response.json(openApi);
  });
  router.use(cookieParser(), readSession(dataSource), requireCsrfToken);
  readBytes(router, endpoints);
  router.use(express.json({ limit: LARGEST_BODY }));
  router.post(
    "/session",
    signInLimit(dataSource, WRONG_SIGN_INS_FROM_A_PLACE, (request) => `place ${placeOf(request)}`),
    signInLimit(dataSource, WRONG_SIGN_INS, (request) => `${placeOf(request)} ${personOf(request)}`),
  );
  mount(router, endpoints, { heavy, ...config });
  router.use(unknownRoute);
  return router;
}

/** The exported web app. Its hashed files never change; the page itself is asked for anew each time. */
function webApp(folder: string): RequestHandler[] {
  const page = join(folder, "index.html");
  const files = express.static(folder, {
    index: false,
    setHeaders: (response, path) => {
      const forever = path.includes("_expo/static") || path.includes(`${folder}/assets/`);
      response.setHeader("Cache-Control", forever ? "public, max-age=31536000, immutable" : "no-cache");
    },
  });
  const fallback: RequestHandler = (request, response, next) => {
    // A page that is open since before an update asks for parts of the app that are no more: the page in their place would break it.
    const isPart = /^\/(_expo|assets)\//.test(request.path);
    if (request.method !== "GET" || isPart || !request.accepts("html")) {
      next();
      return;
    }
    response.setHeader("Cache-Control", "no-cache");
    response.sendFile(page, { dotfiles: "allow" });
  };
  return [files, fallback];
}

const securityHeaders = helmet({
  contentSecurityPolicy: {
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'"],
      // React Native for Web writes its styles into the page.
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", "data:", "blob:"],
      workerSrc: ["'self'", "blob:"],
      upgradeInsecureRequests: null,
    },
  },
  strictTransportSecurity: false,
});

export function createApp(dataSource: DataSource, config: Config, logger: Logger, working: Working): Express {
  const app = express();
  app.disable("x-powered-by");
  app.set("query parser", "simple");
  app.use(pinoHttp({ logger, autoLogging: { ignore: (request) => !request.url?.startsWith("/api/") } }));
  app.use(securityHeaders, compression());
  app.use("/api/v1", apiRouter(dataSource, config, working));
  if (config.webFolder && existsSync(join(config.webFolder, "index.html"))) app.use(...webApp(config.webFolder));
  app.use(unknownRoute);
  app.use(problemHandler);
  return app;
}
