import type { Letter } from "./mailer";

const SIGNED = "\n\nWide Porch";
const LONGEST_NAME = 80;

/**
 * What somebody typed as a name, in a letter: programs that read mail make a link of whatever looks like one, and of what we send there is
 * but one link, our own.
 *
 * @example asName("www.evil.example/pay") === "www. evil. example pay"
 */
export const asName = (typed: string): string =>
  typed
    .replace(/[\p{C}\p{Z}]+/gu, " ")
    .replace(/[/\\:<>[\]()]+/g, " ")
    .replace(/@/g, " at ")
    .replace(/[.\u3002\uff0e\uff61](?=\S)/g, ". ")
    .replace(/ +/g, " ")
    .trim()
    .slice(0, LONGEST_NAME)
    .trim();

type Invitation = { readonly company: string; readonly by: string; readonly link: string; readonly days: number };

export const invitationLetter = (to: string, { company, by, link, days }: Invitation): Letter => ({
  to,
  subject: `${asName(by)} asks you into ${asName(company)}`,
  text: `${asName(by)} asks you to work with ${asName(company)} on Wide Porch.

Open this link on your phone or computer, and choose a password:

${link}

It can be used once, within ${days} days. If you do not know who this is from, do nothing.${SIGNED}`,
});

export const forgottenLetter = (to: string, about: { readonly link: string; readonly minutes: number }): Letter => ({
  to,
  subject: "A new password",
  text: `Somebody, probably you, has forgotten the password that goes with this address.

Choose a new one here:

${about.link}

The link can be used once, within ${about.minutes} minutes. It ends all other sessions of yours. If it was not you, do nothing: your
password stays as it is.${SIGNED}`,
});

export const changedLetter = (to: string): Letter => ({
  to,
  subject: "Your password was changed",
  text: `The password that goes with this address was changed just now, and everybody who was signed in by the old one is signed out.

If it was not you, choose a new one: on the sign-in page, press “Forgotten?”.${SIGNED}`,
});

const timeText = (at: Date): string => `${at.toISOString().slice(0, 16).replace("T", " ")} UTC`;

export const newDeviceLetter = (
  to: string,
  { place, userAgent }: { readonly place: string; readonly userAgent: string },
  at: Date,
): Letter => ({
  to,
  subject: "You signed in on another device",
  text: `Somebody signed in with this address on a device that has not been used for it before: ${timeText(at)}, from the network address
${asName(place).replace(/\. /g, ".")}. The device calls itself: ${asName(userAgent) || "nothing"}

If it was you, do nothing. If not, choose a new password: on the sign-in page, press “Forgotten?”. It signs everybody else out.${SIGNED}`,
});

/** Shows that the address reaches whoever gave it; what they asked for is done by it. */
export const confirmLetter = (
  to: string,
  about: { readonly company: string; readonly link: string; readonly hours: number },
): Letter => ({
  to,
  subject: `One step more to ${asName(about.company)}`,
  text: `Somebody, probably you, wants to work with ${asName(about.company)} on Wide Porch, under this address.

Open this link to show that it reaches you, and come in:

${about.link}

It can be used once, within ${about.hours} hours. If it was not you, do nothing: nothing was made.${SIGNED}`,
});

/** Somebody is somewhere already: nobody is told but they themselves. */
export const alreadyLetter = (to: string, about: { readonly company: string; readonly link: string }): Letter => ({
  to,
  subject: "You are on Wide Porch already",
  text: `Somebody, probably you, wanted to work with ${asName(about.company)} on Wide Porch, under this address.

You sign in with it already, so nothing was made. Sign in as you are used to; if you have forgotten the password, press “Forgotten?” there:

${about.link}

For another company you need another address. If it was not you, do nothing.${SIGNED}`,
});

export const confirmAddressLetter = (to: string, about: { readonly link: string; readonly hours: number }): Letter => ({
  to,
  subject: "Is this your address?",
  text: `Open this link to show that letters to this address reach you. A forgotten password can be set anew only then.

${about.link}

It can be used once, within ${about.hours} hours.${SIGNED}`,
});

/** What changed about how somebody signs in. */
export const safetyLetter = (to: string, what: string): Letter => ({
  to,
  subject: "How you sign in has changed",
  text: `${what}

If it was not you, choose a new password: on the sign-in page, press “Forgotten?”. Then ask an owner of your company.${SIGNED}`,
});
