import { starterPriceList } from "../../testing/library";
import { itemOf, soldByLength } from "../../testing/lines";
import { feet } from "../../units";
import { toCsv } from "../tables";
import { guessPriceMatch, type PriceChange, type PriceMatch, priceTable, readPrices } from "./index";

const today = "2026-12-01";
const columns = ["Code", "Description", "Net price"];
const match: PriceMatch = { code: "Code", name: "Description", price: "Net price" };
const screws = itemOf("screw/4", { by: "pack", packSize: 200, packName: "box", price: "9.00" }, { name: "Screws" });
const studs = soldByLength("t", [
  [feet(8), "4.00"],
  [feet(16), "8.00"],
]);
const known = { priceList: [screws, studs], system: "imperial" as const, today };
const read = (...rows: string[][]): PriceChange[] => readPrices({ columns, rows }, match, known);
const only = (...rows: string[][]): PriceChange => {
  const [change] = read(...rows);
  if (!change) throw new Error("nothing was read");
  return change;
};

describe("a file of prices", () => {
  it("is matched by its headings, each column once", () => {
    expect(guessPriceMatch(["Item code", "Description", "Net price", "Pack size", "Other"])).toEqual({
      code: "Item code",
      name: "Description",
      price: "Net price",
      holds: "Pack size",
    });
    expect(guessPriceMatch(["x", "y"])).toEqual({});
  });

  it("says what changes and by how much, what is new, and what is as it was", () => {
    expect(only(["screw/4", "Screws", "$9.90"])).toMatchObject({
      status: "changed",
      words: ["9.00 → 9.90"],
      times: 1.1,
      after: { buying: { price: "9.90", packSize: 200 }, priceDate: today },
    });
    expect(only(["screw/4", "", "9"])).toMatchObject({ status: "same" });
    expect(only(["tape/1", "Tape", "3.20"])).toMatchObject({
      status: "new",
      after: { code: "tape/1", name: "Tape", system: "imperial", buying: { by: "each", price: "3.20" } },
    });
  });

  it("compares prices for what a pack holds: 100 screws at half the price of 200 are no cheaper, and are said to be another pack", () => {
    const sized: PriceMatch = { ...match, holds: "Pack size" };
    const change = (price: string, holds: string) =>
      readPrices({ columns: [...columns, "Pack size"], rows: [["screw/4", "Screws", price, holds]] }, sized, known)[0];
    expect(change("4.50", "100")).toMatchObject({
      status: "changed",
      words: ["9.00 → 4.50", "a pack of 200 → of 100"],
      times: 1,
      after: { buying: { by: "pack", packSize: 100, price: "4.50" } },
    });
    expect(change("9.00", "100")).toMatchObject({ status: "changed", times: 2 });
    expect(change("9.00", "50")).toMatchObject({ status: "asked", times: 4 });
    expect(change("9.00", "200")).toMatchObject({ status: "same" });
  });

  it("asks about a price that is two and a half times the old one, up or down (common practice)", () => {
    expect(only(["screw/4", "", "22.50"]).status).toBe("asked");
    expect(only(["screw/4", "", "22.00"]).status).toBe("changed");
    expect(only(["screw/4", "", "3.60"]).status).toBe("asked");
  });

  it("takes 5.00 and 5.0 in two rows for one price", () => {
    expect(only(["screw/4", "", "5.00"], ["screw/4", "", "5.0"]).status).toBe("changed");
    expect(only(["screw/4", "", "5.00"], ["screw/4", "", "5.01"]).status).toBe("refused");
  });

  it.each([
    ["9,84", "has a comma where a decimal point belongs"],
    ["-9.84", "is less than nothing"],
    ["(9.84)", "is less than nothing"],
    ["nine", "is no price like 9.84"],
    ["9.84.1", "is no price like 9.84"],
    ["1.23456", "has more than four decimals"],
    ["99999999999", "is no price like 9.84"],
    ["=9+1", "is no price like 9.84"],
  ])("a price of %s is not read, and why is said", (price, why) => {
    const change = only(["screw/4", "Screws", price]);
    expect(change.status).toBe("refused");
    expect(change.words.join(" ")).toContain(why);
  });

  it("1,234.50 is a thousand and more", () => {
    expect(only(["screw/4", "Screws", "1,234.50"]).after?.buying).toMatchObject({ price: "1234.50" });
  });

  it("asks about prices of many times the old one, a small share of it, and nothing", () => {
    expect(only(["screw/4", "", "90"])).toMatchObject({ status: "asked", times: 10 });
    expect(only(["screw/4", "", "0.90"]).status).toBe("asked");
    expect(only(["screw/4", "", "0"])).toMatchObject({ status: "asked" });
  });

  it("refuses an item that is in it twice at different prices, and takes one that is in it twice alike", () => {
    expect(only(["screw/4", "", "9.50"], ["screw/4", "", "9.60"])).toMatchObject({ status: "refused", rows: [1, 2] });
    expect(only(["screw/4", "", "9.50"], ["screw/4", "", "9.50"])).toMatchObject({ status: "changed", rows: [1, 2] });
  });

  it("refuses the few prices that are in another currency than most", () => {
    const changes = read(["screw/4", "", "£9.50"], ["a", "A", "£1.00"], ["b", "B", "$1.00"]);
    expect(changes.map(({ code, status }) => [code, status])).toEqual([
      ["b", "refused"],
      ["screw/4", "changed"],
      ["a", "new"],
    ]);
  });

  it("of another item than is known needs a name and a price; a row without a code is told by its number", () => {
    expect(only(["new", "", "9.00"]).words.join("")).toContain("has no name");
    expect(only(["new", "New", ""]).words.join("")).toContain("has no price");
    expect(only(["", "New", "9.00"]).words).toEqual(["Row 1 is not read: there is no code."]);
    expect(only(["x".repeat(81), "New", "9.00"]).status).toBe("refused");
  });

  it("prices stock lengths one by one, and one of a length that is new", () => {
    const table = {
      columns: ["code", "length", "price"],
      rows: [
        ["t", "8'", "4.40"],
        ["t", "12'", "6.60"],
        ["t", "16'", "8.80"],
      ],
    };
    const [change] = readPrices(table, guessPriceMatch(table.columns), known);
    expect(change).toMatchObject({ status: "changed", rows: [1, 2, 3] });
    expect(change?.after?.buying).toEqual({
      by: "length",
      stock: [
        { lengthNm: feet(8), price: "4.40" },
        { lengthNm: feet(12), price: "6.60" },
        { lengthNm: feet(16), price: "8.80" },
      ],
    });
    expect(only(["t", "", "5.00"]).words.join("")).toContain("sold in several lengths");
  });

  it("knows an item by its supplier's code, where that is one item's and not several'", () => {
    const own = { ...screws, supplierCode: "OF-1007" };
    const twice = ["a", "b"].map((code) => itemOf(code, { by: "each", price: "1.00" }, { supplierCode: "OF-1" }));
    const rows = [
      ["OF-1007", "", "9.90"],
      ["OF-1", "Other", "2.00"],
    ];
    const changes = readPrices({ columns, rows }, match, { ...known, priceList: [own, ...twice] });
    expect(changes.map(({ code, status }) => [code, status])).toEqual([
      ["screw/4", "changed"],
      ["OF-1", "new"],
    ]);
  });

  it("leaves what its columns do not say, and never takes a lasting field away", () => {
    const { after } = only(["screw/4", "", "9.90"]);
    expect(after).toEqual({ ...screws, priceDate: today, buying: { ...screws.buying, price: "9.90" } });
  });

  it("written out is read back as the same list: nothing changes", () => {
    for (const system of ["imperial", "metric"] as const) {
      const priceList = starterPriceList.filter((item) => item.system === system);
      const { headings, rows } = priceTable(priceList);
      const table = { columns: headings, rows: rows.map((row) => row.map(String)) };
      const changes = readPrices(table, guessPriceMatch(headings), { priceList, system, today });
      expect(changes.filter(({ status }) => status !== "same").map(({ code, words }) => [code, words])).toEqual([]);
      expect(changes).toHaveLength(priceList.length);
      expect(toCsv(priceTable(priceList))).toContain("timber/");
    }
  });
});
