import { createHash, randomBytes } from "node:crypto";

export const newToken = (): string => randomBytes(32).toString("base64url");
export const hashToken = (token: string): string => createHash("sha256").update(token).digest("hex");
/** Whether it could be one that `newToken` made. */
export const isToken = (text: string | undefined): text is string => text !== undefined && /^[\w-]{43}$/.test(text);
