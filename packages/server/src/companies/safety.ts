import type { DataSource } from "typeorm";
import { z } from "zod";
import type { Config } from "../config";
import { inTransaction } from "../database/dataSource";
import { type Endpoint, endpoint } from "../http/endpoint";
import { HttpProblem } from "../http/problemDetails";
import { hasSecondFactor } from "../secondFactor/store";
import { lockCompany } from "./entity";
import { usageOf, usageSchema } from "./usage";

const MOST_HOURS = 24 * 90;
const MOST_DAYS = 365;

const limitsSchema = z.object({
  /** Everybody in the company sets up a second factor before anything else. */
  secondFactorForAll: z.boolean(),
  /** Signed out after so many hours without a visit; null for the server's own limit. */
  idleHours: z.int().min(1).max(MOST_HOURS).nullable(),
  /** Signed out so many days after signing in; null for the server's own limit. */
  longestDays: z.int().min(1).max(MOST_DAYS).nullable(),
});
const changeSchema = limitsSchema.partial().strict().meta({ id: "SafetyChange" });

const safetySchema = limitsSchema
  .extend({
    /** What holds where the company says nothing, and beyond which it says nothing. */
    server: z.object({ idleHours: z.number(), longestDays: z.number() }),
    usage: usageSchema,
  })
  .meta({ id: "Safety" });

type Row = { secondFactorForAll: number; idleHours: number | null; longestDays: number | null };

const DAY_HOURS = 24;
const daysOf = (hours: number): string => (hours % DAY_HOURS === 0 ? `${hours / DAY_HOURS} d` : `${hours} h`);

/** What was changed, for the company's log. */
function inWords({ secondFactorForAll, idleHours, longestDays }: z.infer<typeof changeSchema>): string {
  const ofIdle = idleHours === null ? "as on the server" : daysOf(idleHours ?? 0);
  const ofLongest = longestDays === null ? "as on the server" : `${longestDays} d`;
  return [
    ...(secondFactorForAll === undefined ? [] : [`second factor for everybody: ${secondFactorForAll ? "yes" : "no"}`]),
    ...(idleHours === undefined ? [] : [`signed out without a visit: ${ofIdle}`]),
    ...(longestDays === undefined ? [] : [`signed out in any case: ${ofLongest}`]),
  ].join(", ");
}

/** What an owner says of how people sign in, and how much room the company has. */
export const safetyEndpoints = (
  dataSource: DataSource,
  config: Pick<Config, "idleDays" | "longestDays" | "quotas">,
): Endpoint[] => {
  const server = { idleHours: config.idleDays * 24, longestDays: config.longestDays };

  async function safetyOf(companyId: string): Promise<z.infer<typeof safetySchema>> {
    const [row]: Row[] = await dataSource.query(
      "SELECT secondFactorForAll, idleHours, longestDays FROM company WHERE id = ?",
      [companyId],
    );
    const { idleHours = null, longestDays = null, secondFactorForAll = 0 } = row ?? {};
    const usage = await usageOf(dataSource, companyId, config.quotas);
    return { secondFactorForAll: Number(secondFactorForAll) === 1, idleHours, longestDays, server, usage };
  }

  return [
    endpoint({
      method: "get",
      path: "/company/safety",
      access: "owner",
      summary: "What the company asks of those who sign in, and how much of its room is taken",
      status: 200,
      answer: safetySchema,
      handle: ({ user }) => safetyOf(user.companyId),
    }),
    endpoint({
      method: "patch",
      path: "/company/safety",
      access: "owner",
      summary: "Change what the company asks of those who sign in; it holds from the next request of each",
      status: 200,
      body: changeSchema,
      noted: { what: "safety-changed", about: ({ body }) => inWords(changeSchema.parse(body)) },
      answer: safetySchema,
      handle: async ({ user, body }) => {
        // Who asks it of all shows that it can be done, and does not shut themselves out.
        if (body.secondFactorForAll && !(await hasSecondFactor(dataSource, user.id))) {
          throw new HttpProblem(422, { detail: "Set up your own second factor first, on the page “You”." });
        }
        await inTransaction(dataSource, async (manager) => {
          await lockCompany(manager, user.companyId);
          for (const [name, value] of Object.entries(body)) {
            if (value === undefined) continue;
            // The names are the schema's own.
            await manager.query(`UPDATE company SET \`${name}\` = ? WHERE id = ?`, [value, user.companyId]);
          }
        });
        return safetyOf(user.companyId);
      },
    }),
  ];
};
