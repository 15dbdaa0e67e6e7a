import { type CompiledRule, fillTemplate } from "../assemblies";
import { namesOf, type Round } from "./round";
import { sayer } from "./scope";

/** What the quote says of a rule, with the values of its part in it; empty where the rule has no words. */
export const ruleWords = ({ words }: CompiledRule, round: Round): string =>
  words ? fillTemplate(words, sayer({ ...round, names: namesOf(round.assembly), words: round.layout.words })) : "";
