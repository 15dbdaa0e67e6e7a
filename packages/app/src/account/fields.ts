import { z } from "zod";

export const emailField = z
  .string()
  .trim()
  .min(1, "Type an address for mail.")
  .max(190, "At most 190 characters.")
  .pipe(z.email("An address for mail is needed: name@example.com."));
export const nameField = z.string().trim().min(1, "Type a name.").max(160, "At most 160 characters.");
/** What makes a good one is the server's to say. */
export const passwordField = z.string().min(1, "Type a password.").max(200, "At most 200 characters.");

/** How the device's own store of passwords and its keyboard are told what an address is. */
export const EMAIL_KEYS = { autoCapitalize: "none", autoComplete: "email", inputMode: "email" } as const;
