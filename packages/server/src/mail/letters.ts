import type { Letter } from "./mailer";

const SIGNED = "\n\nWide Porch";

export const invitationLetter = (
  to: string,
  about: { readonly company: string; readonly by: string; readonly link: string; readonly days: number },
): Letter => ({
  to,
  subject: `${about.by} asks you into ${about.company}`,
  text: `${about.by} asks you to work with ${about.company} on Wide Porch.

Open this link on your phone or computer, and choose a password:

${about.link}

It can be used once, within ${about.days} days. If you do not know who this is from, do nothing.${SIGNED}`,
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
