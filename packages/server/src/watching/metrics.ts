import { timingSafeEqual } from "node:crypto";
import type { Request, RequestHandler } from "express";
import { Counter, collectDefaultMetrics, Gauge, Histogram, Registry } from "prom-client";
import type { Config } from "../config";

const BUCKETS_S = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2, 5, 10, 30];

export type PoolFigures = { readonly waiting: number; readonly threads: number; readonly ended: number };

export type Metrics = {
  /** Times requests by what answers them, never by what was asked: no id and no address of a person is in it. */
  readonly timed: RequestHandler;
  /** Something that was not foreseen, which the server outlived. */
  readonly notCaught: () => void;
  readonly text: () => Promise<string>;
  readonly contentType: string;
};

/** What there is to watch, in the Prometheus text format. */
export function startMetrics(pool: () => PoolFigures): Metrics {
  const registry = new Registry();
  collectDefaultMetrics({ register: registry });
  const duration = new Histogram({
    name: "http_request_duration_seconds",
    help: "Time from a request to the end of its answer",
    labelNames: ["method", "route", "status"] as const,
    buckets: BUCKETS_S,
    registers: [registry],
  });
  const notCaught = new Counter({
    name: "wide_porch_not_caught_total",
    help: "Errors that nothing had foreseen and the server outlived",
    registers: [registry],
  });
  const gauge = (name: string, help: string, of: (figures: PoolFigures) => number) =>
    new Gauge({
      name,
      help,
      registers: [registry],
      collect() {
        this.set(of(pool()));
      },
    });
  gauge("wide_porch_pool_waiting", "Pieces of heavy work that wait for a thread", ({ waiting }) => waiting);
  gauge("wide_porch_pool_threads", "Threads for heavy work that run", ({ threads }) => threads);
  gauge(
    "wide_porch_pool_ended",
    "Pieces of heavy work ended because they took too long or too much",
    ({ ended }) => ended,
  );
  return {
    timed: (request, response, next) => {
      const end = duration.startTimer();
      response.once("finish", () => {
        const route: unknown = request.route?.path;
        const path = typeof route === "string" ? `${request.baseUrl}${route}` : "other";
        end({ method: request.method, route: path, status: String(response.statusCode) });
      });
      next();
    },
    notCaught: () => notCaught.inc(),
    text: () => registry.metrics(),
    contentType: registry.contentType,
  };
}

const LOOPBACK: ReadonlySet<string> = new Set(["127.0.0.1", "::1", "::ffff:127.0.0.1"]);

function carries(request: Request, token: string): boolean {
  const sent = Buffer.from(request.get("authorization") ?? "");
  const wanted = Buffer.from(`Bearer ${token}`);
  return sent.length === wanted.length && timingSafeEqual(sent, wanted);
}

/** From this machine itself, or with the token of the settings; for others there is no such page. */
export const metricsPage =
  ({ text, contentType }: Metrics, { metricsToken }: Pick<Config, "metricsToken">): RequestHandler =>
  async (request, response, next) => {
    const isFromHere =
      LOOPBACK.has(request.socket.remoteAddress ?? "") && request.headers["x-forwarded-for"] === undefined;
    const isAllowed = metricsToken === undefined ? isFromHere : carries(request, metricsToken);
    if (!isAllowed) {
      next();
      return;
    }
    response.setHeader("Content-Type", contentType);
    response.end(await text());
  };
