import { z } from "zod";
import { quoteNumberingSchema, usualNumbering } from "../quote/numbering";
import { CURRENCIES, newJobSchema } from "./schema";

/** A zone that this machine knows by its name in the IANA database: `Europe/London`. */
export function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat("en", { timeZone: name });
    return name.length > 0;
  } catch {
    return false;
  }
}

const registerSchema = z.object({ name: z.string().trim().min(1).max(40), number: z.string().trim().min(1).max(60) });
export const MOST_REGISTERS = 6;

/** What a company is, beside its name and address: the head of its quotes, and what a new job starts with. */
export const companyProfileSchema = z.object({
  phone: z.string().max(60),
  email: z.string().max(190),
  website: z.string().max(190),
  /** Numbers of registers: for tax, of a licence, of an insurance. */
  registers: z.array(registerSchema).max(MOST_REGISTERS),
  /** Its mark on paper, by the id of the picture. */
  mark: z.uuid().nullable(),
  currency: z.enum(CURRENCIES),
  system: newJobSchema.shape.system,
  /** What day it is there, where a device does not say. */
  timeZone: z.string().max(60).refine(isTimeZone, "No such time zone is known: Europe/London is one."),
  numbering: quoteNumberingSchema,
});
export type CompanyProfile = z.infer<typeof companyProfileSchema>;

export const plainProfile: CompanyProfile = {
  phone: "",
  email: "",
  website: "",
  registers: [],
  mark: null,
  currency: "USD",
  system: "imperial",
  timeZone: "UTC",
  numbering: usualNumbering,
};

/** The lines beneath a company's address on paper. */
export const detailLines = ({ phone, email, website, registers }: CompanyProfile): string[] =>
  [phone, email, website, ...registers.map(({ name, number }) => `${name} ${number}`)].filter(
    (line) => line.trim() !== "",
  );
