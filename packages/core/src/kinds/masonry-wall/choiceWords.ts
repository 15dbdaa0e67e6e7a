import { ownValue } from "../../records/ownValue";

const WORDS: Readonly<Record<string, string>> = {
  "one-leaf": "One leaf",
  bonded: "Two units thick, bonded",
  cavity: "Cavity wall, two leaves",
  veneer: "Veneer on a frame",
  stone: "Stone",
  stretcher: "Stretcher bond",
  english: "English bond",
  flemish: "Flemish bond",
  stack: "Stack bond",
  unit: "As the unit’s own",
  own: "Of their own",
  work: "What is left open",
  coordinating: "Co-ordinating, without the last joint",
  "laid-out": "As laid out",
  "by-area": "By area",
};

/** What a choice of a few is called. */
export const masonryWords = (value: string): string => ownValue(WORDS, value) ?? value;
