import { dictionary } from "@zxcvbn-ts/language-common";
import { unfit } from "../http/problemDetails";

/**
 * NIST SP 800-63B-4, 3.1.1.2 (2025): a password that is all there is has 15 characters at least; 64 and more are taken; any character
 * is; none is asked for; what is common, expected or compromised is refused, with the reason; it never expires by itself.
 */
export const FEWEST_CHARACTERS = 15;
export const MOST_CHARACTERS = 200;

const COMMON: ReadonlySet<string> = new Set(dictionary["passwords-common"]);
const ROWS = [
  "abcdefghijklmnopqrstuvwxyz",
  "01234567890123456789",
  "qwertyuiopasdfghjklzxcvbnm",
  "qwertzuiopasdfghjklyxcvbnm",
];

/** As it is hashed: composed, so that the same letters typed on another device are the same password. */
export const normalPassword = (password: string): string => password.normalize("NFC");

const plain = (text: string): string => text.toLowerCase().replace(/[\s._-]+/g, "");

/** What a text is the repetition of: `abcabcab` of `abc`. */
function repeatedUnit(text: string): string {
  for (let length = 1; length <= text.length / 2; length += 1) {
    const unit = text.slice(0, length);
    if (unit.repeat(Math.ceil(text.length / length)).slice(0, text.length) === text) return unit;
  }
  return text;
}

const reversed = (text: string): string => [...text].reverse().join("");
const runsInRow = (text: string): boolean => ROWS.some((row) => row.includes(text) || reversed(row).includes(text));

/** Common by itself, or common with figures and marks hung on either end. */
function isCommon(text: string): boolean {
  const bare = text.replace(/^[\d\W_]+|[\d\W_]+$/g, "");
  return COMMON.has(text) || (bare.length > 0 && COMMON.has(bare) && text.length - bare.length <= 8);
}

function isExpected(text: string, about: readonly string[]): boolean {
  const words = about.map(plain).filter((word) => word.length >= 4);
  // What is left once everything that could be known of the person is taken out is too little to guess.
  const left = words.reduce((rest, word) => rest.replaceAll(word, ""), text);
  return left !== text && left.length < 6;
}

/** Why a password cannot be taken, in words; undefined for one that can. `about` is what others know: name, address, company. */
export function passwordProblem(password: string, about: readonly string[]): string | undefined {
  const normal = normalPassword(password);
  const { length } = [...normal];
  if (length < FEWEST_CHARACTERS) {
    return `At least ${FEWEST_CHARACTERS} characters: a few words one after another are easy to keep. This has ${length}.`;
  }
  if (length > MOST_CHARACTERS) return `At most ${MOST_CHARACTERS} characters.`;
  const text = plain(normal);
  const unit = repeatedUnit(text);
  if (unit.length <= 4 || runsInRow(unit) || isCommon(text) || (unit !== text && isCommon(unit))) {
    return "This is among the passwords that are tried first. Take other words.";
  }
  if (isExpected(text, [...about, "Wide Porch", "password"])) {
    return "This is little more than a name or an address that others know. Add words that nobody would expect.";
  }
  return undefined;
}

/** Throws 422 with the reason beside the field. */
export function requirePassword(password: string, about: readonly string[], path = "password"): void {
  const message = passwordProblem(password, about);
  if (message !== undefined) throw unfit([{ code: "password", path, message }]);
}
