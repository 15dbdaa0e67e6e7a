import Big from "big.js";
import { type Money, sumMoney } from "../units";
import { isOwn, type LedgerLine } from "./ledgerLine";

/** What lines can be grouped by. */
export const LEDGER_KEYS = [
  "kind",
  "trade",
  "phase",
  "part",
  "storey",
  "location",
  "assembly",
  "item",
  "supplier",
  "supply",
  "crew",
  "option",
  "section",
  "source",
  "markup",
  "tax",
] as const;
export type LedgerKey = (typeof LEDGER_KEYS)[number];

/** Lines that are alike in a key, which are further groups or the lines themselves; their costs add up to the group's. */
export type LedgerGroup = {
  /** The keys and values that lead to it. */
  readonly id: string;
  readonly key: LedgerKey;
  /** Empty for lines that have none. */
  readonly value: string;
  readonly cost: Money;
  readonly hours: string;
  readonly count: number;
  readonly groups: readonly LedgerGroup[];
  readonly lines: readonly LedgerLine[];
};

const VALUES: Readonly<Record<LedgerKey, (line: LedgerLine) => string>> = {
  kind: ({ kind }) => kind,
  trade: ({ trade }) => trade,
  phase: ({ phase }) => phase,
  part: ({ partName }) => partName,
  storey: ({ storey }) => storey,
  location: ({ location }) => location,
  assembly: ({ assembly }) => assembly,
  item: ({ itemCode, what, task }) => (itemCode === "" || task !== "" ? what : itemCode),
  supplier: ({ supplier }) => supplier,
  supply: ({ supply }) => supply,
  crew: ({ crew }) => crew,
  option: ({ option }) => option,
  section: ({ section }) => section,
  source: ({ source }) => source,
  markup: ({ markupPercent }) => markupPercent,
  tax: ({ tax }) => tax,
};

export const ledgerValue = (line: LedgerLine, key: LedgerKey): string => VALUES[key](line);

/** Two parts of one name are two. */
const identity = (line: LedgerLine, key: LedgerKey): string => (key === "part" ? line.partId : VALUES[key](line));

const OF_PARTS: ReadonlySet<LedgerKey> = new Set(["part", "storey", "location"]);

/** What is for several parts as one line for each of them; the rest as it is. */
export const byShares = (lines: readonly LedgerLine[]): LedgerLine[] =>
  lines.flatMap((line) => {
    if (isOwn(line) || line.shares.length === 0) return [line];
    return line.shares.map(({ cost, ...share }) => ({
      ...line,
      ...share,
      id: `${line.id}@${share.partId}`,
      rate: cost,
      cost,
      shares: [{ ...share, cost }],
    }));
  });

const hoursOf = (lines: readonly LedgerLine[]): string =>
  lines.reduce((sum, { hours }) => (hours === "0" ? sum : sum.plus(hours)), new Big(0)).toString();

function grouped(lines: readonly LedgerLine[], keys: readonly LedgerKey[], above: string): LedgerGroup[] {
  const [key, ...further] = keys;
  if (!key) return [];
  const byValue = new Map<string, LedgerLine[]>();
  for (const line of lines) {
    const value = identity(line, key);
    const same = byValue.get(value);
    if (same) same.push(line);
    else byValue.set(value, [line]);
  }
  return [...byValue].map(([value, own]) => {
    const id = `${above}/${key}=${value}`;
    const [first] = own;
    return {
      id,
      key,
      value: first ? ledgerValue(first, key) : value,
      cost: sumMoney(own.map((line) => line.cost)),
      hours: hoursOf(own),
      count: own.length,
      groups: grouped(own, further, id),
      lines: further.length === 0 ? own : [],
    };
  });
}

/** Lines under groups by any keys, in their order; what is shared is split where a key asks whose it is. Costs add up at every level. */
export const groupLedger = (lines: readonly LedgerLine[], keys: readonly LedgerKey[]): LedgerGroup[] =>
  grouped(keys.some((key) => OF_PARTS.has(key)) ? byShares(lines) : lines, keys, "");
