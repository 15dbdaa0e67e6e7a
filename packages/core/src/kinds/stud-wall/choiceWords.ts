import { ownValue } from "../../records/ownValue";

const WORDS: Record<string, string> = {
  left: "Left end",
  right: "Right end",
  timber: "Cut from stock",
  precut: "Precut",
  "two-stud": "Two studs and clips",
  "three-stud": "Three studs",
  "four-stud": "Four studs",
  "extra-studs": "Extra studs",
  ladder: "Ladder blocking",
};

/** What a choice of a few is called. */
export const choiceWords = (value: string): string => ownValue(WORDS, value) ?? value;
