import { randomBytes } from "node:crypto";
import { Secret, TOTP } from "otpauth";
import { type DataSource, type EntityManager, IsNull, Not } from "typeorm";
import { hashToken } from "../sessions/tokens";
import { recoveryCodeEntity, secondFactorEntity } from "./entity";

type Source = DataSource | EntityManager;

/** RFC 6238 with what every authenticator knows: SHA-1, six digits, thirty seconds. */
const PERIOD_S = 30;
const totpOf = (secret: string, label = ""): TOTP =>
  new TOTP({
    issuer: "Wide Porch",
    label,
    algorithm: "SHA1",
    digits: 6,
    period: PERIOD_S,
    secret: Secret.fromBase32(secret),
  });

/** 160 bits, as RFC 4226 recommends. */
export const newSecret = (): string => new Secret({ size: 20 }).base32;

/** What an authenticator reads out of a picture: an `otpauth` address. */
export const addressOf = (secret: string, label: string): string => totpOf(secret, label).toString();

/** Clocks of phones are off by some seconds: the code before and the one after are taken too. */
const WINDOW = 1;

/** The step of time whose code it is; undefined for a wrong one. */
export function stepOf(secret: string, code: string, nowMs: number): number | undefined {
  const delta = totpOf(secret).validate({ token: code, timestamp: nowMs, window: WINDOW });
  return delta === null ? undefined : Math.floor(nowMs / 1000 / PERIOD_S) + delta;
}

export const hasSecondFactor = (source: Source, userId: string): Promise<boolean> =>
  source.getRepository(secondFactorEntity).existsBy({ userId, confirmedAt: Not(IsNull()) });

const RECOVERY_CODES = 10;
/** Without letters that are taken for another. */
const LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";

/** Ten letters out of 31: close to 50 bits, and tries are few. */
const recoveryCode = (): string => {
  const letters = Array.from(randomBytes(20), (byte) => LETTERS[byte % LETTERS.length]).slice(0, 10);
  return `${letters.slice(0, 5).join("")}-${letters.slice(5).join("")}`;
};

const plainCode = (typed: string): string => typed.replace(/[\s-]/g, "").toLowerCase();
const recoveryHash = (userId: string, code: string): string => hashToken(`${userId} ${plainCode(code)}`);

/** Codes in the place of those from before; they are told once. */
export async function newRecoveryCodes(source: Source, userId: string): Promise<string[]> {
  const codes = Array.from({ length: RECOVERY_CODES }, recoveryCode);
  const kept = source.getRepository(recoveryCodeEntity);
  await kept.delete({ userId });
  await kept.insert(codes.map((code) => ({ userId, codeHash: recoveryHash(userId, code) })));
  return codes;
}

export const recoveryCodesLeft = (source: Source, userId: string): Promise<number> =>
  source.getRepository(recoveryCodeEntity).countBy({ userId });

export type Opened = "code" | "recovery";

/** Takes a code of the authenticator, or one for recovery; each once. Undefined for a wrong one. */
export async function openedBy(
  source: Source,
  userId: string,
  typed: string,
  now = Date.now(),
): Promise<Opened | undefined> {
  const row = await source.getRepository(secondFactorEntity).findOneBy({ userId, confirmedAt: Not(IsNull()) });
  if (!row) return undefined;
  const code = plainCode(typed);
  if (/^\d{6}$/.test(code)) return (await takeStep(source, userId, stepOf(row.secret, code, now))) ? "code" : undefined;
  const { affected } = await source
    .getRepository(recoveryCodeEntity)
    .delete({ userId, codeHash: recoveryHash(userId, code) });
  return affected ? "recovery" : undefined;
}

/** Of two who send the same code at the same moment one is let in. */
async function takeStep(source: Source, userId: string, step: number | undefined): Promise<boolean> {
  if (step === undefined) return false;
  const { affectedRows } = await source.query(
    "UPDATE second_factor SET lastStep = ? WHERE userId = ? AND lastStep < ?",
    [step, userId, step],
  );
  return Number(affectedRows) === 1;
}

/** Begins anew: the secret counts once a code of it was shown. */
export async function beginSecondFactor(source: Source, userId: string): Promise<string> {
  const secret = newSecret();
  await source
    .getRepository(secondFactorEntity)
    .upsert({ userId, secret, confirmedAt: null, lastStep: "0" }, ["userId"]);
  return secret;
}

/** Shows that the authenticator has the secret. False for a wrong code. */
export async function confirmSecondFactor(
  source: Source,
  userId: string,
  code: string,
  now = Date.now(),
): Promise<boolean> {
  const row = await source.getRepository(secondFactorEntity).findOneBy({ userId, confirmedAt: IsNull() });
  const step = row && stepOf(row.secret, plainCode(code), now);
  if (step === undefined || step === null) return false;
  await source
    .getRepository(secondFactorEntity)
    .update({ userId }, { confirmedAt: new Date(now), lastStep: String(step) });
  return true;
}

export async function endSecondFactor(source: Source, userId: string): Promise<void> {
  await source.getRepository(secondFactorEntity).delete({ userId });
  await source.getRepository(recoveryCodeEntity).delete({ userId });
}
