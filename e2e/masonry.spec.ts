import {
  addPart,
  addRectangle,
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

test("a room's wall is built as a cavity wall: its lintels are read, its brick is changed, and count, price and quote follow", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Pottery store", true);
  await addRectangle(page, "Studio", "6.3 m", "4 m");
  for (const [number, position, width] of [
    [1, "0.9 m", "1.2 m"],
    [2, "3.6 m", "0.9 m"],
  ] as const) {
    await page.getByRole("button", { name: "Add a window in Wall A" }).click();
    await enter(page, `From the wall's start of Window ${number}`, position);
    await enter(page, `Width of Window ${number}`, width);
    await enter(page, `Height of Window ${number}`, "1.05 m");
    await enter(page, `Sill height of Window ${number}`, "0.9 m");
    await closePad(page);
  }
  await page.getByRole("button", { name: "Build Wall A new, in masonry" }).click();
  await expect(page.getByText("Built by this assembly", { exact: false })).toBeVisible();
  await expect(page.getByText("Cavity wall").first()).toBeVisible();
  await expect(page.getByTestId("live-count")).toContainText("2 lintels");

  // Both ways of counting stand side by side, and either can be in force.
  await expect(page.getByText(/laid out, .* by area/).first()).toBeVisible();
  await saved(page);

  // 1.2 m and 150 mm at each end takes a lintel of 1.5 m, 0.9 m one of 1.2.
  await place(page, "Count");
  await expect(page.getByRole("button", { name: /^Lintels, concrete 1[25]00, 1 piece/ })).toHaveCount(2);
  await page.getByRole("button", { name: /^Units, outer leaf/ }).click();
  await expect(page.getByText("units of the outer leaf", { exact: false }).first()).toBeVisible();
  await page.getByRole("button", { name: "Close", exact: true }).click();
  await page.getByRole("radio", { name: "Show: Ordered" }).click();
  await expect(page.getByText("Concrete lintel 1500 mm", { exact: false }).first()).toBeVisible();
  await expect(page.getByText("Concrete lintel 1200 mm", { exact: false }).first()).toBeVisible();
  await place(page, "Price");
  const total = page.getByTestId("price-total").getByText(/^\$/);
  const before = await total.innerText();

  // A longer brick: fewer of them, another price, other words.
  await place(page, "Measure");
  await page.getByRole("link", { name: /^Studio, Wall A/ }).click();
  await page.getByRole("radio", { name: /^Unit: Long brick/ }).click();
  await saved(page);
  await place(page, "Price");
  await expect(total).not.toHaveText(before);
  await place(page, "Quote");
  await expect(page.getByText(/as a cavity wall, .*long brick 290 × 102.5 × 50 mm outside/)).toBeVisible();
});

test("what masonry cannot be built by is said beside it, and the rest is counted; a stone wall has a price from three figures", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Yard walls", true);
  await addPart(page, "Brick or block wall");
  await enter(page, "Length", "4.5 m");
  // The last figure closes the pad.
  await enter(page, "Height", "2440 mm");
  await expect(page.getByTestId("live-count")).toContainText("units");
  // One leaf has no ties: what comes to nothing is not asked.
  await page.getByRole("button", { name: /^More choices: leaves/ }).click();
  await expect(page.getByText("Lintel bearing at each end").first()).toBeVisible();
  await expect(page.getByText("Ties apart along")).toHaveCount(0);
  await page.getByRole("button", { name: "Add a window opening" }).click();
  await enter(page, "From left end of Window 1", "0.5 m");
  await enter(page, "Clear width of Window 1", "3.2 m");
  await closePad(page);
  await expect(page.getByText(/needs a lintel of 3500 mm, longer than any of the table/).first()).toBeVisible();
  await expect(page.getByTestId("live-count")).toContainText("units");
  await page.getByRole("button", { name: /open points?$/ }).click();
  await expect(page.getByText(/The top at 2440 mm is 35 mm off a course/).first()).toBeVisible();
  await page.getByRole("button", { name: "Close", exact: true }).click();
  await saved(page);

  await page.getByRole("button", { name: "Back to the parts" }).click();
  await addPart(page, "Stone wall");
  await enter(page, "Length", "4.2 m");
  // The third figure is the area of its openings; here there are none.
  await enter(page, "Height", "1.9 m");
  await closePad(page);
  await expect(page.getByTestId("live-count")).toContainText("stones");
  await page.getByRole("button", { name: "Back to the parts" }).click();
  await addPart(page, "Pier");
  await enter(page, "Length", "440 mm");
  await enter(page, "Width", "440 mm");
  await enter(page, "Height", "1.5 m");
  await closePad(page);
  // Eight bricks in each of twenty courses.
  await expect(page.getByTestId("live-count")).toContainText("160 units");
  await saved(page);
});
