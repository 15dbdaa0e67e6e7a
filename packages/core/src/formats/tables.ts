import { type CountLine, isCounted, quantityParts } from "../count/records";
import { roleOf, type ScheduledBar, type SectionBook } from "../kinds";
import type { LedgerLine } from "../ledger/records";
import type { ItemCut, Order } from "../order";
import type { TimberRow } from "../order/timberList";
import { ownValue } from "../records/ownValue";
import { formatLength, type MeasuringSystem, NM_PER_INCH, NM_PER_MM, pitchWays } from "../units";

export type Cell = string | number;
/** Rows under headings, for CSV and spreadsheets. */
export type Table = {
  readonly name: string;
  readonly headings: readonly string[];
  readonly rows: readonly (readonly Cell[])[];
};

const figureOf = (quantity: number, unit: string, system: MeasuringSystem): readonly [Cell, string] => {
  const shown = quantityParts(quantity, unit, system);
  return [Number(shown.figure), shown.unit];
};

/** Every count line, as counted, with what was computed and why it was set by hand. */
export const countTable = (lines: readonly CountLine[], system: MeasuringSystem): Table => ({
  name: "Count",
  headings: [
    "Trade",
    "Phase",
    "Storey",
    "Location",
    "Part",
    "Item",
    "Quantity",
    "Unit",
    "Computed",
    "Basis",
    "Set by hand",
    "Code",
    "Assembly",
    "Option",
  ],
  rows: lines.filter(isCounted).map((line) => {
    const [quantity, unit] = figureOf(line.quantity, line.unit, system);
    const [computed] = figureOf(line.computed, line.unit, system);
    const { trade, phase, storey, location, partName, description, basis, itemCode, assembly, option } = line;
    const by = `${assembly.name} ${assembly.version}`;
    return [
      trade,
      phase,
      storey,
      location,
      partName,
      description,
      quantity,
      unit,
      computed,
      basis,
      line.byHand ?? "",
      itemCode,
      by,
      option?.name ?? "",
    ];
  }),
});

const numberOf = (text: string): Cell => (text === "" ? "" : Number(text.replaceAll(",", "")));

/** Every cost of a job, a line each, figures as numbers. */
export const ledgerTable = (lines: readonly LedgerLine[]): Table => ({
  name: "Worksheet",
  headings: [
    "Kind",
    "Trade",
    "Phase",
    "Storey",
    "Location",
    "Part",
    "What",
    "Quantity",
    "Unit",
    "Rate",
    "Cost",
    "Hours",
    "Supplier",
    "Supplied by",
    "Crew",
    "Option",
    "From",
    "Assembly",
    "Code",
  ],
  rows: lines.map((line): Cell[] => [
    line.kind,
    line.trade,
    line.phase,
    line.storey,
    line.location,
    line.partName,
    line.what,
    numberOf(line.quantity),
    line.unitName,
    numberOf(line.rate ?? ""),
    Number(line.cost),
    line.hours === "0" ? "" : Number(line.hours),
    line.supplier,
    line.supply,
    line.crew,
    line.option,
    line.source,
    line.assembly,
    line.itemCode,
  ]),
});

/** What to buy: need and waste apart. No prices: it goes to the crew and the yard. */
export const orderTable = ({ lines, supplied }: Order): Table => ({
  name: "Order list",
  headings: ["Item", "Quantity", "Bought by", "Needed", "Waste", "Note", "Code"],
  rows: [
    ...lines.map(({ description, quantity, unitName, need, waste, note, itemCode }): Cell[] => [
      description,
      quantity,
      unitName,
      need,
      waste,
      note,
      itemCode,
    ]),
    ...supplied.map(({ description, quantity, unitName, need, by, itemCode }): Cell[] => [
      description,
      Number(quantity),
      unitName,
      need,
      "",
      by === "customer" ? "Supplied by the customer: not to be bought" : "Allowed for: to be chosen",
      itemCode,
    ]),
  ],
});

