import { randomBytes } from "node:crypto";
import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { LARGEST_PHOTO_BYTES } from "@wide-porch/core";
import compression from "compression";
import cookieParser from "cookie-parser";
import express, { type Express, type RequestHandler } from "express";
import helmet from "helmet";
import type { Logger } from "pino";
import type { DataSource } from "typeorm";
import type { Config } from "./config";
import { allEndpoints } from "./endpoints";
import type { BodyOf, Endpoint } from "./http/endpoint";
import { mount } from "./http/mount";
import { problemHandler, unknownRoute } from "./http/problemDetails";
import { type Receiving, startReceiving, UNKNOWN_BODY, USUAL_BODY } from "./http/receiving";
import { requestLog } from "./http/requestLog";
import { requireFewValues } from "./http/wellFormed";
import { openApiDocument } from "./openapi/document";
import type { HeavyAnswers } from "./pool/heavyAnswers";
import type { Services } from "./services";
import { readSession, requireCsrfToken, requireSignedIn } from "./sessions/signedIn";
import { limitTries } from "./sessions/tries";
import { healthPage } from "./watching/health";
import { type Metrics, metricsPage } from "./watching/metrics";

const KB = 1024;
const MB = 1024 * KB;
/** Many times what the largest record has that is read here. */
const MOST_VALUES = 20_000;
/** Bodies that are passed on as bytes, and how large they may be. */
const LARGEST: Readonly<Record<Exclude<BodyOf, "json">, number>> = {
  // A part, a job's own record, an assembly: how large each may be is said where it is saved.
  record: 4 * MB,
  // Tens of thousands of items.
  "large-json": 40 * MB,
  // A job file carries the job's photos.
  "job-file": 200 * MB,
  // A little more than a photo may be, so that one too large is told so in words.
  picture: LARGEST_PHOTO_BYTES + 1024,
};

/** Nobody compresses what they send; a small body that becomes a large one is none of anybody's. */
const PLAIN = { inflate: false } as const;

/** Only people who are signed in may send much. What is sent is counted while it is held, and holds up nobody's turn while it comes. */
function readBytes(router: express.Router, endpoints: readonly Endpoint[], { upTo }: Receiving): void {
  for (const { method, path, bodyOf = "json" } of endpoints) {
    if (bodyOf === "json") continue;
    const limit = LARGEST[bodyOf];
    const type = bodyOf === "picture" ? () => true : "application/json";
    router[method](
      path,
      requireSignedIn,
      upTo(() => limit),
      express.raw({ ...PLAIN, type, limit }),
    );
  }
}

/** All else is small, and smaller where nobody is signed in. */
function readJson(router: express.Router, { upTo }: Receiving): void {
  const verify = (_request: unknown, _response: unknown, json: Buffer): void => requireFewValues(json, MOST_VALUES);
  router.use(
    upTo(({ signedIn }) => (signedIn ? USUAL_BODY : UNKNOWN_BODY)),
    express.json({ ...PLAIN, limit: USUAL_BODY, verify }),
  );
}

/** What the app works with beside the database. */
export type Working = { readonly heavy: HeavyAnswers; readonly services: Services; readonly metrics: Metrics };

function apiRouter(dataSource: DataSource, config: Config, { heavy, services }: Working): express.Router {
  const receiving = startReceiving();
  const router = express.Router();
  const endpoints = allEndpoints(dataSource, config, services, heavy);
  router.use((_request, response, next) => {
    response.setHeader("Cache-Control", "no-store");
    // A page that was loaded with another build offers to be loaded anew.
    response.setHeader("Wide-Porch-Build", config.build.slice(0, 16));
    next();
  });
  router.get("/health", healthPage(dataSource, heavy.figures));
  // Made when it is first asked for: a server that is started again answers people first.
  let openApi: ReturnType<typeof openApiDocument> | undefined;
  router.get("/openapi.json", (_request, response) => {
    openApi ??= openApiDocument(endpoints);
    response.json(openApi);
  });
  router.use(cookieParser(), readSession(dataSource, config), requireCsrfToken);
  readBytes(router, endpoints, receiving);
  readJson(router, receiving);
  limitTries(router, dataSource);
  mount(router, endpoints, { dataSource, heavy, ...config });
  router.use(unknownRoute);
  return router;
}

/**
 * The page, with the nonce by which its parts may write styles of their own: it is another with each page that is sent, and nothing that is
 * put into a page from elsewhere knows it.
 */
function pageSender(folder: string): RequestHandler {
  const page = readFileSync(join(folder, "index.html"), "utf8");
  return (_request, response) => {
    response.setHeader("Cache-Control", "no-cache");
    response
      .type("html")
      .send(page.replace("<head>", `<head><meta name="style-nonce" content="${nonceOf(response)}" />`));
  };
}

/** The exported web app. Its hashed files never change; the page itself is asked for anew each time. */
function webApp(folder: string): RequestHandler[] {
  const sendPage = pageSender(folder);
  const itself: RequestHandler = (request, response, next) => {
    if (request.method !== "GET" || request.path !== "/index.html") next();
    else sendPage(request, response, next);
  };
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
    sendPage(request, response, next);
  };
  return [itself, files, fallback];
}

/** A year: who came by https once comes by nothing else. */
const HSTS_S = 31_536_000;

/** Of no letters: React Native for Web puts an empty style element into the page, and its rules by script. */
const EMPTY_STYLE = "'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='";
const NONCE = "styleNonce";
const nonceOf = (response: { readonly locals?: Readonly<Record<string, unknown>> }): string =>
  String(response.locals?.[NONCE] ?? "");

const giveNonce: RequestHandler = (_request, response, next) => {
  response.locals[NONCE] = randomBytes(16).toString("base64");
  next();
};

const securityHeaders = ({ address }: Pick<Config, "address">) =>
  helmet({
    contentSecurityPolicy: {
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
        styleSrc: ["'self'", EMPTY_STYLE, (_request, response) => `'nonce-${nonceOf(response as express.Response)}'`],
        imgSrc: ["'self'", "data:", "blob:"],
        workerSrc: ["'self'", "blob:"],
        upgradeInsecureRequests: null,
      },
    },
    strictTransportSecurity: address?.startsWith("https:") ? { maxAge: HSTS_S } : false,
  });

export function createApp(dataSource: DataSource, config: Config, logger: Logger, working: Working): Express {
  const app = express();
  app.disable("x-powered-by");
  app.set("query parser", "simple");
  app.set("trust proxy", config.trustedHops);
  app.use(requestLog(logger));
  app.use(working.metrics.timed, giveNonce, securityHeaders(config), compression());
  app.get("/metrics", metricsPage(working.metrics, config));
  app.use("/api/v1", apiRouter(dataSource, config, working));
  if (config.webFolder && existsSync(join(config.webFolder, "index.html"))) app.use(...webApp(config.webFolder));
  app.use(unknownRoute);
  app.use(problemHandler);
  return app;
}
