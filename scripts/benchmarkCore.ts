import {
  buildUpJob,
  countJob,
  countPart,
  feet,
  groupLedger,
  guessPriceMatch,
  type LedgerKey,
  measured,
  newRoofEdge,
  newRoofFeature,
  orderJob,
  partContext,
  type Raft,
  type Rib,
  type Roof,
  type RoofFeature,
  raftKind,
  readPrices,
  roofKind,
  unmeasured,
} from "@wide-porch/core/reckoning";
import { library, starterCompanySettings, starterPriceList } from "@wide-porch/library";
import { HyperFormula } from "hyperformula";
import { house, houseWall, OPENINGS, WALLS } from "./largeHouse";

/** How long one full count of a house takes, and the count of one changed wall. */
const ROUNDS = 200;

function times(work: (round: number) => void): number[] {
  const taken = Array.from({ length: ROUNDS }, (_, round) => {
    const start = performance.now();
    work(round);
    return performance.now() - start;
  });
  return taken.toSorted((a, b) => a - b);
}

function report(what: string, taken: readonly number[], aim?: number): void {
  const at = (share: number) => (taken[Math.ceil(taken.length * share) - 1] ?? 0).toFixed(2);
  process.stdout.write(
    `${what.padEnd(60)} median ${at(0.5)}  p95 ${at(0.95)}  worst ${at(1)} ms${aim === undefined ? "" : `  (aim: under ${aim})`}\n`,
  );
}

const parts = house();
const counts = countJob(parts, "imperial", library);
const pieces = counts.reduce((sum, count) => sum + count.pieces.length, 0);
const lines = counts.reduce((sum, count) => sum + count.lines.length, 0);
report(
  `${WALLS} walls, ${OPENINGS} openings, ${pieces} pieces, ${lines} lines`,
  times(() => countJob(parts, "imperial", library)),
  30,
);
/** Drawings, sentences and workings are written when they are read; this reads them all, which no screen does. */
function readAll(): number {
  const all = countJob(parts, "imperial", library);
  return all.reduce((sum, count) => sum + JSON.stringify(count).length, 0);
}
report("the same with every drawing, sentence and working written", times(readAll));
report(
  "one wall of it changed",
  times((round) => countPart(houseWall(7, feet(20) + round * 25_400_000), "imperial", library)),
  2,
);

/**
 * The same house as a spreadsheet: a row for each wall with a formula for each thing it needs, all hanging on one cell with
 * the spacing. It adds up; it places nothing, cuts nothing and explains nothing.
 */
function spreadsheet(): { readonly recalculate: (spacing: number) => unknown } {
  const engine = HyperFormula.buildEmpty({ licenseKey: "gpl-v3" });
  const name = engine.addSheet("House");
  const sheet = engine.getSheetId(name) ?? 0;
  const rows = Array.from({ length: WALLS }, (_, index) => {
    const row = index + 2;
    const inchesLong = 12 * (24 + (index % 9));
    const ref = (column: string) => `${column}${row}`;
    const [long, high, open] = [ref("A"), ref("B"), ref("C")];
    return [
      inchesLong,
      97.125,
      index < OPENINGS ? 1 : 0,
      `=ROUNDUP(${long}/$A$1,0)+1`,
      `=${open}*2`,
      `=${open}*2`,
      `=${open}*2*${index % 3 === 0 ? 1 : 0}`,
      `=${open}*ROUNDUP(36/$A$1,0)`,
      `=ROUNDUP(${long}/192,0)`,
      `=ROUNDUP(${long}/192,0)`,
      `=ROUNDUP(${long}/192,0)`,
      `=${long}*${high}/144`,
      `=${ref("L")}-${open}*12`,
      `=ROUNDUP(${ref("M")}/32,0)`,
      `=ROUNDUP(${ref("M")}/32*2,0)`,
      `=(${ref("D")}+${ref("E")})*4`,
      `=${ref("F")}*4`,
      `=ROUNDUP(${long}/24,0)+1`,
      `=ROUNDUP(${long}/16,0)+1`,
      `=${ref("N")}*62`,
      `=${ref("O")}*62`,
      `=ROUNDUP(${high}/48,0)*(${ref("D")}-1)`,
      `=${ref("V")}*4`,
      `=(${ref("D")}+${ref("E")})*${high}/12+${long}*3/12`,
      `=${ref("X")}*2*4/12`,
    ];
  });
  engine.setSheetContent(sheet, [[16], ...rows, ["=SUM(D2:D61)", "=SUM(Y2:Y61)"]]);
  return { recalculate: (spacing) => engine.setCellContents({ sheet, row: 0, col: 0 }, spacing) };
}

