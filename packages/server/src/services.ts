import { type Passwords, startPasswords } from "./sessions/passwords";

/** What endpoints use beside the database. */
export type Services = { readonly passwords: Passwords };

export const startServices = (): Services => ({ passwords: startPasswords() });
export const closeServices = ({ passwords }: Services): Promise<void> => passwords.close();
