import { randomUUID } from "node:crypto";
import { type DataSource, type EntityManager, EntitySchema, MoreThan } from "typeorm";
import { type UserRow, userEntity } from "../companies/entity";
import { HttpProblem, unfit } from "../http/problemDetails";
import { hashToken, newToken } from "../sessions/tokens";
import { invitationEntity } from "./entity";
import { insertCompany, type NewCompany } from "./newCompany";

type Source = DataSource | EntityManager;

export const CONFIRM_HOURS = 48;

/** What is done once an address has been shown to reach whoever gave it. The password is kept as its hash alone. */
export type Wanted =
  | { readonly kind: "company"; readonly company: Omit<NewCompany, "password">; readonly passwordHash: string }
  | {
      readonly kind: "invitation";
      readonly invitationId: string;
      readonly name: string;
      readonly passwordHash: string;
    }
  | { readonly kind: "address"; readonly userId: string };

/** Something that waits for its letter to be answered. */
export type EntryToConfirmRow = { tokenHash: string; email: string; wanted: Wanted; expiresAt: Date };

export const entryToConfirmEntity = new EntitySchema<EntryToConfirmRow>({
  name: "entry_to_confirm",
  columns: {
    tokenHash: { type: "char", length: 64, primary: true },
    email: { type: "varchar", length: 190 },
    wanted: { type: "json" },
    expiresAt: { type: "datetime", precision: 3 },
  },
});

/** Keeps what is wanted until the letter is answered; the token for its link. */
export async function keepUntilConfirmed(source: Source, email: string, wanted: Wanted): Promise<string> {
  const token = newToken();
  const expiresAt = new Date(Date.now() + CONFIRM_HOURS * 3_600_000);
  const entries = source.getRepository(entryToConfirmEntity);
  await entries.insert({ tokenHash: hashToken(token), email, wanted, expiresAt });
  return token;
}

export const linkGone = (what: string): HttpProblem =>
  new HttpProblem(404, {
    detail: `This ${what} does not work any more: it was used, taken back, or is too old. Ask for another.`,
  });

/** Said only to who has shown that the address is theirs. */
const takenByYou = (): HttpProblem => {
  const message = "You sign in with this address already. Ask to be invited by another one.";
  return unfit([{ code: "email-taken", path: "email", message }]);
};

/** Used once: of two who open it at the same moment one is told that it is gone. */
export async function comeIn(
  manager: EntityManager,
  invitationId: string,
  name: string,
  passwordHash: string,
): Promise<UserRow> {
  const invitations = manager.getRepository(invitationEntity);
  const invitation = await invitations.findOneBy({ id: invitationId, expiresAt: MoreThan(new Date()) });
  if (!invitation) throw linkGone("invitation");
  const { affected } = await invitations.delete({ id: invitationId });
  if (!affected) throw linkGone("invitation");
  const { companyId, email, role } = invitation;
  const users = manager.getRepository(userEntity);
  if (await users.existsBy({ email })) throw takenByYou();
  const person = { id: randomUUID(), companyId, email, name, role, passwordHash, leftAt: null, addressConfirmed: true };
  await users.insert(person);
  return person;
}

async function begin(manager: EntityManager, company: Omit<NewCompany, "password">, hash: string): Promise<UserRow> {
  if (await manager.getRepository(userEntity).existsBy({ email: company.email })) throw takenByYou();
  return insertCompany(manager, company, hash, { addressConfirmed: true });
}

async function confirmAddress(manager: EntityManager, userId: string, email: string): Promise<UserRow> {
  const users = manager.getRepository(userEntity);
  await users.update({ id: userId, email }, { addressConfirmed: true });
  const user = await users.findOneBy({ id: userId, email });
  if (!user || user.leftAt) throw linkGone("link");
  return user;
}

export type Confirmed = { readonly user: UserRow; readonly kind: Wanted["kind"] };

/** Does what the letter was about. Throws 404 for a link that does not work any more. */
export async function confirmBy(manager: EntityManager, token: string): Promise<Confirmed> {
  const entries = manager.getRepository(entryToConfirmEntity);
  const where = { tokenHash: hashToken(token), expiresAt: MoreThan(new Date()) };
  const entry = await entries.findOneBy(where);
  if (!entry) throw linkGone("link");
  const { affected } = await entries.delete({ tokenHash: entry.tokenHash });
  if (!affected) throw linkGone("link");
  const { wanted, email } = entry;
  if (wanted.kind === "address") {
    return { kind: wanted.kind, user: await confirmAddress(manager, wanted.userId, email) };
  }
  const { passwordHash } = wanted;
  const user =
    wanted.kind === "company"
      ? await begin(manager, wanted.company, passwordHash)
      : await comeIn(manager, wanted.invitationId, wanted.name, passwordHash);
  return { kind: wanted.kind, user };
}
