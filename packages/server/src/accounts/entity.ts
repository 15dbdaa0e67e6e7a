import { EntitySchema } from "typeorm";
import type { Role } from "../companies/entity";

/** Somebody asked into a company: whoever has the link becomes a person of it. Only the hash of the link's token is kept. */
export type InvitationRow = {
  id: string;
  companyId: string;
  /** Of the link that is handed over by whoever invites: it does not show that the address is anybody's. */
  tokenHash: string;
  /** Of the link in the letter to the address: whoever has it reads the mail of that address. */
  letterHash: string | null;
  email: string;
  name: string;
  role: Role;
  createdAt: Date;
  createdBy: string;
  expiresAt: Date;
};

export const invitationEntity = new EntitySchema<InvitationRow>({
  name: "invitation",
  columns: {
    id: { type: "char", length: 36, primary: true },
    companyId: { type: "char", length: 36 },
    tokenHash: { type: "char", length: 64 },
    letterHash: { type: "char", length: 64, nullable: true },
    email: { type: "varchar", length: 190 },
    name: { type: "varchar", length: 160 },
    role: { type: "varchar", length: 20 },
    createdAt: { type: "datetime", precision: 3 },
    createdBy: { type: "char", length: 36 },
    expiresAt: { type: "datetime", precision: 3 },
  },
});

/** A link by which a forgotten password is set anew, once. */
export type PasswordResetRow = { tokenHash: string; userId: string; expiresAt: Date };

export const passwordResetEntity = new EntitySchema<PasswordResetRow>({
  name: "password_reset",
  columns: {
    tokenHash: { type: "char", length: 64, primary: true },
    userId: { type: "char", length: 36 },
    expiresAt: { type: "datetime", precision: 3 },
  },
});
