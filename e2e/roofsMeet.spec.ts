import {
  addPart,
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

/** A wing 16 ft wide on a slope of its own pitch reaches 8 ft up it: its valleys are 12 ft each, by hand in `roofsMeet.test.ts`. */
test("a wing is laid along another roof, runs into its slope, and is framed in trusses", async ({ page, address }) => {
  await signIn(page, address, ROS);
  await startJob(page, "Two roofs of one house");
  await addPart(page, "Roof");
  await enter(page, "Length of Edge A", "40'");
  await enter(page, "Length of Edge B", "24'");
  await closePad(page);
  await page.getByRole("button", { name: "Gable", exact: true }).click();
  const cut = "Other roofs, and rooms of a storey above: Cut where it meets them";
  await page.getByRole("radio", { name: cut }).click();
  await expect(page.getByRole("radio", { name: cut })).toBeChecked();
  await saved(page);
  await backToParts(page);

  await addPart(page, "Roof");
  await enter(page, "Length of Edge A", "16'");
  await enter(page, "Length of Edge B", "10'");
  await closePad(page);
  for (const [edge, end] of [
    ["A", "Runs into another roof"],
    ["C", "Gable"],
  ] as const) {
    await page.getByRole("button", { name: new RegExp(`^Edge ${edge}: `) }).click();
    await page.getByRole("radio", { name: `Edge ${edge} ends as: ${end}` }).click();
    await page.getByRole("button", { name: new RegExp(`^Edge ${edge}: `) }).click();
  }
  // There is none before it yet that it could run into: it lies where the first one begins.
  await page.getByRole("button", { name: "Lies along: No edge of another roof" }).click();
  await page.getByRole("radio", { name: /Roof 1, Edge A/ }).click();
  await page.getByRole("button", { name: /^Along that edge, from its left end/ }).click();
  await enter(page, "Along that edge, from its left end", "12'");
  await closePad(page);
  await expect(page.getByText("2 valley boards on another roof")).toBeVisible();
  await expect(page.getByText(/should run into another roof/)).toHaveCount(0);

  await page.getByRole("radio", { name: "Framed with: Trusses" }).click();
  await expect(page.getByText(/valley trusses$/)).toBeVisible();
  await expect(page.getByText("2 valley boards on another roof")).toHaveCount(0);
  await saved(page);
  await place(page, "Count");
  await expect(page.getByRole("button", { name: /^Valley trusses, \d trusses/ })).toBeVisible();
  await expect(page.getByRole("button", { name: /^Valley trusses, their spans, / })).toBeVisible();
  await place(page, "Quote");
  await expect(page.getByText(/with trusses at 24 in/)).toBeVisible();
});

test("a report is read, its columns matched once, and a drawn roof takes the place of its figures", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Roof measured from the air");
  await addPart(page, "Roof by totals");
  await closePad(page);

  // One that was taken in fog: what cannot be read is told, and stays as it was.
  await page.getByRole("button", { name: "Read a measuring report" }).click();
  await page.getByRole("button", { name: "Bramblegate, taken in fog" }).click();
  await expect(page.getByText(/“not seen” is no number. It stays as it was./)).toBeVisible();
  await page.getByRole("button", { name: "Close", exact: true }).click();

  await page.getByRole("button", { name: "Read a measuring report" }).click();
  await page.getByRole("radio", { name: "Sent as: CSV" }).click();
  await page.getByRole("button", { name: "The Old Forge, Marlcroft" }).click();
  await expect(page.getByRole("button", { name: "Column of Area along the slopes: Area sq ft" })).toBeVisible();
  await page.getByRole("button", { name: "Take these 9 figures" }).click();
  await expect(page.getByRole("button", { name: /^Pitch: 7 in 12/ })).toBeVisible();
  await expect(page.getByTestId("live-count")).toContainText("61 rafters");

  // The next report with these columns is read alike, without asking.
  await page.getByRole("button", { name: "Read a measuring report" }).click();
  await page.getByRole("button", { name: "The Old Forge, Marlcroft" }).click();
  await expect(page.getByText("Its columns are read as those of such reports before.")).toBeVisible();
  await page.getByRole("button", { name: "Close", exact: true }).click();
  await saved(page);

  await page.getByRole("button", { name: "Draw this roof" }).click();
  await expect(page.getByRole("heading", { name: "Roof 1, drawn" })).toBeVisible();
  await enter(page, "Length of Edge A", "38'");
  await enter(page, "Length of Edge B", "26'");
  await closePad(page);
  await page.getByRole("button", { name: "Gable", exact: true }).click();
  await expect(page.getByRole("button", { name: /^Pitch: 7 in 12/ })).toBeVisible();
  await saved(page);
  await backToParts(page);
  await page.getByRole("link", { name: /^Roof 1(?!, drawn)/ }).click();
  await page.getByRole("button", { name: "Put a drawn roof in its place" }).click();
  await expect(page.getByText(/quantities would change/)).toBeVisible();
  await expect(page.getByText("Roof 1: Common rafters, 2 × 8")).toBeVisible();
  await page.getByRole("button", { name: /^Keep Roof 1, drawn/ }).click();
  await expect(page.getByRole("heading", { name: "Roof 1, drawn" })).toBeVisible();
  await backToParts(page);
  await expect(page.getByRole("link", { name: /^Roof 1/ })).toHaveCount(1);
});
