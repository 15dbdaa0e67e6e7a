import {
  assemblyRecord,
  companyProfileSchema,
  jobRecord,
  jobSchema,
  type Part,
  partSchema,
  plainProfile,
  priceItemRecord,
  pricesKeptSchema,
  quoteDocumentRecord,
  readPart,
  reportMatchSchema,
  standardRecord,
  type UnknownPart,
  unknownPart,
} from "@wide-porch/core";
import { z } from "zod";
import { knownOf, recordOf } from "./tolerant";

const roleSchema = z.enum(["owner", "estimator", "crew"]);

export const sessionSchema = z.object({
  user: z.object({
    id: z.string(),
    name: z.string(),
    email: z.string(),
    role: roleSchema,
    addressConfirmed: z.boolean().default(true),
  }),
  company: z.object({
    id: z.string(),
    name: z.string(),
    address: z.string(),
    demo: z.boolean().default(false),
    // One that the device kept from before has none.
    profile: companyProfileSchema.catch(plainProfile),
  }),
  csrfToken: z.string(),
  /** What this person's entries are sealed with on the device; it is kept in no other way than as a key that cannot be read out. */
  deviceKey: z.string().default(""),
  /** The company asks for a second factor, and there is none yet. */
  needsSecondFactor: z.boolean().default(false),
});
export type Session = z.infer<typeof sessionSchema>;

/** A session where one is in; null where a letter is to be answered first. */
export const maybeSessionSchema = z.object({ session: sessionSchema.nullable() });

/** How one can come in: whether there is nobody yet, whether a company can be begun, where letters of the stand-in are read. */
export const setUpSchema = z.object({ first: z.boolean(), open: z.boolean(), letters: z.string().nullable() });

/** What an invitation's link is for. */
export const invitedSchema = z.object({ company: z.string(), name: z.string(), email: z.string(), role: roleSchema });

export const personSchema = z.object({
  id: z.string(),
  name: z.string(),
  email: z.string(),
  role: roleSchema,
  leftAt: z.string().nullable(),
  devices: z.number(),
  seenAt: z.string().nullable(),
  secondFactor: z.boolean(),
});
export type Person = z.infer<typeof personSchema>;
export const invitationSchema = z.object({
  id: z.string(),
  name: z.string(),
  email: z.string(),
  role: roleSchema,
  expiresAt: z.string(),
});
export type Invitation = z.infer<typeof invitationSchema>;
export const peopleSchema = z.object({ items: z.array(personSchema), invitations: z.array(invitationSchema) });
export const peopleChangedSchema = peopleSchema.pick({ items: true });
export const erasedSchema = peopleChangedSchema.extend({ kept: z.array(z.string()) });
export const invitedAnswerSchema = z.object({ invitation: invitationSchema, link: z.string(), mailed: z.boolean() });

export const deviceListSchema = z.object({
  items: z.array(
    z.object({ id: z.string(), device: z.string(), since: z.string(), seenAt: z.string(), own: z.boolean() }),
  ),
});
export type SignedInDevice = z.infer<typeof deviceListSchema>["items"][number];

export const companySchema = z.object({ name: z.string(), address: z.string(), profile: companyProfileSchema });
export type Company = z.infer<typeof companySchema>;

export const demoPeopleSchema = z.object({
  items: z.array(z.object({ name: z.string(), email: z.string(), role: roleSchema, password: z.string() })),
});

const deviceJobSchema = jobSchema.extend({ pricing: jobSchema.shape.pricing.nullable() });

/** Pricing is null for crew, who do not see costs. */
export const jobRecordSchema = z.object({
  id: z.string(),
  revision: z.number(),
  updatedAt: z.string(),
  job: recordOf({ ...jobRecord, schema: deviceJobSchema }),
});
export type JobRecord = z.infer<typeof jobRecordSchema>;

/** What a job comes to, and how far the margin goes. */
export const jobTotalSchema = z.object({
  total: z.string(),
  marginPercent: z.string(),
  /** What it came to before an update of the program, at the same prices, where that was another sum. */
  former: z.string().nullable().default(null),
});
const jobListItemSchema = jobRecordSchema.extend({
  /** As it was last reckoned; null where nobody has, and for crew. */
  total: jobTotalSchema.extend({ old: z.boolean() }).nullable().default(null),
});
export type JobListItem = z.infer<typeof jobListItemSchema>;

