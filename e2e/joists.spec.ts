import { readFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import DxfParser from "dxf-parser";
import {
  addPart,
  addRectangle,
  backToParts,
  closePad,
  enter,
  expect,
  place,
  ROS,
  saved,
  signIn,
  startJob,
  test,
} from "./support/app";

const live = (page: Page) => page.getByTestId("live-count");

/** `23` of `16 joists, 23 pieces in all, 10 panels`. */
async function numberIn(page: Page, words: string): Promise<number> {
  const text = (await live(page).textContent()) ?? "";
  const found = new RegExp(`(\\d+) ${words}`).exec(text)?.[1];
  if (found === undefined) throw new Error(`numberIn: there are no ${words} in “${text}”`);
  return Number(found);
}

async function openPart(page: Page, name: string): Promise<void> {
  await place(page, "Measure");
  await page
    .getByRole("link", { name: new RegExp(`^${name}`) })
    .first()
    .click();
  await expect(page.getByRole("heading", { name, exact: true })).toBeVisible();
}

test("a floor over a room follows it, its joists are turned, a stair is put in, its panels are moved; it is cut, drawn and quoted", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "A floor for the den");
  await addRectangle(page, "Den", "15'3", "11'3");
  await backToParts(page);
  await addPart(page, "Floor of joists");
  await closePad(page);
  await page.getByRole("checkbox", { name: "Over these rooms, and with them when they change: Den" }).click();
  // With the walls of 4 1/2 in round it 16 ft by 12 ft: 12 spaces, 13 joists. Three rows of 47 1/2 in leave 1 1/2 in (arithmetic).
  await expect(live(page)).toHaveText(/^13 joists, 15 pieces in all, 7 panels/);

  await page.getByRole("radio", { name: "Joists lie: Along Edge A" }).click();
  // 9 spaces of 12 ft.
  await expect(live(page)).toHaveText(/^10 joists, 12 pieces in all/);
  await page.getByRole("radio", { name: "Joists lie: Across Edge A" }).click();
  await expect(live(page)).toHaveText(/^13 joists/);

  await page.getByRole("button", { name: "Add: Stair opening" }).click();
  await enter(page, "Along Edge A from its start of Stair opening", "4'");
  await enter(page, "In from Edge A of Stair opening", "3'");
  await enter(page, "Length along Edge A of Stair opening", "8'");
  await enter(page, "Width in from Edge A of Stair opening", "3'");
  await closePad(page);
  await expect(page.getByRole("img", { name: /^Plan of Floor/ })).toBeVisible();
  await expect.poll(() => numberIn(page, "pieces in all")).toBeGreaterThan(20);
  // Wrong input is said beside its figure, and the last good one stays.
  await page.getByRole("button", { name: /^Width in from Edge A: / }).click();
  await enter(page, "Width in from Edge A of Stair opening", "wide");
  await closePad(page);
  await expect(page.getByText(/“wide” could not be used/).first()).toBeVisible();
  await page.getByRole("button", { name: /^Width in from Edge A: 3' 0", wide could not be used/ }).click();
  await enter(page, "Width in from Edge A of Stair opening", "3'");
  await closePad(page);

  // Drawn over the plan with a finger: the opening, then the layout.
  const draw = async (by: number) => {
    const box = await page.getByRole("img", { name: /^Plan of Floor/ }).boundingBox();
    if (!box) throw new Error("the floor has no plan");
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + by, box.y + box.height / 2, { steps: 4 });
    await page.mouse.up();
  };
  const along = page.getByRole("button", { name: /^Along Edge A from its start: / });
  await expect(along).toHaveAccessibleName(/4' 0"/);
  await page.getByRole("button", { name: "Move Stair opening" }).click();
  await draw(30);
  await page.getByRole("button", { name: "Leave Stair opening there" }).click();
  await expect(along).not.toHaveAccessibleName(/4' 0"/);
  const first = page.getByRole("button", { name: /^First joist of the layout, its middle: / });
  await expect(first).toHaveAccessibleName(/1' 4", follows/);
  await page.getByRole("button", { name: "Move the joists" }).click();
  await draw(8);
  await page.getByRole("button", { name: "Leave them there" }).click();
  await expect(first).not.toHaveAccessibleName(/follows/);
  await page.getByRole("button", { name: "Begin with one spacing again" }).click();
  await expect(first).toHaveAccessibleName(/1' 4", follows/);

  await page.getByRole("button", { name: /^First panel is short by: / }).click();
  await enter(page, "First panel is short by", "8 in");
  await closePad(page);
  await expect(page.getByText(/joints? off a joist$/)).toContainText(/[1-9]\d* joints off a joist/);
  await page.getByRole("button", { name: "Best start" }).click();
  await expect(
    page.getByRole("status").filter({ hasText: /joints off a joist from|No start is better/ }),
  ).toBeVisible();
  await saved(page);

  // Drawn as it is counted: every stick of the plan is in the file.
  const started = page.waitForEvent("download");
  await page.getByRole("button", { name: /^Download plan of Floor.* as DXF/ }).click();
  const drawn = new DxfParser().parseSync(readFileSync(await (await started).path(), "utf8"));
  const timber = (drawn?.entities ?? []).filter((each) => each.layer === "timber");
  expect(timber).toHaveLength(await numberIn(page, "pieces in all"));

  await place(page, "Count");
  await page.getByRole("radio", { name: "Show: Cut list" }).click();
  await expect(page.getByText(/2 × 10 sawn softwood/).first()).toBeVisible();
  await place(page, "Quote");
  await expect(page.getByText(/Trim one stair opening, with headers and trimmers/)).toBeVisible();

  // The room grows, and the floor with it.
  await openPart(page, "Den");
  await page
    .getByRole("button", { name: /^Wall A/ })
    .first()
    .click();
  await enter(page, "Wall A", "17'3");
  await closePad(page);
  await saved(page);
  await openPart(page, "Floor 1");
  await expect(page.getByRole("button", { name: /Edge [AC]: 18' 0"/ }).first()).toBeVisible();
});

test("a flat roof from two figures: what follows another figure is overtyped and given back, and the quote says the roof", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Roof of the store", true);
  await addPart(page, "Flat roof");
  await enter(page, "Length of Edge A", "5.1m");
  await enter(page, "Length of Edge B", "4.2m");
  await closePad(page);
  // A bay of 4.5 m between ladders of 0.3 m at 400 mm: 13 joists (arithmetic).
  await expect(live(page)).toHaveText(/^13 joists/);
  // Three open sides: 4.2 + 5.1 + 4.2 m.
  await expect(page.getByRole("button", { name: "Drip: 13500 mm, follows" })).toBeVisible();
  await page.getByRole("button", { name: "Drip: 13500 mm, follows" }).click();
  await enter(page, "Drip", "12m");
  await closePad(page);
  await expect(page.getByRole("button", { name: "Drip: 12000 mm" })).toBeVisible();
  // The fascia is put on two sides: what follows it goes along, what was set by hand does not.
  await page.getByRole("checkbox", { name: "Fascia along: Edge C" }).click();
  await expect(page.getByRole("button", { name: "Soffit: 8400 mm, follows" })).toBeVisible();
  await expect(page.getByRole("button", { name: "Drip: 12000 mm" })).toBeVisible();
  await page.getByRole("button", { name: "Drip: let it follow the fascia" }).click();
  await expect(page.getByRole("button", { name: "Drip: 8400 mm, follows" })).toBeVisible();
  await page.getByRole("radio", { name: "Edge B: Against a wall" }).click();
  await expect(page.getByRole("button", { name: "Fascia: 4200 mm, follows" })).toBeVisible();
  await saved(page);
  await place(page, "Quote");
  await expect(page.getByText(/a flat roof with two open sides/)).toBeVisible();
  await expect(page.getByText(/It falls 1 in 40 towards Edge C, on firrings/)).toBeVisible();
});

test("a deck from three figures: its boards filled the other way, a stair down from it, its guard, a hold-down; it is quoted", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "A deck for the yard");
  await addPart(page, "Deck");
  await enter(page, "Length of Edge A", "10'");
  await enter(page, "Length of Edge B", "12'");
  await closePad(page);
  await expect(page.getByText("None: it is too low to ask for one.")).toBeHidden();
  await page.getByRole("button", { name: /^Boards above the ground, where that is most: / }).click();
  // The last of its figures: the pad closes by itself.
  await enter(page, "Boards above the ground, where that is most", "3'");
  // 120 / 16 = 7.5: 7 lines between two at the sides (arithmetic).
  await expect(live(page)).toHaveText(/^9 joists/);

  // Without frame and overhang 12 ft of boards of 5 1/2 in with gaps of 1/4 in: 25 and a sliver, or 25 with gaps of 0.271 in (arithmetic).
  for (const edge of ["B", "C", "D"])
    await page.getByRole("checkbox", { name: `Picture frame along: Edge ${edge}` }).click();
  await page.getByRole("button", { name: /^More choices/ }).click();
  await page.getByRole("textbox", { name: "Boards hang over the rim by" }).fill("0");
  await page.getByRole("textbox", { name: "Boards hang over the rim by" }).press("Enter");
  await expect(page.getByText(/^25 rows of 5 1\/2", gaps of 1\/4", and one ripped to 1\/4"\.$/)).toBeVisible();
  await page.getByRole("button", { name: "Open the gaps" }).click();
  await expect(page.getByText(/^25 rows of 5 1\/2", gaps of 1\/4", all whole\.$/)).toBeVisible();

  // Past 30 in its open sides have a guard; a stair opens it.
  await expect(page.getByRole("checkbox", { name: "Guard along: Edge C" })).toBeChecked();
  await page.getByRole("button", { name: "Add a stair" }).click();
  await enter(page, "Along Edge C from its start of Stair", "2'");
  await enter(page, "Width of its treads of Stair", "3'");
  await closePad(page);
  // 36 / 7 3/4 = 4.6: five risers of 7.2 in (IRC R311.7.5, from memory).
  await expect(page.getByText(/^5 risers of 7 3\/16", 4 treads of 10 1\/2"; it reaches out 3' 6"/)).toBeVisible();
  await page.getByRole("button", { name: /^Width of its treads: / }).click();
  await enter(page, "Width of its treads of Stair", "narrow");
  await closePad(page);
  await expect(page.getByText(/“narrow” could not be used/).first()).toBeVisible();
  await page.getByRole("button", { name: /^Width of its treads: 3' 0", narrow could not be used/ }).click();
  await enter(page, "Width of its treads of Stair", "3'");
  await closePad(page);

  await page.getByRole("button", { name: /^Posts and hardware at places/ }).click();
  await page.getByRole("button", { name: "Add: Hold-down at a place" }).click();
  await enter(page, "Along Edge A from its start of Hold-down", "1'");
  await enter(page, "In from Edge A of Hold-down", "6 in");
  await closePad(page);
  await saved(page);
  // Fixings stay folded away, with their total.
  await page.getByRole("button", { name: /^Fixings: \d+ kinds, [\d,]+ in all$/ }).click();
  await expect(page.getByText("Screws for boards", { exact: true })).toBeVisible();

  await place(page, "Count");
  for (const line of ["Stringers", "Balusters", "Hold-downs", "Deck boards"])
    await expect(page.getByRole("button", { name: new RegExp(`^${line}`) }).first()).toBeVisible();
  await page.getByRole("radio", { name: "Show: Cut list" }).click();
  await expect(page.getByText(/5\/4 × 6 deck board/).first()).toBeVisible();
  await place(page, "Quote");
  await expect(page.getByText(/A stair of five risers of 7 3\/16" goes down from it/)).toBeVisible();
  await expect(page.getByText(/A guard 3' 0" high with balusters stands along its open sides/)).toBeVisible();
});
