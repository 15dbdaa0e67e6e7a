/** What the lines of a company's log say. One of a newer program is said by its own name. */
const WORDS: Readonly<Record<string, string>> = {
  "signed-in": "signed in",
  "signed-in-on-new-device": "signed in on a new device",
  "not-signed-in": "was not let in",
  "signed-out": "signed out",
  "signed-out-elsewhere": "signed another device out",
  "password-changed": "changed their password",
  "password-reset": "set a forgotten password anew",
  "second-factor-on": "turned a second factor on",
  "second-factor-off": "turned the second factor off",
  "second-factor-reset": "took somebody's second factor out",
  "recovery-code-used": "used a recovery code",
  "came-in": "came into the company",
  invited: "invited somebody",
  "invitation-taken-back": "took an invitation back",
  "person-changed": "changed somebody",
  "person-signed-out": "signed somebody out everywhere",
  "person-erased": "took somebody's data out",
  "company-changed": "changed the company",
  "safety-changed": "changed how people sign in",
  "company-exported": "took everything as files",
  "job-exported": "took a job as a file",
  "quote-issued": "issued a quote",
  "job-deleted": "deleted a job",
  "job-restored": "restored a job",
  "job-gone": "A deleted job is gone for good",
  "prices-taken": "took prices from a file or a supplier",
  "prices-taken-back": "took prices back",
};

export const eventWords = (what: string): string => WORDS[what] ?? what.replace(/-/g, " ");

/** Kinds of lines that are looked for together. */
export const LOG_GROUPS = [
  { value: "", label: "Everything" },
  {
    value:
      "signed-in,signed-in-on-new-device,not-signed-in,signed-out,signed-out-elsewhere,password-changed,password-reset,second-factor-on,second-factor-off,recovery-code-used",
    label: "Signing in",
  },
  {
    value:
      "came-in,invited,invitation-taken-back,person-changed,person-signed-out,person-erased,second-factor-reset,company-changed,safety-changed",
    label: "People and company",
  },
  {
    value:
      "company-exported,job-exported,quote-issued,job-deleted,job-restored,job-gone,prices-taken,prices-taken-back",
    label: "Jobs and files",
  },
] as const;
