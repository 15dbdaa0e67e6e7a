import { draftQuote, reckonJob, startJob } from "../job";
import { contexts, library, openingOf, starterCompanySettings, starterPriceList, wallOf } from "../testing/library";
import { feet, inches, sumMoney } from "../units";
import { openingsText } from "../wall/openingWords";
import { addDays, quoteDocumentSchema } from "./index";

const start = { title: "T", customerName: "C", site: "S", system: "imperial", currency: "USD" } as const;
const job = startJob(start, starterCompanySettings);
const issue = {
  number: "Draft",
  date: "2026-12-15",
  company: { name: "Fernhollow Building", address: "A" },
  context: contexts.imperial,
};
const wall = wallOf("imperial", {
  lengthNm: feet(16),
  heightNm: inches(97.125),
  bearing: true,
  openings: [
    openingOf("door", "d", { positionNm: feet(2), widthNm: inches(38), heightNm: inches(82.5) }),
    openingOf("window", "w", { positionNm: feet(8), widthNm: inches(36), heightNm: inches(48), sillNm: inches(34) }),
  ],
});
const quote = (changes: Partial<typeof job> = {}, walls = [wall]) => {
  const changed = { ...job, ...changes };
  return draftQuote(changed, walls, reckonJob(changed, walls, starterPriceList, library), issue);
};

describe("the quote", () => {
  it("says in words what was chosen", () => {
    expect(quote().sections[0]?.paragraphs).toEqual([
      "Frame 16 ft of wall, 8 ft 1 1/8 in high, in 2 × 4 studs at 16 in, with a double top plate.",
      "The wall carries load: a header is framed over each opening.",
      "Form one door opening and one window opening in it to the rough sizes measured.",
    ]);
    const partition = {
      ...wall,
      openings: [],
      choices: { ...wall.choices, bearing: false },
    };
    expect(quote({}, [partition]).sections[0]?.paragraphs).toEqual([
      "Frame 16 ft of wall, 8 ft 1 1/8 in high, in 2 × 4 studs at 16 in, with a double top plate.",
      "The wall carries no load from above.",
    ]);
  });

  it("adds up: shown prices to the price before tax, and that with tax to the total", () => {
    const document = quote({}, [wall, { ...wall, id: "other" }]);
    expect(sumMoney(document.sections.map((section) => section.price ?? "0"))).toBe(document.priceBeforeTax);
    expect(sumMoney([document.priceBeforeTax, ...document.taxes.map(({ amount }) => amount)])).toBe(document.total);
  });

  it("says each part once, by its place and its name, and nothing of a part that has no work in it", () => {
    const headings = (changes: Partial<typeof wall>) =>
      quote({}, [{ ...wall, ...changes }]).sections.map((each) => each.heading);
    expect(headings({ name: "Wall A", location: "Den" })).toEqual(["Den: Wall A"]);
    expect(headings({ name: "Den, Wall A", location: "Den" })).toEqual(["Den, Wall A"]);
    expect(headings({ name: "Dens", location: "Den" })).toEqual(["Den: Dens"]);
    expect(headings({ name: "Wall A", location: "" })).toEqual(["Wall A"]);
    expect(headings({ length: { valueNm: null, typed: "", assumed: false } })).toEqual([]);
  });

  it("names what cannot be built as it is measured, and it alone", () => {
    const low = { ...wall, id: "low", name: "Too low", height: { ...wall.height, valueNm: inches(4) } };
    const notes = (walls: (typeof wall)[]) =>
      quote({}, walls).notes.filter((note) => note.startsWith("Not in this price"));
    expect(notes([wall])).toEqual([]);
    expect(notes([wall, low])).toEqual(["Not in this price, as it cannot be built as measured: Too low."]);
  });

  it("shows one price where that is chosen", () => {
    const document = quote({ quote: { ...job.quote, detail: "one-price" } });
    expect(document.sections.map((section) => section.price)).toEqual([null]);
  });

  it("fits its schema and holds nothing internal", () => {
    const document = quote();
    expect(quoteDocumentSchema.strict().parse(document)).toEqual(document);
    expect(JSON.stringify(document)).not.toMatch(/markup|margin|overhead|hours|unitCost|supplier/i);
  });

  it("counts its validity in days over a year's end and a leap day", () => {
    expect(quote().validUntil).toBe("2027-01-14");
    expect(addDays("2028-02-28", 1)).toBe("2028-02-29");
    expect(() => addDays("soon", 1)).toThrow('"soon" is not an ISO date');
  });

  it("says how much is assumed and what is not measured", () => {
    const unmeasured = {
      ...wall,
      id: "later",
      name: "Later wall",
      openings: [],
      length: { valueNm: null, typed: "", assumed: false },
    };
    expect(quote({}, [wall, unmeasured]).notes).toEqual([
      // Two walls, of which the same is assumed: one to confirm, as in the list of open points.
      "One figure or choice is assumed and is to be confirmed on site.",
      "Not measured yet and not in this price: Later wall.",
    ]);
  });

  it("names openings as they are said", () => {
    const door = openingOf("door", "d", { positionNm: 0, widthNm: 1, heightNm: 1 });
    const kinds = (...all: ("door" | "window" | "plain")[]) => openingsText(all.map((kind) => ({ ...door, kind })));
    expect(kinds()).toBe("no openings");
    expect(kinds("window")).toBe("one window opening");
    expect(kinds("door", "plain", "door", "window")).toBe(
      "two door openings, one window opening and one plain opening",
    );
    expect(kinds(...Array<"window">(12).fill("window"))).toBe("12 window openings");
  });
});
