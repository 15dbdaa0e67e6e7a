import type { Bar } from "@wide-porch/core";
import { byRole, render } from "../../testing/render";
import { BarPicture } from "./BarPicture";

const FEET = 304_800_000;
const KERF_NM = 3_175_000;
const bar = (stockFeet: number, ...feet: number[]): Bar => ({
  stockNm: stockFeet * FEET,
  fromYard: false,
  pieces: feet.map((length, index) => ({ id: `w/p${index}`, lengthNm: length * FEET })),
});
const marks = new Map([
  ["w/p0", "1-S1"],
  ["w/p1", "1-BP1"],
]);
const show = (each: Bar, count = 1) =>
  render(
    <BarPicture bar={each} count={count} marks={marks} kerfNm={KERF_NM} longestNm={20 * FEET} system="imperial" />,
  );

describe("a bar of the cut list", () => {
  it("is read out: how many, of what, the pieces with their marks, and what is left after the saw", () => {
    const { host, unmount } = show(bar(16, 8, 6), 2);
    // 16 ft less 8 and 6 ft and one saw cut of 1/8 in is 1 ft 11 7/8 in (arithmetic).
    expect(byRole(host, "listitem", /./).getAttribute("aria-label")).toBe(
      "2 × 16' 0\": 1-S1 8' 0\", 1-BP1 6' 0\"; 1' 11 7/8\" left",
    );
    expect(host.textContent).toContain("1-S1 8' 0\"  ·  1-BP1 6' 0\"");
    unmount();
  });

  it("is drawn to scale: the bar by the longest, each piece by the bar", () => {
    const { host, unmount } = show(bar(16, 8, 6));
    const widths = [...host.querySelectorAll<HTMLElement>("[style*='width']")].map((each) => each.style.width);
    expect(widths).toEqual(["80%", "50%", "37.5%"]);
    unmount();
  });

  it("has nothing left and no saw cut where one piece takes it whole", () => {
    const { host, unmount } = show(bar(16, 16));
    expect(byRole(host, "listitem", /./).getAttribute("aria-label")).toBe('1 × 16\' 0": 1-S1 16\' 0"; 0" left');
    unmount();
  });

  it("says that it comes from the yard, and which pieces are to spare", () => {
    const { host, unmount } = show({ ...bar(10, 4), fromYard: true, pieces: [{ id: "spare/1", lengthNm: 4 * FEET }] });
    expect(byRole(host, "listitem", /./).getAttribute("aria-label")).toBe(
      "1 × 10' 0\" from the yard: spare 4' 0\"; 6' 0\" left",
    );
    expect(host.textContent).toContain("from the yard, 6' 0\" left");
    unmount();
  });
});
