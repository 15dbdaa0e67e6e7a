import { EntitySchema } from "typeorm";

/** The secret that a person's authenticator has; theirs counts once they have shown a code of it. */
export type SecondFactorRow = {
  userId: string;
  /** Base32, as an authenticator takes it. */
  secret: string;
  confirmedAt: Date | null;
  /** The step of time whose code was used last: none is taken twice. */
  lastStep: string;
};

export const secondFactorEntity = new EntitySchema<SecondFactorRow>({
  name: "second_factor",
  columns: {
    userId: { type: "char", length: 36, primary: true },
    secret: { type: "varchar", length: 64 },
    confirmedAt: { type: "datetime", nullable: true },
    lastStep: { type: "bigint", default: 0 },
  },
});

/** A code that opens once where the authenticator is lost. Only its hash is kept. */
export type RecoveryCodeRow = { userId: string; codeHash: string };

export const recoveryCodeEntity = new EntitySchema<RecoveryCodeRow>({
  name: "recovery_code",
  columns: {
    userId: { type: "char", length: 36, primary: true },
    codeHash: { type: "char", length: 64, primary: true },
  },
});
