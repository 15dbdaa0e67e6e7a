import { isTimeZone } from "@wide-porch/core";
import type { DataSource, EntityManager } from "typeorm";
import { z } from "zod";
import { companyEntity, userEntity } from "../companies/entity";
import type { Config } from "../config";
import { alone } from "../database/alone";
import { inTransaction } from "../database/dataSource";
import { type Endpoint, publicEndpoint } from "../http/endpoint";
import { HttpProblem, unfit } from "../http/problemDetails";
import { Reply } from "../http/reply";
import { alreadyLetter, confirmAddressLetter, confirmLetter } from "../mail/letters";
import type { Services } from "../services";
import { sessionSchema } from "../sessions/routes";
import { describeSession, startSession } from "../sessions/store";
import { insertCompany, type NewCompany, newCompanySchema } from "./newCompany";
import { normalPassword, requirePassword } from "./passwordRules";
import { CONFIRM_HOURS, keepUntilConfirmed } from "./toConfirm";

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

const startsSchema = z.object({
  /** Nobody is here yet: the first page makes the company. */
  first: z.boolean(),
  /** A company of one's own can be begun. */
  open: z.boolean(),
  /** Where letters of the stand-in are read; null where real mail is sent. */
  letters: z.string().nullable(),
});

const closed = (): HttpProblem =>
  new HttpProblem(403, { detail: "There is a company here already. Ask its owner to invite you." });

/** The way in for those who have none yet. */
export const setUpEndpoints = (
  dataSource: DataSource,
  { demo, mail, longestDays }: Pick<Config, "demo" | "mail" | "longestDays">,
  { passwords, mailer, links, inBackground }: Services,
): Endpoint[] => {
  const isFirst = async (source: DataSource | EntityManager) => !demo && !(await hasPeople(source));

  /** Somebody has the server to themselves: there is nobody whose address it could be. They confirm theirs by a letter all the same. */
  const beginFirst = (company: Omit<NewCompany, "password">, hash: string) =>
    alone(dataSource, "wide-porch-set-up", () =>
      inTransaction(dataSource, async (manager) => {
        if (!(await isFirst(manager))) throw closed();
        const owner = await insertCompany(manager, company, hash, { addressConfirmed: false });
        const token = await keepUntilConfirmed(manager, owner.email, { kind: "address", userId: owner.id });
        return { owner, token };
      }),
    );

  /** Whoever reads the mail of the address is told the rest: that there is one step more, or that they are here already. */
  async function askByLetter(company: Omit<NewCompany, "password">, passwordHash: string): Promise<void> {
    const { email, companyName } = company;
    if (await dataSource.getRepository(userEntity).existsBy({ email })) {
      await mailer.send(alreadyLetter(email, { company: companyName, link: links.signIn() }));
      return;
    }
    const token = await keepUntilConfirmed(dataSource, email, { kind: "company", company, passwordHash });
    const about = { company: companyName, link: links.confirm(token), hours: CONFIRM_HOURS };
    await mailer.send(confirmLetter(email, about));
  }

  return [
    publicEndpoint({
      method: "get",
      path: "/set-up",
      access: "public",
      summary: "Whether a company can be begun, and whether there is anybody yet",
      status: 200,
      answer: startsSchema,
      handle: async () => {
        const first = await isFirst(dataSource);
        return { first, open: demo || first, letters: mail.page ?? null };
      },
    }),
    publicEndpoint({
      method: "post",
      path: "/companies",
      access: "public",
      summary:
        "Begin a company with its owner. While there is nobody they are signed in by it; beside the demo a letter is sent first, and the answer is the same whether the address is anybody's or not",
      status: 201,
      body: newCompanySchema,
      answer: z.object({ session: sessionSchema.nullable() }),
      handle: async ({ body, received }) => {
        const { password, ...company } = body;
        if (!isTimeZone(company.timeZone)) {
          throw unfit([{ code: "time-zone", path: "timeZone", message: "No such time zone is known." }]);
        }
        requirePassword(password, [company.companyName, company.name, company.email]);
        const first = await isFirst(dataSource);
        if (!first && !demo) throw closed();
        const hash = await passwords.hash(normalPassword(password));
        if (!first) {
          inBackground(askByLetter(company, hash));
          return { session: null };
        }
        const { owner, token } = await beginFirst(company, hash);
        const about = { link: links.confirm(token), hours: CONFIRM_HOURS };
        inBackground(mailer.send(confirmAddressLetter(owner.email, about)));
        const { signedIn, cookie } = await startSession(dataSource, owner, received, longestDays);
        return new Reply({ session: await describeSession(dataSource, signedIn) }, { cookie });
      },
    }),
  ];
};
