import { isTimeZone } from "@wide-porch/core";
import type { DataSource, EntityManager } from "typeorm";
import { z } from "zod";
import { companyEntity, userEntity } from "../companies/entity";
import type { Config } from "../config";
import { alone, inTransaction } from "../database/dataSource";
import { type Endpoint, publicEndpoint } from "../http/endpoint";
import { HttpProblem, unfit } from "../http/problemDetails";
import { Reply } from "../http/reply";
import type { Services } from "../services";
import { sessionSchema } from "../sessions/routes";
import { describeSession, startSession } from "../sessions/store";
import { insertCompany, newCompanySchema } from "./newCompany";
import { normalPassword, requirePassword } from "./passwordRules";

/** Whether there is anybody who is not invented. */
const hasPeople = async (source: DataSource | EntityManager): Promise<boolean> => {
  const [row] = await source.query(
    "SELECT EXISTS (SELECT 1 FROM user JOIN company ON company.id = user.companyId WHERE company.demo = FALSE) AS found",
  );
  return Number(row?.found) === 1;
};

/** The invented company, whose people get no letters and keep their password. */
export const isDemoCompany = (source: DataSource | EntityManager, id: string): Promise<boolean> =>
  source.getRepository(companyEntity).existsBy({ id, demo: true });

export const emailTaken = (): HttpProblem =>
  unfit([{ code: "email-taken", path: "email", message: "Somebody signs in with this address already." }]);

const startsSchema = z.object({
  /** Nobody is here yet: the first page makes the company. */
  first: z.boolean(),
  /** A company of one's own can be begun. */
  open: z.boolean(),
  /** Where letters of the stand-in are read; null where real mail is sent. */
  letters: z.string().nullable(),
});

/** The way in for those who have none yet. */
export const setUpEndpoints = (
  dataSource: DataSource,
  { demo, mail }: Pick<Config, "demo" | "mail">,
  { passwords }: Services,
): Endpoint[] => {
  const isOpen = async (source: DataSource | EntityManager) => demo || !(await hasPeople(source));
  return [
    publicEndpoint({
      method: "get",
      path: "/set-up",
      access: "public",
      summary: "Whether a company can be begun, and whether there is anybody yet",
      status: 200,
      answer: startsSchema,
      handle: async () => ({
        first: !demo && !(await hasPeople(dataSource)),
        open: await isOpen(dataSource),
        letters: mail.page ?? null,
      }),
    }),
    publicEndpoint({
      method: "post",
      path: "/companies",
      access: "public",
      summary: "Begin a company with its owner: while there is nobody, or beside the demo",
      status: 201,
      body: newCompanySchema,
      answer: sessionSchema,
      handle: async ({ body, received }) => {
        if (!isTimeZone(body.timeZone)) {
          throw unfit([{ code: "time-zone", path: "timeZone", message: "No such time zone is known." }]);
        }
        requirePassword(body.password, [body.companyName, body.name, body.email]);
        const hash = await passwords.hash(normalPassword(body.password));
        const owner = await alone(dataSource, "wide-porch-set-up", () =>
          inTransaction(dataSource, async (manager) => {
            if (!(await isOpen(manager))) {
              throw new HttpProblem(403, { detail: "There is a company here already. Ask its owner to invite you." });
            }
            if (await manager.getRepository(userEntity).existsBy({ email: body.email })) throw emailTaken();
            return insertCompany(manager, body, hash);
          }),
        );
        const { signedIn, cookie } = await startSession(dataSource, owner, received.userAgent);
        return new Reply(await describeSession(dataSource, signedIn), { cookie });
      },
    }),
  ];
};
