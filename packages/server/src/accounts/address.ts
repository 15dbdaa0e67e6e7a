import { z } from "zod";

const LONGEST = 190;

/**
 * An address as it is kept and compared: without blanks at its ends, the capitals A to Z made small. Beyond that addresses are told apart by
 * their bytes: `é` is not `e`, and the sign for kelvin is no `k` (as it would be by Unicode's own forms).
 *
 * @example normalAddress(" Orla@Puddock.example") === "orla@puddock.example"
 */
export const normalAddress = (typed: string): string =>
  typed.trim().replace(/[A-Z]/g, (letter) => letter.toLowerCase());

/** An address that is looked up: any text may have been typed. */
export const emailSchema = z.string().overwrite(normalAddress).max(LONGEST);

/** An address that is to be somebody's: ASCII, as a letter is sent there. */
export const newEmailSchema = z
  .string()
  .overwrite(normalAddress)
  .max(LONGEST)
  .pipe(z.email("An address for mail is needed: name@example.com."));
