import { randomUUID } from "node:crypto";
import { z } from "zod";

const configSchema = z.object({
  PORT: z.coerce.number().int().min(0).max(65535).default(8787),
  HOST: z.string().default("127.0.0.1"),
  WIDE_PORCH_DB_HOST: z.string().default("127.0.0.1"),
  WIDE_PORCH_DB_PORT: z.coerce.number().int().min(1).max(65535),
  WIDE_PORCH_DB_NAME: z.string().default("wide_porch"),
  WIDE_PORCH_DB_USER: z.string().default("wide_porch"),
  WIDE_PORCH_DB_PASSWORD: z.string(),
  /** Folder of the exported web app; the API runs without it. */
  WIDE_PORCH_WEB: z.string().optional(),
  /** `1` loads the demo company once and offers its people on the sign-in page. */
  WIDE_PORCH_DEMO: z.enum(["0", "1"]).default("0"),
  /** Address of the service that measures roofs; the small stand-in that ships with the app where there is none. */
  WIDE_PORCH_ROOF_REPORTS: z.url().optional(),
  /** Address of the service by which suppliers send their prices; the small stand-in that ships with the app where there is none. */
  WIDE_PORCH_SUPPLIERS: z.url().optional(),
  WIDE_PORCH_SECURE_COOKIES: z.enum(["0", "1"]).default("0"),
  /** Which build of the program this is: answers that another one kept are asked for anew. */
  WIDE_PORCH_BUILD: z.string().max(80).default(""),
  LOG_LEVEL: z.enum(["fatal", "error", "warn", "info", "debug", "silent"]).default("info"),
});

export type Config = {
  readonly host: string;
  readonly port: number;
  readonly database: { host: string; port: number; name: string; user: string; password: string };
  readonly webFolder: string | undefined;
  readonly demo: boolean;
  readonly roofReports: string | undefined;
  readonly suppliers: string | undefined;
  readonly secureCookies: boolean;
  readonly build: string;
  readonly logLevel: string;
};

/** Reads the environment once, at start. Throws a ZodError that names the variable. */
export function readConfig(environment: NodeJS.ProcessEnv): Config {
  const read = configSchema.parse(environment);
  return {
    host: read.HOST,
    port: read.PORT,
    database: {
      host: read.WIDE_PORCH_DB_HOST,
      port: read.WIDE_PORCH_DB_PORT,
      name: read.WIDE_PORCH_DB_NAME,
      user: read.WIDE_PORCH_DB_USER,
      password: read.WIDE_PORCH_DB_PASSWORD,
    },
    webFolder: read.WIDE_PORCH_WEB,
    demo: read.WIDE_PORCH_DEMO === "1",
    roofReports: read.WIDE_PORCH_ROOF_REPORTS,
    suppliers: read.WIDE_PORCH_SUPPLIERS,
    secureCookies: read.WIDE_PORCH_SECURE_COOKIES === "1",
    build: read.WIDE_PORCH_BUILD || randomUUID(),
    logLevel: read.LOG_LEVEL,
  };
}