const median = (taken: readonly number[]): number => taken[Math.floor(taken.length / 2)] ?? 0;
const { recalculate } = spreadsheet();
const sheetTimes = times((round) => recalculate(round % 2 === 0 ? 24 : 16));
const countTimes = times(() => countJob(parts, "imperial", library));
report("a spreadsheet of the same house, recalculated", sheetTimes);
process.stdout.write(
  `a full count takes ${(median(countTimes) / median(sheetTimes)).toFixed(1)} times as long as the spreadsheet, which lays out nothing\n`,
);

/** A roof of twelve edges with two dormers, and one of sixty, each time of another pitch: form, framing and count. */
const steps = (count: number): readonly { readonly out: number; readonly up: number }[] =>
  Array.from({ length: count }, (_, index) => ({ out: 6 + (index % 3) * 2, up: index % 2 === 0 ? 4 : -4 }));

function steppedRoof(edges: number, pitch: number, withDormers: boolean): Roof {
  const context = partContext("imperial", library);
  const notches = steps((edges - 4) / 2);
  const far = notches.reduce((sum, { out }) => sum + out, 0) + 12;
  const said = (count: number) => measured(feet(count), "");
  const top = notches.flatMap(({ out, up }, index) => [
    newRoofEdge(`t${index}`, "eave", up > 0 ? 90 : -90, said(out)),
    newRoofEdge(`s${index}`, "eave", up > 0 ? -90 : 90, said(Math.abs(up))),
  ]);
  const risen = notches.reduce((sum, { up }) => sum - up, 0);
  const outline = [
    newRoofEdge("front", "eave", 90, said(far)),
    newRoofEdge("right", "gable", 90, said(30)),
    ...top,
    newRoofEdge("last", "eave", 90, said(12)),
    newRoofEdge("left", "gable", 90, said(30 + risen)),
  ];
  const roof: Roof = {
    ...roofKind.defaults("roof", "Roof", context),
    edges: outline,
    pitch: { value: pitch, typed: "", assumed: false },
  };
  if (!withDormers) return roof;
  const features: RoofFeature[] = [];
  for (const kind of ["gable-dormer", "shed-dormer"] as const) {
    const feature = newRoofFeature({ ...roof, features }, kind, "front", kind, "imperial");
    if (feature) features.push(feature);
  }
  return { ...roof, features };
}

for (const [edges, withDormers, aim] of [
  [12, true, 20],
  [60, false, 150],
] as const) {
  const roofs = Array.from({ length: ROUNDS }, (_, round) => steppedRoof(edges, 0.4 + round / 1000, withDormers));
  const [first] = roofs;
  const placed = first ? countPart(first, "imperial", library).pieces.length : 0;
  report(
    `a roof of ${first?.edges.length} edges, ${first?.features.length} dormers, ${placed} pieces`,
    times((round) => roofs[round] && countPart(roofs[round], "imperial", library)),
    aim,
  );
}