/** Bar by bar: what it is cut from, its pieces with their marks, and what is left. */
export function cutTable(
  cuts: readonly ItemCut[],
  marks: ReadonlyMap<string, string>,
  kerfNm: number,
  system: MeasuringSystem,
): Table {
  const rows = cuts.flatMap((cut) =>
    cut.bars.map((bar, index): Cell[] => {
      const usedNm = bar.pieces.reduce((sum, piece) => sum + piece.lengthNm + kerfNm, 0) - kerfNm;
      const pieces = bar.pieces.map(
        (piece) => `${marks.get(piece.id) ?? "spare"} ${formatLength(piece.lengthNm, system)}`,
      );
      const from = bar.fromYard ? "from the yard" : "bought";
      const left = formatLength(Math.max(0, bar.stockNm - usedNm), system);
      return [cut.name, index + 1, formatLength(bar.stockNm, system), from, pieces.join(", "), left];
    }),
  );
  return { name: "Cut list", headings: ["Item", "Bar", "Stock length", "From", "Pieces", "Left over"], rows };
}

/** A field that a spreadsheet would take for a formula is kept text: RFC 4180 has no word on it, and files travel. */
const safe = (text: string): string => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text);

const csvCell = (cell: Cell): string => {
  const text = typeof cell === "number" ? String(cell) : safe(cell);
  return /[",\r\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text;
};

/** A table as CSV by RFC 4180: commas, double quotes doubled, lines ended by CR LF. */
export const toCsv = ({ headings, rows }: Table): string =>
  [headings, ...rows].map((row) => `${row.map(csvCell).join(",")}\r\n`).join("");

/** Timber by kind, lengths as words to read and as figures to reckon with: inches or millimetres. */
export function timberTable(rows: readonly TimberRow[], sections: SectionBook, system: MeasuringSystem): Table {
  const [perUnit, unit] = system === "imperial" ? [NM_PER_INCH, "in"] : [NM_PER_MM, "mm"];
  const figure = (nm: number | undefined): Cell => (nm === undefined ? "" : Number((nm / perUnit).toFixed(3)));
  const words = (nm: number | undefined): Cell => (nm === undefined ? "" : formatLength(nm, system));
  return {
    name: "Timber",
    headings: [
      "Kind",
      "Timber",
      "Number",
      "Pitch",
      "Plan length",
      "True length",
      "Length to buy",
      `Plan, ${unit}`,
      `True, ${unit}`,
      `To buy, ${unit}`,
      "Code",
    ],
    rows: rows.map(({ role, sectionId, count, pitch, planNm, trueNm, boughtNm, itemCode }) => [
      roleOf(role)?.words ?? role,
      ownValue(sections, sectionId)?.name ?? sectionId,
      count,
      pitch === undefined ? "" : (pitchWays(pitch, system)[0] ?? ""),
      words(planNm),
      words(trueNm),
      words(boughtNm),
      figure(planNm),
      figure(trueNm),
      figure(boughtNm),
      itemCode,
    ]),
  };
}

/** A bar schedule as a table: one row to a mark, measures in whole millimetres or in inches, mass in kilograms. */
export function barScheduleTable(bars: readonly ScheduledBar[], system: MeasuringSystem): Table {
  const [perUnit, unit] = system === "imperial" ? [NM_PER_INCH, "in"] : [NM_PER_MM, "mm"];
  const figure = (nm: number | undefined): Cell => (nm === undefined ? "" : Number((nm / perUnit).toFixed(2)));
  return {
    name: "Bars",
    headings: [
      "Mark",
      "Member",
      "Bar",
      "Shape",
      `A, ${unit}`,
      `B, ${unit}`,
      `C, ${unit}`,
      `Length, ${unit}`,
      "Number",
      "Mass, kg",
    ],
    rows: bars.map(({ mark, members, size, shape, legsNm, cutLengthNm, count, massKg }) => [
      mark,
      members.join(", "),
      size,
      shape,
      figure(legsNm[0]),
      figure(legsNm[1]),
      figure(legsNm[2]),
      figure(cutLengthNm),
      count,
      Number(massKg.toFixed(2)),
    ]),
  };
}
