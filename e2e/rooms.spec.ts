import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium } from "@playwright/test";
import {
  addPart,
  addRectangle,
  backToParts,
  closePad,
  enter,
  expect,
  keptForOffline,
  ROS,
  saved,
  signIn,
  startJob,
  test,
} from "./support/app";
import { CHROMIUM_FLAGS } from "./support/chromium";

const PHONE = { width: 390, height: 844 };
const onDevice = (page: import("@playwright/test").Page) =>
  expect(page.getByRole("status", { name: "Entries: On this device" })).toBeVisible();

// The worker that opens the app without signal is wanted here; elsewhere each new page would fetch all of the app again for it.
test.use({ serviceWorkers: "allow" });

test("a room walked with a mistake in it is mended, kept without signal, and seen from a second browser", async ({
  page,
  context,
  browser,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Mudroom");
  await keptForOffline(page);
  await addPart(page, "Room, wall by wall");
  // An L: 16'4 by 12'6 less a corner of 5'2 by 4'9 (the fourth wall turns the other way). Wall B is read a foot too long.
  await enter(page, "Wall A", "16'4");
  await enter(page, "Wall B", "8'9");
  await enter(page, "Wall C", "5'2");
  await page.getByRole("radio", { name: "Turn left" }).click();
  await enter(page, "Wall D", "4'9");
  await enter(page, "Wall E", "11'2");
  await expect(page.getByText('Now 0" right of and 13\' 6" below the start')).toBeVisible();
  await page.getByRole("textbox", { name: "Wall F" }).fill("12'6");
  await page.getByRole("button", { name: "Enter, then next wall" }).click();
  await page.getByRole("button", { name: "Walk done" }).click();
  await expect(page.getByText("The walk ends 1' 0\" from its start: a measurement or a turn is wrong.")).toBeVisible();
  await expect(page.getByTestId("room-floor")).toHaveText("No area until the walk closes");
  await page.getByRole("button", { name: "Wall B: Use 7' 9\"" }).click();
  // 16'4 x 12'6 less 5'2 x 4'9 = 204.17 - 24.54 = 179.63 (arithmetic); perimeter twice 16'4 + 12'6.
  await expect(page.getByTestId("room-floor")).toHaveText("179.63 sq ft of floor");
  await expect(page.getByRole("button", { name: /^Perimeter: 57' 8"/ })).toBeVisible();
  await saved(page);

  // No signal: a door goes in, and outlives a reload.
  await context.setOffline(true);
  await page.getByRole("radio", { name: "Wall: B" }).click();
  await page.getByRole("button", { name: "Add a door in Wall B" }).click();
  await enter(page, "From the wall's start of Door 1", "2'");
  await enter(page, "Width of Door 1", "2'8");
  await closePad(page);
  await onDevice(page);
  await page.reload();
  await expect(page.getByRole("button", { name: "Door 1, Width: 2' 8\"" })).toBeVisible();
  await expect(page.getByTestId("room-floor")).toHaveText("179.63 sq ft of floor");
  await onDevice(page);
  await context.setOffline(false);
  await saved(page);

  const second = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const other = await second.newPage();
  await signIn(other, address, /Piet Marrow/);
  await other.goto(page.url().replace(/\?.*/, ""));
  await expect(other.getByTestId("room-floor")).toHaveText("179.63 sq ft of floor");
  await expect(other.getByRole("button", { name: "Door 1, Width: 2' 8\"" })).toBeVisible();
  await expect(other.getByRole("img", { name: "Plan of Room 1, inside measures: 6 walls, 1 openings" })).toBeVisible();
  await second.close();
});

test("a rectangular room with a door and a window takes no more than twelve presses besides its figures", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Twelve presses");
  let presses = 0;
  const press = async (name: string | RegExp, role: "button" | "radio" = "button") => {
    presses += 1;
    await page.getByRole(role, { name, exact: true }).click();
  };
  await press("Add a part");
  await press("Room, a rectangle");
  await enter(page, "Wall A", "13'8");
  await enter(page, "Wall B", "11'3");
  await press("Close tape pad");
  await press("Add a door in Wall A");
  await enter(page, "From the wall's start of Door 1", "1'6");
  await enter(page, "Width of Door 1", "2'8");
  await enter(page, "Height of Door 1", "6'8");
  await press("Close tape pad");
  await press("Wall: B", "radio");
  await press("Add a window in Wall B");
  await enter(page, "From the wall's start of Window 1", "3'");
  await enter(page, "Width of Window 1", "3'");
  await enter(page, "Height of Window 1", "4'");
  await enter(page, "Sill height of Window 1", "34");
  await press("Close tape pad");
  expect(presses).toBeLessThanOrEqual(12);
  await expect(page.getByTestId("room-floor")).toHaveText("153.75 sq ft of floor");
  // 49'10 x 8' less a door of 17.78 and a window of 12 sq ft (arithmetic).
  await expect(page.getByRole("button", { name: /^Wall area less openings: 368.89 sq ft/ })).toBeVisible();
  await saved(page);
});

test("a small gap is spread or squared up by choice, a slanting wall takes any angle, and the plan says so", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Small gaps");
  await addPart(page, "Room, wall by wall");
  for (const [wall, typed] of [
    ["Wall A", "20'"],
    ["Wall B", "10'"],
    ["Wall C", "20'"],
    ["Wall D", "9'11 1/2"],
  ] as const) {
    await enter(page, wall, typed);
  }
  await page.getByRole("button", { name: "Walk done" }).click();
  await page.getByRole("button", { name: "Spread it over the walls" }).click();
  await expect(page.getByText('A gap of 1/2" was spread over the walls by their length.')).toBeVisible();
  await page.getByRole("button", { name: "Undo this and show the gap" }).click();
  await page.getByRole("button", { name: "Square up the last two" }).click();
  await expect(page.getByTestId("room-floor")).toHaveText("200 sq ft of floor");
  await backToParts(page);

  // An equilateral triangle: three turns of 120 degrees.
  await addPart(page, "Room, wall by wall");
  await enter(page, "Wall A", "10'");
  for (const wall of ["Wall B", "Wall C"]) {
    await page.getByRole("radio", { name: "Turn angle" }).click();
    await page.getByLabel("Turn by how many degrees").fill("120");
    await page.getByRole("radio", { name: "Turn right" }).click();
    await enter(page, wall, "10'");
  }
  await closePad(page);
  // 100 x √3 / 4 = 43.3 (geometry).
  await expect(page.getByTestId("room-floor")).toHaveText("43.3 sq ft of floor");
});

test("a restart of the browser without signal opens the job with what was measured", async ({ address }) => {
  const folder = mkdtempSync(join(tmpdir(), "wide-porch-browser-"));
  const options = { executablePath: "/usr/bin/chromium", args: CHROMIUM_FLAGS, viewport: PHONE };
  try {
    const before = await chromium.launchPersistentContext(folder, options);
    const page = before.pages()[0] ?? (await before.newPage());
    await signIn(page, address, ROS);
    await startJob(page, "Restarted");
    await keptForOffline(page);
    await addRectangle(page, "Cellar", "12'", "9'");
    await saved(page);
    await before.setOffline(true);
    await page.getByRole("button", { name: /^Wall A: 12' 0"/ }).click();
    await enter(page, "Wall A", "12'6");
    await closePad(page);
    await onDevice(page);
    const job = page.url();
    await before.close();

    const after = await chromium.launchPersistentContext(folder, { ...options, offline: true });
    const again = after.pages()[0] ?? (await after.newPage());
    await again.goto(job);
    await expect(again.getByRole("button", { name: /^Wall A: 12' 6"/ })).toBeVisible();
    await onDevice(again);
    await again.getByRole("button", { name: "Undo" }).click();
    await expect(again.getByRole("button", { name: /^Wall A: 12' 0"/ })).toBeVisible();
    await again.getByRole("button", { name: "Redo" }).click();
    await after.setOffline(false);
    await saved(again);
    await again.reload();
    await expect(again.getByRole("button", { name: /^Wall A: 12' 6"/ })).toBeVisible();
    await after.close();
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});

test("a wall with a recess in it is built stretch by stretch, or all of it at once, and each stands in the count", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Built in stretches");
  await addRectangle(page, "Den", "12'", "10'");
  await page.getByRole("button", { name: "Pull a recess out of Wall A" }).click();
  await enter(page, "Clear width of Recess 1", "4'");
  await enter(page, "Clear depth of Recess 1", "2'");
  await closePad(page);
  await expect(page.getByText("Wall A is an existing wall.")).toBeVisible();
  await page.getByRole("button", { name: /^Build all \d stretches of Wall A new, in studs$/ }).click();
  await expect(page.getByRole("button", { name: "Build another stretch of Wall A, in studs" })).toBeVisible();
  const built = page.getByRole("link", { name: /^Den, / });
  // One on each side of the recess; its sides and back are built from the recess.
  await expect(built).toHaveCount(2);
  await built.first().click();
  await expect(page.getByTestId("live-count")).toHaveText(/^\d+ studs, \d+ pieces in all/);
  await saved(page);
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await backToParts(page);
  await expect(page.getByRole("link", { name: /^Den, / })).toHaveCount(0);
});

const WRONG: readonly [figure: RegExp, label: string, typed: string, words: string][] = [
  [/^Wall A: /, "Wall A", "0", "Wall A is more than zero."],
  [/^Recess 1, Clear width/, "Clear width of Recess 1", "0", "Recess 1: its clear width is more than zero."],
  [/^Recess 1, Clear width/, "Clear width of Recess 1", "30'", "past the end of Wall A"],
  [/^Door 1, From the wall's start/, "From the wall's start of Door 1", "11'", "past the corner at the end of Wall B"],
  [/^Door 1, Height/, "Height of Door 1", "9'", "above the ceiling"],
];

test("wrong figures of a room are told in a sentence, kept, and change nothing", async ({ page, address }) => {
  await signIn(page, address, ROS);
  await startJob(page, "Wrong figures");
  await addRectangle(page, "Den", "12'", "12'");
  await page.getByRole("button", { name: "Pull a recess out of Wall A" }).click();
  await enter(page, "Clear width of Recess 1", "4'");
  await enter(page, "Clear depth of Recess 1", "2'");
  await closePad(page);
  await page.getByRole("radio", { name: "Wall: B" }).click();
  await page.getByRole("button", { name: "Add a door in Wall B" }).click();
  await closePad(page);
  await expect(page.getByTestId("room-floor")).toHaveText("152 sq ft of floor");
  for (const [figure, label, typed, words] of WRONG) {
    await page.getByRole("button", { name: figure }).click();
    await enter(page, label, typed);
    await expect(page.getByRole("form", { name: "Tape pad" }).getByText(words, { exact: false })).toBeVisible();
    await page.getByRole("textbox", { name: label }).press("Escape");
    await expect(page.getByTestId("room-floor")).toHaveText("152 sq ft of floor");
  }
  // A bump right through the room: kept, and the plan says which walls cross.
  await page.getByRole("radio", { name: "Wall: C" }).click();
  await page.getByRole("button", { name: "Pull a bump into the room from Wall C" }).click();
  await page.getByRole("button", { name: "Next figure" }).click();
  await enter(page, "Clear depth of Bump 1", "13'");
  await closePad(page);
  await expect(page.getByText(/^Wall \w and Wall \w cross\. Check a turn/)).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByTestId("room-floor")).not.toHaveText("No area until the walk closes");
});
