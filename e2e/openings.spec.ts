import { writeFileSync } from "node:fs";
import {
  addPart,
  addRectangle,
  closePad,
  enter,
  expect,
  openLanternHouse,
  place,
  ROS,
  saved,
  signIn,
  startJob,
  test,
} from "./support/app";
import { pdfText } from "./support/pdf";

test("a door typed by its unit is framed larger, stands where it is put, and is told where it does not fit", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Unit sizes");
  await addPart(page, "Stud wall by itself");
  await enter(page, "Length", "12'");
  await closePad(page);
  await page.getByRole("button", { name: "Add a door opening" }).click();
  await enter(page, "From left end", "4'");
  await enter(page, "Rough width", "36");
  // The last figure closes the pad.
  await enter(page, "Rough height", "80");

  await page.getByRole("button", { name: "Choices of Door 1" }).click();
  await page.getByRole("radio", { name: "Its width and height are those of: The unit" }).click();
  // What was typed stays as it was typed; the hole is 2 in wider (common practice).
  await page.getByRole("button", { name: "Close", exact: true }).click();
  await expect(page.getByRole("button", { name: /^Door 1, Unit width: 3' 0"/ })).toBeVisible();
  await expect(page.getByRole("button", { name: /^Door 1, Unit height: 6' 8"/ })).toBeVisible();
  await expect(page.getByText("unit size, from the left end")).toBeVisible();
  await saved(page);

  // In the middle it stays in the middle when the wall grows; its place is no figure any more.
  await page.getByRole("button", { name: "Choices of Door 1" }).click();
  await page.getByRole("radio", { name: "It stands: In the middle" }).click();
  await page.getByRole("button", { name: "Close", exact: true }).click();
  await expect(page.getByRole("button", { name: /From left end/ })).toHaveCount(0);
  await saved(page);
  await place(page, "Count");
  // Two kings and two jacks beside the 38 in hole in 12 ft: stands from 53 in to 91 in (by hand).
  await page.getByRole("button", { name: /^Jack studs, 2 × 4, 2 pieces/ }).click();
  await expect(page.getByText("Door 1").first()).toBeVisible();
  await page.getByRole("button", { name: "Close", exact: true }).click();

  // A wall too short for it, and a hole that would reach the plates, are refused in words; nothing is lost.
  await place(page, "Measure");
  await page.getByRole("link", { name: /^Wall 1/ }).click();
  await page.getByRole("button", { name: /^Length: 12' 0"/ }).click();
  await enter(page, "Length", "3'");
  await expect(page.getByText(/before the left end of the wall/).first()).toBeVisible();
  await closePad(page);
  await page.getByRole("button", { name: /^Door 1, Unit height/ }).click();
  await enter(page, "Unit height", "93");
  await expect(page.getByText(/above the underside of the top plates/).first()).toBeVisible();
  await closePad(page);
  await expect(page.getByRole("button", { name: /^Length: 12' 0", 3' could not be used/ })).toBeVisible();
  await expect(page.getByRole("button", { name: /^Door 1, Unit height: 6' 8", 93 could not be used/ })).toBeVisible();
});

test("windows share a wall evenly; one that cannot stand there says why", async ({ page, address }) => {
  await signIn(page, address, ROS);
  await startJob(page, "Evenly spaced");
  await addPart(page, "Stud wall by itself");
  await enter(page, "Length", "24'");
  await closePad(page);
  for (const name of ["Window 1", "Window 2"]) {
    await page.getByRole("button", { name: "Add a window opening" }).click();
    await closePad(page);
    await page.getByRole("button", { name: `Choices of ${name}` }).click();
    await page.getByRole("radio", { name: "It stands: Evenly spaced" }).click();
    await page.getByRole("button", { name: "Close", exact: true }).click();
  }
  // 24 ft less two of 3 ft is 18 ft: three gaps of 6 ft (arithmetic), read off the drawing.
  await expect(page.getByRole("img", { name: /^Elevation of Wall 1: 24' 0" long/ })).toBeVisible();
  await expect(page.getByText("6' 0\"", { exact: true })).toHaveCount(3);

  // Both in the middle they would lie on each other.
  await page.getByRole("button", { name: "Choices of Window 1" }).click();
  await page.getByRole("radio", { name: "It stands: In the middle" }).click();
  await page.getByRole("button", { name: "Close", exact: true }).click();
  await page.getByRole("button", { name: "Choices of Window 2" }).click();
  await page.getByRole("radio", { name: "It stands: In the middle" }).click();
  await expect(page.getByText(/overlaps .* It stays as it was\./).first()).toBeVisible();
  await page.getByRole("button", { name: "Take out Window 2" }).click();
  await expect(page.getByRole("button", { name: "Choices of Window 2" })).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("button", { name: "Choices of Window 2" })).toBeVisible();
});

test("a wall of a room with a sloped ceiling rises with it until it is given a height of its own", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Under the slope");
  await addRectangle(page, "Loft", "12'", "10'");
  await page.getByRole("radio", { name: "Shape: Sloped" }).click();
  await page.getByRole("button", { name: /^Ceiling, Highest height/ }).click();
  await enter(page, "Highest height", "11'");
  await closePad(page);
  await page.getByRole("radio", { name: "Wall: B" }).click();
  await page.getByRole("button", { name: "Build Wall B new, in studs" }).click();
  await expect(page.getByText("Its top follows the room’s ceiling", { exact: false })).toBeVisible();
  await expect(page.getByRole("radio", { name: "Top of the wall: Rises to the right" })).toBeChecked();
  await expect(page.getByRole("button", { name: /^Height, high end: 11' 0"/ })).toBeVisible();
  await saved(page);
  // Its own height would be typed on the room: the figure leads there.
  await page.getByRole("button", { name: /^Height, high end/ }).click();
  await expect(page.getByRole("textbox", { name: "Highest height" })).toBeVisible();
  await closePad(page);
  await expect(page.getByRole("heading", { name: "Loft", exact: true })).toBeVisible();
});

test("the framing as it is seen goes on the quote, its caption in the builder's words, and on the PDF", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "A picture for the customer");
  await addPart(page, "Stud wall by itself");
  await enter(page, "Length", "12'");
  await closePad(page);
  await saved(page);
  await place(page, "Quote");
  await expect(page.getByText("A picture of the framing is put on the paper", { exact: false })).toBeVisible();
  await place(page, "Count");
  await page.getByRole("radio", { name: "Show: 3D" }).click();
  await page.getByRole("button", { name: "Put this view on the quote" }).click();
  await expect(page.getByText("It is on the quote’s paper now.", { exact: false })).toBeVisible();
  await saved(page);
  await place(page, "Quote");
  await expect(page.getByRole("article").getByRole("img", { name: "The framing" }).first()).toBeVisible();
  await page.getByLabel("Under picture 1").fill("Your wall, seen from the garden");
  await page.getByLabel("Under picture 1").press("Enter");
  await expect(page.getByRole("article").getByText("Your wall, seen from the garden")).toBeVisible();
  await saved(page);
  const waiting = page.waitForEvent("download");
  await page.getByRole("button", { name: "Download the draft as PDF" }).click();
  const text = await pdfText(await (await waiting).path());
  expect(text).toContain("Your wall, seen from the garden");
  // Settings changed one right after the other are all kept: each builds on the one before, not on what was on screen.
  await page.getByLabel("Valid for, days").fill("14");
  await page.getByLabel("Valid for, days").press("Enter");
  await page.getByRole("radio", { name: "Prices shown: One price" }).click();
  await page.getByRole("button", { name: "Take out: Decoration." }).click();
  await saved(page);
  await page.reload();
  await expect(page.getByLabel("Valid for, days")).toHaveValue("14");
  await expect(page.getByRole("radio", { name: "Prices shown: One price" })).toBeChecked();
  await expect(page.getByRole("button", { name: "Take out: Decoration." })).toHaveCount(0);
  await page.getByRole("button", { name: "Take out picture 1" }).click();
  await expect(page.getByRole("article").getByRole("img")).toHaveCount(0);
});

test("the cut list is printed as a paper of its own: every bar, and nothing to press", async ({
  page,
  address,
}, testInfo) => {
  await signIn(page, address, ROS);
  await openLanternHouse(page);
  await place(page, "Count");
  await page.getByRole("radio", { name: "Show: Cut list" }).click();
  await expect(page.getByRole("button", { name: "Print" })).toBeVisible();
  const file = testInfo.outputPath("cut-list.pdf");
  const bars = await page.getByRole("listitem", { name: /^\d+ × / }).count();
  writeFileSync(file, await page.pdf({ format: "A4" }));
  const text = await pdfText(file);
  expect(text).toContain("Cut list");
  expect(text).toContain("Lantern House");
  expect(bars).toBeGreaterThan(8);
  expect(text.match(/\d+ × \d+' \d+"/g)?.length).toBeGreaterThanOrEqual(bars);
  for (const onScreen of ["Measure", "Saw and yard", "Work out"]) expect(text).not.toContain(onScreen);
});
