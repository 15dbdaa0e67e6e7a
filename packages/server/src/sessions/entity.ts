import { EntitySchema } from "typeorm";

/** `id` is the SHA-256 of the cookie's token: a read of the table signs nobody in. */
export type SessionRow = {
  id: string;
  userId: string;
  csrfToken: string;
  expiresAt: Date;
  createdAt: Date;
  /** To within some minutes. */
  seenAt: Date;
  /** What the device called itself when it signed in. */
  device: string;
  /** The SHA-256 of what the device is known by; empty for sessions from before devices were known. */
  deviceHash: string;
};

export const sessionEntity = new EntitySchema<SessionRow>({
  name: "session",
  columns: {
    id: { type: "char", length: 64, primary: true },
    userId: { type: "char", length: 36 },
    csrfToken: { type: "char", length: 43 },
    expiresAt: { type: "datetime" },
    createdAt: { type: "datetime" },
    seenAt: { type: "datetime" },
    device: { type: "varchar", length: 300 },
    deviceHash: { type: "char", length: 64 },
  },
});

/** A device that somebody has signed in on before. Its cookie outlives the session. */
export type KnownDeviceRow = { userId: string; deviceHash: string; firstSeen: Date; seenAt: Date };

export const knownDeviceEntity = new EntitySchema<KnownDeviceRow>({
  name: "known_device",
  columns: {
    userId: { type: "char", length: 36, primary: true },
    deviceHash: { type: "char", length: 64, primary: true },
    firstSeen: { type: "datetime" },
    seenAt: { type: "datetime" },
  },
});

/** Failed sign-ins within a window, by whoever tried. */
export type SignInAttemptRow = { key: string; count: number; resetAt: Date };

export const signInAttemptEntity = new EntitySchema<SignInAttemptRow>({
  name: "sign_in_attempt",
  columns: {
    key: { type: "varchar", length: 190, primary: true },
    count: { type: "int" },
    resetAt: { type: "datetime" },
  },
});
