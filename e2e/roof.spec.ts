import ExcelJS from "exceljs";
import { addPart, closePad, enter, expect, place, ROS, saved, signIn, startJob, test } from "./support/app";

/** 16 in on plan at 6 in 12, less half a ridge: (run − 3/4) × √1.25 for a common. Worked by hand in `roof/build/worked.test.ts`. */
test("an L-shaped roof is walked, changed edge by edge, cut piece by piece, priced and downloaded", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Attic over the yard");
  await addPart(page, "Roof");
  await enter(page, "Length of Edge A", "38'");
  await enter(page, "Length of Edge B", "26'");
  await closePad(page);
  await page.getByRole("button", { name: "L, gable ends" }).click();
  await expect(page.getByRole("img", { name: /6 edges$/ })).toBeVisible();

  // A length that opens the outline is told, and what is not closed is not counted; the next one closes it again.
  await page.getByRole("button", { name: /^Edge D: 13' 0"/ }).click();
  await page.getByRole("button", { name: "Length: 13' 0\", assumed" }).click();
  await enter(page, "Length of Edge D", "12'");
  await closePad(page);
  await expect(page.getByText('The outline does not close: it ends 0" along and 1\' 0" across')).toBeVisible();
  await expect(page.getByText("Counted as soon as what is missing is measured.")).toBeVisible();
  await page.getByRole("button", { name: /^Length: 12' 0"/ }).click();
  await enter(page, "Length of Edge D", "13'");
  await closePad(page);
  await expect(page.getByTestId("live-count")).toContainText("rafters and jacks");

  // No overhang, so that runs are those worked by hand.
  await page.getByRole("button", { name: /^Overhang of eaves: / }).click();
  await enter(page, "Overhang of eaves", "0");
  await enter(page, "Overhang of gables", "0");
  await closePad(page);
  await saved(page);
  await expect(page.getByText("59 common rafters")).toBeVisible();
  const shortest = page.getByRole("button", { name: /^1 valley jack, cut 9 1\/8"/ });
  await page.getByRole("button", { name: /more lengths of valley jacks/ }).click();
  await shortest.click();
  await expect(page.getByRole("heading", { name: "Valley jack: 1 alike" })).toBeVisible();
  await expect(page.getByText("Side cut at the foot, on plan")).toBeVisible();
  await expect(page.getByText("45°")).toBeVisible();
  await page.getByRole("button", { name: "Close", exact: true }).click();

  const waiting = page.waitForEvent("download");
  await page.getByRole("button", { name: "Download the timber list as XLSX" }).click();
  const book = new ExcelJS.Workbook();
  await book.xlsx.readFile(await (await waiting).path());
  const rows: unknown[][] = [];
  book.worksheets[0]?.eachRow((row) => rows.push((row.values as unknown[]).slice(1)));
  expect(rows[0]).toEqual(expect.arrayContaining(["Kind", "Number", "Plan length", "True length", "Length to buy"]));
  // 114 in on plan: (114 − 3/4) × √1.25 = 126.617 in, from 12 ft.
  const wide = rows.find((row) => row[0] === "common rafters" && row[7] === 114);
  expect(wide?.slice(7, 10)).toEqual([114, 126.617, 144]);

  // A dormer is looked at before it is in; its figures can be changed afterwards.
  await page.getByRole("button", { name: "Put something in" }).click();
  await page.getByRole("radio", { name: "What: Gabled dormer" }).click();
  await expect(page.getByRole("img", { name: "The roof with Gabled dormer 1 in it" })).toBeVisible();
  await page.getByRole("button", { name: "Put it in" }).click();
  await page.getByRole("button", { name: /^Width: / }).click();
  await enter(page, "Width of Gabled dormer 1", "90'");
  await expect(page.getByText(/Gabled dormer 1 does not fit in the slope over Edge A/)).toBeVisible();
  await enter(page, "Width of Gabled dormer 1", "3'");
  await closePad(page);
  await expect(page.getByText(/dormer studs$/)).toBeVisible();
  await saved(page);

  await place(page, "Price");
  const total = page.getByTestId("price-total").getByText(/^\$/);
  const before = await total.innerText();
  await place(page, "Measure");
  await page.getByRole("link", { name: /^Roof 1/ }).click();
  await page.getByRole("button", { name: "Try another pitch" }).click();
  await page.getByLabel("Pitch on trial").fill("45°");
  await page.getByLabel("Pitch on trial").press("Enter");
  await expect(page.getByText("Roof 1: Roof panels")).toBeVisible();
  // Squares grow by √2 ÷ √1.25 = 1.265, but for the dormer's own slopes.
  await expect(page.getByText("29 bundles → 37 bundles")).toBeVisible();
  await page.getByRole("button", { name: "Take 12 in 12" }).click();
  await expect(page.getByRole("button", { name: /^Pitch: 12 in 12/ })).toBeVisible();
  await saved(page);
  await place(page, "Price");
  await expect(total).not.toHaveText(before);
  await place(page, "Count");
  await page.getByRole("radio", { name: "Show: 3D" }).click();
  await page.getByRole("radio", { name: "Seen: From a side" }).click();
  await page.getByRole("radio", { name: "From: Right of the plan" }).click();
  await expect(page.getByRole("img", { name: "The outside from the right of the plan" })).toBeVisible();
  await place(page, "Quote");
  await expect(page.getByText(/Frame the roof of Roof 1, pitch 6 in 12 and 12 in 12, .*/)).toBeVisible();
});

test("what no roof can be is said, and the last good one stays", async ({ page, address }) => {
  await signIn(page, address, ROS);
  await startJob(page, "Shed roof");
  await addPart(page, "Roof");
  await enter(page, "Length of Edge A", "20'");
  await enter(page, "Length of Edge B", "12'");
  await closePad(page);
  await page.getByRole("button", { name: "Gable", exact: true }).click();
  const live = page.getByTestId("live-count");
  await expect(live).toContainText("32 rafters and jacks");

  for (const edge of ["A", "C"]) {
    await page.getByRole("button", { name: new RegExp(`^Edge ${edge}: `) }).click();
    await page.getByRole("radio", { name: `Edge ${edge} ends as: Gable` }).click();
    if (edge === "A") await page.getByRole("button", { name: /^Edge A: / }).click();
  }
  await expect(page.getByText(/Nothing slopes: let at least one edge be an eave/)).toBeVisible();
  await expect(page.getByRole("radio", { name: "Edge C ends as: Eave" })).toBeChecked();

  for (const [typed, said] of [
    ["0", /Pitch: at least 0.12 in 12/],
    ["89°", /from level to 85°/],
  ] as const) {
    await page.getByRole("button", { name: /^Pitch: / }).click();
    await enter(page, "Pitch", typed);
    await expect(page.getByText(said).first()).toBeVisible();
    await closePad(page);
    await expect(page.getByRole("button", { name: /^Pitch: 6 in 12/ })).toBeVisible();
  }

  // A courtyard lies within the outline, or is told and stays where it was.
  await page.getByRole("button", { name: "A courtyard in it" }).click();
  await page.getByRole("button", { name: /^Along Edge A, from where it begins: / }).click();
  await enter(page, "Along Edge A, from where it begins of Courtyard 1", "19'6");
  await expect(page.getByText("Courtyard 1 is not within the outline.").first()).toBeVisible();
  await closePad(page);
  await page.getByRole("button", { name: "Take out: Courtyard 1" }).click();
  await expect(page.getByRole("button", { name: /^Along Edge A, from where it begins: / })).toHaveCount(0);

  // Taken out of a storey: the roof lies over its outside, and an edge keeps how it ends.
  await page.getByRole("button", { name: "Lean-to" }).click();
  await expect(page.getByRole("button", { name: /^Edge C: .*Against a wall/ })).toBeVisible();
});

test("a roof is priced from its totals, and says what it does without", async ({ page, address }) => {
  await signIn(page, address, ROS);
  await startJob(page, "Roof from a report");
  await addPart(page, "Roof by totals");
  await enter(page, "Area in all", "1301.13 sqft");
  await enter(page, "Pitch", "7/12");
  await expect(page.getByText(/No eaves are entered: no rafters/)).toBeVisible();
  await page.getByRole("button", { name: /^Eaves in all/ }).click();
  await enter(page, "Eaves in all", "79'4");
  await closePad(page);
  // 952 in at 16 in are 59 1/2 spaces: 61 with the short one and the first.
  await expect(page.getByTestId("live-count")).toContainText("61 rafters");
  await saved(page);
  await place(page, "Count");
  await expect(page.getByRole("button", { name: /^Shingles, 4[34] bundles/ })).toBeVisible();
});

test("timbers are listed by their lengths on plan, with one pitch for all and one of its own", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Rafters to order");
  await addPart(page, "Roof timbers");
  await enter(page, "Pitch of the slopes", "6/12");
  await page.getByRole("button", { name: "Common rafters", exact: true }).click();
  await enter(page, "Length on plan of Common rafters", "12'");
  await enter(page, "How many of Common rafters", "30");
  await closePad(page);
  await page.getByRole("button", { name: "Hip rafters", exact: true }).click();
  await enter(page, "Length on plan of Hip rafters", "16' 11 5/8");
  await closePad(page);
  // 12 × 13.42 in for each foot of run, by the framing square: 161 in, from 14 ft. A hip over 12 ft of run is 18 in a foot.
  await expect(page.getByRole("button", { name: /^30 common rafters, cut 13' 5", .* buy 14' 0"/ })).toBeVisible();
  await expect(page.getByRole("button", { name: /^1 hip rafter, cut 18' 0", .* buy 20' 0"/ })).toBeVisible();
  await page.getByRole("button", { name: "Pitch of its own: Hip rafters" }).click();
  await enter(page, "Its own pitch of Hip rafters", "0");
  await expect(page.getByText(/at least 0.12 in 12/).first()).toBeVisible();
  await closePad(page);
  await saved(page);
  await place(page, "Quote");
  await expect(page.getByText("Cut and fix the roof timbers listed, pitch 6 in 12.")).toBeVisible();
});