/** Ledger and price of the house with a roof after one of its walls changed, and the worksheet grouped another way. */
function benchmarkLedger(): void {
  const pricing = starterCompanySettings.pricing;
  const whole = [...house(), steppedRoof(12, 0.5, true)];
  const walls = Array.from({ length: ROUNDS }, (_, round) => houseWall(7, feet(20) + round * 25_400_000));
  const [first, ...others] = countJob(whole, "imperial", library);
  if (!first) return;
  const rounds = walls.map((wall) => {
    const counts = [countPart(wall, "imperial", library), ...others];
    const order = orderJob(
      counts.flatMap((count) => count.lines),
      starterPriceList,
      "imperial",
    );
    return { counts, order, priceList: starterPriceList, pricing, system: "imperial" as const };
  });
  const [start] = rounds;
  if (!start) return;
  const { ledger } = buildUpJob(start);
  report(
    `ledger and price of ${counts.length + 1} parts, ${ledger.length} lines, one part changed`,
    times((round) => rounds[round] && buildUpJob(rounds[round])),
    15,
  );
  const keys: readonly LedgerKey[][] = [
    ["trade", "part"],
    ["kind", "trade"],
    ["storey", "phase", "item"],
  ];
  const many = Array.from({ length: Math.ceil(10_000 / ledger.length) }, () => ledger)
    .flat()
    .slice(0, 10_000);
  report(
    "10,000 lines of a worksheet grouped another way",
    times((round) => groupLedger(many, keys[round % 3] ?? [])),
    100,
  );
}
benchmarkLedger();

/** A supplier's list of 20,000 items against a price list of as many. */
function benchmarkPrices(): void {
  const [item] = starterPriceList.filter(({ buying }) => buying.by === "each");
  if (!item) return;
  const priceList = Array.from({ length: 20_000 }, (_, index) => ({ ...item, code: `item/${index}` }));
  const columns = ["Code", "Name", "Price", "Supplier"];
  const rows = priceList.map(({ code }, index) => [code, item.name, (index / 100 + 1).toFixed(2), "Elsewhere"]);
  const match = guessPriceMatch(columns);
  const taken = Array.from({ length: 10 }, () => {
    const from = performance.now();
    readPrices({ columns, rows }, match, { priceList, system: "imperial", today: "2026-12-01" });
    return performance.now() - from;
  });
  report(
    "a file of 20,000 prices and what it would change",
    taken.toSorted((a, b) => a - b),
    2000,
  );
}
benchmarkPrices();

/** A raft of 12 x 8 m with three ribs: every bar, link, sheet and layer, and every line. */
const [ribA, ribB, ribC] = ["p", "q", "r"].map((id, index): Rib => {
  const of = (mm: number) => measured(mm * 1_000_000, "");
  return { id, runs: index === 0 ? "along" : "across", at: unmeasured, width: of(300), depth: of(600) };
});
const raftOf = (round: number): Raft => {
  const raft = raftKind.defaults("raft", "Raft", partContext("metric", library));
  const lengths = [12_000 + round, 8000, 12_000 + round, 8000];
  return {
    ...raft,
    edges: raft.edges.map((edge, index) => ({ ...edge, length: measured((lengths[index] ?? 0) * 1_000_000, "") })),
    ribs: [ribA, ribB, ribC].filter((rib) => rib !== undefined),
  };
};
const raftPieces = countPart(raftOf(0), "metric", library).pieces.length;
report(
  `a raft with three ribs recounted, ${raftPieces} pieces`,
  times((round) => countPart(raftOf(round), "metric", library)),
  5,
);
const grounded = Array.from({ length: 40 }, (_, index) => ({ ...raftOf(index), id: `raft-${index}` }));
const groundLines = countJob(grounded, "metric", library).flatMap((count) => count.lines);
const shared = groundLines.filter(({ itemCode }) => /^(spoil|concrete|plant)\//.test(itemCode));
report(
  `skips, loads and hired days shared over 40 parts, ${shared.length} lines`,
  times(() => orderJob(shared, starterPriceList, "metric")),
  2,
);