/** A job of a version that this program does not know: its name is all that is shown of it. */
const unknownJobSchema = z.object({
  id: z.string(),
  job: z.object({ title: z.string().default("A job"), customerName: z.string().default("") }),
});
export type UnknownJob = z.infer<typeof unknownJobSchema>;

export const jobListSchema = z
  .object({
    items: z.array(z.unknown()),
    unknown: z.array(unknownJobSchema).default([]),
    total: z.number(),
    page: z.number(),
    perPage: z.number(),
  })
  .transform(({ items, unknown, ...rest }) => ({
    ...rest,
    items: items.flatMap((each) => jobListItemSchema.safeParse(each).data ?? []),
    unknown: [
      ...unknown,
      ...items.flatMap((each) => {
        const known = jobListItemSchema.safeParse(each).success;
        return known ? [] : (unknownJobSchema.safeParse(each).data ?? []);
      }),
    ],
  }));

const storedPartSchema = z.object({ id: z.string(), revision: z.number(), binned: z.boolean(), part: z.unknown() });

const partField: z.ZodType<Part> = z.unknown().transform((stored, context): Part => {
  const found = readPart(stored);
  if (found.ok) return found.value;
  context.addIssue({ code: "custom", message: found.problem.message });
  return z.NEVER;
});

export const partRecordSchema = storedPartSchema.extend({ part: partField });
export type PartRecord = z.infer<typeof partRecordSchema>;

/** Parts apart from those of a kind or version that this program does not know: these are shown as such, and left alone. */
function sorted(stored: readonly z.infer<typeof storedPartSchema>[]) {
  const parts: PartRecord[] = [];
  const unknownParts: UnknownPart[] = [];
  for (const record of stored) {
    const found = readPart(record.part);
    if (found.ok) parts.push({ ...record, part: found.value });
    else unknownParts.push({ ...unknownPart(record.part, found.problem.message), id: record.id });
  }
  return { parts, unknownParts };
}

const unknownPartSchema = z.object({ id: z.string(), name: z.string(), why: z.string(), stored: z.unknown() });

export const fullJobSchema = z
  .object({
    /** The last change that this answer knows of; none in one that the device kept from an earlier version. */
    change: z.number().optional(),
    job: jobRecordSchema,
    parts: z.array(storedPartSchema),
    /** As it is kept on the device. */
    unknownParts: z.array(unknownPartSchema).default([]),
    /** In the versions the parts are counted with. */
    assemblies: knownOf(recordOf(assemblyRecord)),
    standard: recordOf(standardRecord).nullable().catch(null),
  })
  .transform(({ parts: stored, unknownParts: kept, ...rest }) => {
    const { parts, unknownParts } = sorted(stored);
    return { ...rest, parts, unknownParts: [...kept, ...unknownParts] };
  });
export type FullJob = z.infer<typeof fullJobSchema>;

/** What of a job changed since a change that is known: nothing but the number where nothing did. */
export const jobChangesSchema = z.object({
  change: z.number(),
  changed: z
    .object({
      job: jobRecordSchema,
      parts: z.array(storedPartSchema),
      assemblies: knownOf(recordOf(assemblyRecord)),
      standard: recordOf(standardRecord).nullable().catch(null),
    })
    .transform(({ parts: stored, ...rest }) => ({
      ...rest,
      ...sorted(stored.filter((each) => !each.binned)),
      binned: stored.filter((each) => each.binned).map((each) => ({ id: each.id, revision: each.revision })),
    }))
    .optional(),
});
export type JobChanges = z.infer<typeof jobChangesSchema>;

export const priceRecordSchema = z.object({ revision: z.number(), item: recordOf(priceItemRecord) });
export const priceListSchema = z.object({
  /** When it was read; one that the device kept from before has none. */
  at: z.iso.datetime().optional(),
  items: knownOf(priceRecordSchema),
});
/** What a job is reckoned with in another version than the list has. */
export const keptPricesSchema = z.object({ prices: pricesKeptSchema, kept: knownOf(priceRecordSchema) });
export type KeptPrices = z.infer<typeof keptPricesSchema>;
export const priceHistorySchema = z.object({
  items: z.array(z.object({ revision: z.number(), at: z.string(), by: z.string(), item: recordOf(priceItemRecord) })),
});
export const priceBatchSchema = z.object({
  id: z.string(),
  fromWhere: z.string(),
  at: z.string(),
  by: z.string(),
  itemCount: z.number(),
  undoneAt: z.string().nullable(),
});
export type PriceBatch = z.infer<typeof priceBatchSchema>;
export type PriceRecord = z.infer<typeof priceRecordSchema>;

