import type { Expression } from "../assemblies";
import { ownValue } from "../records/ownValue";
import { listed } from "./listed";

type Call = Expression & { is: "call" };

/** What pieces of a role are called, several of them. */
const ROLE_WORDS: Readonly<Record<string, string>> = {
  sheathing: "sheathing",
  blocking: "blocking",
  "header-packing": "header packing",
  "board-near": "boards on this side",
  "board-far": "boards on the far side",
  "cripple-above": "cripples above",
  "cripple-below": "cripples below",
};
const roleWords = (role: string): string => ownValue(ROLE_WORDS, role) ?? `${role.replaceAll("-", " ")}s`;

/** The roles a call names, in words; the texts among its arguments are nothing else. */
const rolesOf = ({ args }: Call): string =>
  listed(args.flatMap((arg) => (arg.is === "text" ? [roleWords(arg.value)] : [])));

const WORDS: Readonly<Record<string, (call: Call, said: (argument: Expression | undefined) => string) => string>> = {
  pieces: (call) => rolesOf(call),
  run: (call) => `length of ${rolesOf(call)}`,
  along: (call, said) => `fixings at ${said(call.args[0])} along ${rolesOf(call)}`,
  sheets: (call) => `whole sheets of ${rolesOf(call)}`,
  cover: (call) => `area of ${rolesOf(call)}`,
  sheetFixings: (call) => `fixings in ${rolesOf(call)}`,
  frameArea: () => "face of the frame",
  sheetCover: () => "area of one sheet",
  fixingsEach: () => "fixings in one sheet",
  lapped: () => "area of the lapped courses",
};

/** Whether a function tells of the layout: in a working it stands as its value alone. */
export const isOfLayout = (name: string): boolean => Object.hasOwn(WORDS, name);

/** What a function of the layout gives, in a builder's words; `text` is the formula it stands in. */
export function layoutWords(call: Call, text: string): string {
  const said = (argument: Expression | undefined) => (argument ? text.slice(argument.span.from, argument.span.to) : "");
  return ownValue(WORDS, call.name)?.(call, said) ?? call.name;
}
