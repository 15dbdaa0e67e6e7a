import { EntitySchema } from "typeorm";

/** What matters to an owner, and is written down when it happens. */
export const EVENTS = [
  "signed-in",
  "signed-in-on-new-device",
  "not-signed-in",
  "signed-out",
  "signed-out-elsewhere",
  "password-changed",
  "password-reset",
  "second-factor-on",
  "second-factor-off",
  "second-factor-reset",
  "recovery-code-used",
  "came-in",
  "invited",
  "invitation-taken-back",
  "person-changed",
  "person-signed-out",
  "person-erased",
  "company-changed",
  "safety-changed",
  "company-exported",
  "job-exported",
  "quote-issued",
  "job-deleted",
  "job-restored",
  "job-gone",
  "prices-taken",
  "prices-taken-back",
] as const;
export type EventKind = (typeof EVENTS)[number];

/** One line of a company's log. It is apart from the server's own logs, and is nobody's to change. */
export type EventRow = {
  id: string;
  companyId: string;
  at: Date;
  what: EventKind;
  /** Who it was by; null for somebody who was not signed in. */
  userId: string | null;
  /** What they were called then; of somebody not signed in the address that they gave, where it is a person's of the company. */
  who: string;
  /** The address of the network that it came from. */
  place: string;
  device: string;
  /** What it was about, in words. */
  about: string;
};

export const eventEntity = new EntitySchema<EventRow>({
  name: "event",
  columns: {
    id: { type: "bigint", primary: true, generated: true },
    companyId: { type: "char", length: 36 },
    at: { type: "datetime", precision: 3 },
    what: { type: "varchar", length: 40 },
    userId: { type: "char", length: 36, nullable: true },
    who: { type: "varchar", length: 160 },
    place: { type: "varchar", length: 60 },
    device: { type: "varchar", length: 300 },
    about: { type: "varchar", length: 300 },
  },
});