export const assemblyRecordSchema = z.object({
  assembly: recordOf(assemblyRecord),
  retired: z.boolean(),
  failingExamples: z.number(),
  problems: z.number(),
});
export type AssemblyRecord = z.infer<typeof assemblyRecordSchema>;
export const assemblyListSchema = z.object({
  items: knownOf(assemblyRecordSchema),
  /** Versions that these build on; an answer kept from before there were any has none. */
  bases: knownOf(recordOf(assemblyRecord)).default([]),
});

export const standardRecordSchema = z.object({ standard: recordOf(standardRecord), retired: z.boolean() });
export type StandardRecord = z.infer<typeof standardRecordSchema>;
/** The standard that a new job starts with, by its id. */
const usualSchema = z.object({ imperial: z.string().nullable(), metric: z.string().nullable() });
export const standardListSchema = z.object({
  items: knownOf(standardRecordSchema),
  usual: usualSchema,
  /** Labour tasks that a pace can be set for. */
  tasks: z.array(z.object({ id: z.string(), name: z.string() })),
});
export type UsualStandards = z.infer<typeof usualSchema>;
export const usualStandardsSchema = z.object({ usual: usualSchema });

export const roofReportListSchema = z.object({
  items: z.array(z.object({ id: z.string(), title: z.string(), made: z.string() })),
});
export const roofReportSchema = z.object({ text: z.string() });
export const reportColumnsSchema = z.object({ columns: z.record(z.string(), reportMatchSchema) });

export const quoteRecordSchema = z.object({
  id: z.string(),
  number: z.string(),
  sequence: z.number(),
  issuedAt: z.string(),
  /** It came with a job's file, under the number it had there. */
  imported: z.boolean(),
  document: recordOf(quoteDocumentRecord),
});
export type QuoteRecord = z.infer<typeof quoteRecordSchema>;
/** What an issued quote was made from. */
export const quoteInputsSchema = z.object({
  job: recordOf(jobRecord),
  parts: z.array(partSchema),
  priceList: z.array(recordOf(priceItemRecord)),
  assemblies: z.array(recordOf(assemblyRecord)),
  standard: recordOf(standardRecord).nullable(),
});
export const quoteListSchema = z.object({ items: knownOf(quoteRecordSchema) });

export const partHistorySchema = z.object({
  more: z.boolean().default(false),
  items: knownOf(
    z.object({
      id: z.string().default(""),
      revision: z.number(),
      how: z.enum(["saved", "binned", "set-aside"]),
      at: z.string(),
      by: z.string(),
      part: partField,
    }),
  ),
});
export type PartVersion = z.infer<typeof partHistorySchema>["items"][number];

/** Jobs that were deleted and can be had back for some weeks. */
export const deletedJobsSchema = z.object({
  items: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      customerName: z.string(),
      binnedAt: z.string(),
      by: z.string(),
      goneAt: z.string(),
    }),
  ),
});
export type DeletedJob = z.infer<typeof deletedJobsSchema>["items"][number];

export const secondFactorSchema = z.object({ on: z.boolean(), asked: z.boolean(), recoveryCodesLeft: z.number() });
export const secondFactorBegunSchema = z.object({ secret: z.string(), address: z.string(), picture: z.string() });
export const recoveryCodesSchema = z.object({ recoveryCodes: z.array(z.string()) });

const usedSchema = z.object({ used: z.number(), most: z.number() });
export const safetySchema = z.object({
  secondFactorForAll: z.boolean(),
  idleHours: z.number().nullable(),
  longestDays: z.number().nullable(),
  server: z.object({ idleHours: z.number(), longestDays: z.number() }),
  usage: z.object({ jobs: usedSchema, items: usedSchema, photos: usedSchema, photoBytes: usedSchema }),
});
export type Safety = z.infer<typeof safetySchema>;

/** A line of the company's log. */
export const eventsSchema = z.object({
  items: z.array(
    z.object({
      id: z.string(),
      at: z.string(),
      what: z.string(),
      who: z.string(),
      place: z.string(),
      device: z.string(),
      about: z.string(),
    }),
  ),
  more: z.boolean(),
});
export type LogLine = z.infer<typeof eventsSchema>["items"][number];
