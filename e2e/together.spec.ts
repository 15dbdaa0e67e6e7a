import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import {
  addPart,
  addRectangle,
  backToParts,
  closePad,
  enter,
  expect,
  ROS,
  saved,
  signIn,
  startJob,
  test,
} from "./support/app";

const PHONE = { width: 390, height: 844 };
/** Pictures that ship with the app. */
const picture = (name: string) => readFileSync(resolve(__dirname, `../packages/app/public/icons/${name}`));

// The worker that opens the app without signal is wanted here; elsewhere each new page would fetch all of the app again for it.
test.use({ serviceWorkers: "allow" });

test("two people on one room: different fields go together, the same field is chosen, nothing is dropped", async ({
  page,
  context,
  browser,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Two tapes");
  await addRectangle(page, "Hall", "12'", "10'");
  await saved(page);
  const second = await browser.newContext({ viewport: PHONE });
  const other = await second.newPage();
  await signIn(other, address, /Piet Marrow/);
  await other.goto(page.url().replace(/\?.*/, ""));
  await expect(other.getByTestId("room-floor")).toHaveText("120 sq ft of floor");

  // Ros is out of signal; both change wall A, and each something else.
  await context.setOffline(true);
  await page.getByRole("button", { name: /^Wall A: 12' 0"/ }).click();
  await enter(page, "Wall A", "12'6");
  await closePad(page);
  await page.getByLabel("Notes").fill("Damp at the sill");
  await page.getByLabel("Notes").blur();
  await other.getByRole("button", { name: /^Wall A: 12' 0"/ }).click();
  await enter(other, "Wall A", "12'3");
  await closePad(other);
  await other.getByRole("button", { name: "Add a door in Wall A" }).click();
  await closePad(other);
  await saved(other);
  await context.setOffline(false);

  await expect(page.getByRole("status", { name: "Entries: Needs you" })).toBeVisible();
  await page.getByRole("button", { name: "See both versions" }).click();
  const dialog = page.getByRole("dialog");
  const wallA = dialog.getByRole("radiogroup", { name: "Wall A", exact: true });
  await expect(wallA.getByText("changed by both")).toBeVisible();
  await expect(wallA.getByRole("radio", { name: "Mine: 12' 6\"" })).toBeChecked();
  await expect(
    dialog.getByRole("radiogroup", { name: "Notes" }).getByRole("radio", { name: "Mine: Damp at the sill" }),
  ).toBeChecked();
  await expect(
    dialog.getByRole("radiogroup", { name: "Door 1" }).getByRole("radio", { name: "Theirs: Door 1" }),
  ).toBeChecked();
  await wallA.getByRole("radio", { name: "Theirs: 12' 3\"" }).click();
  await dialog.getByRole("button", { name: "Use what is marked" }).click();
  await saved(page);
  await expect(page.getByRole("button", { name: /^Wall A: 12' 3"/ })).toBeVisible();
  await expect(page.getByLabel("Notes")).toHaveValue("Damp at the sill");
  await expect(page.getByRole("button", { name: /^Door 1, Width/ })).toBeVisible();
  // The other device sees it without a press.
  await expect(other.getByLabel("Notes")).toHaveValue("Damp at the sill");

  // What was not chosen is in the history, by who and when, and can be gone back to.
  await page.getByRole("button", { name: "History" }).click();
  const history = page.getByRole("dialog");
  await expect(history.getByText("set aside when another version was chosen", { exact: false })).toBeVisible();
  await expect(history.getByText("Piet Marrow").first()).toBeVisible();
  const aside = history.getByText("set aside", { exact: false }).locator("..");
  await aside.getByRole("button", { name: "Go back to this" }).click();
  await expect(page.getByRole("button", { name: /^Wall A: 12' 6"/ })).toBeVisible();
  await saved(page);
  await second.close();
});

test("undo reaches over every part and past a reload, and leaves what others changed", async ({
  page,
  browser,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Undone");
  await addRectangle(page, "Hall", "12'", "10'");
  const room = page.url();
  await page.getByRole("button", { name: /^Wall A: 12' 0"/ }).click();
  await enter(page, "Wall A", "13'");
  await closePad(page);
  await backToParts(page);
  await addPart(page, "Length");
  await enter(page, "Length", "9'");
  await saved(page);

  const second = await browser.newContext({ viewport: PHONE });
  const other = await second.newPage();
  await signIn(other, address, /Piet Marrow/);
  await other.goto(room.replace(/\?.*/, ""));
  await other.getByLabel("Notes").fill("North wall is stone");
  await other.getByLabel("Notes").blur();
  await saved(other);

  await page.goto(room);
  await expect(page.getByLabel("Notes")).toHaveValue("North wall is stone");
  const undo = page.getByRole("button", { name: "Undo" });
  await expect(undo).toBeEnabled();
  // The length's figure, the length itself, then the room's wall.
  for (let step = 0; step < 3; step += 1) await undo.click();
  await expect(page.getByRole("button", { name: /^Wall A: 12' 0"/ })).toBeVisible();
  await expect(page.getByLabel("Notes")).toHaveValue("North wall is stone");
  await page.getByRole("button", { name: "Redo" }).click();
  await expect(page.getByRole("button", { name: /^Wall A: 13' 0"/ })).toBeVisible();
  await saved(page);
  await second.close();
});

test("photos are made small, kept without signal and seen by others; what is no photo is told so", async ({
  page,
  context,
  browser,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Photographed");
  await addRectangle(page, "Cellar", "12'", "10'");
  const files = page.getByLabel("Photo files");
  await files.setInputFiles({ name: "notes.jpg", mimeType: "image/jpeg", buffer: Buffer.from("not a picture") });
  await expect(page.getByText("notes.jpg: This file is no picture that can be shown.", { exact: false })).toBeVisible();
  const folder = mkdtempSync(join(tmpdir(), "wide-porch-photos-"));
  writeFileSync(join(folder, "huge.jpg"), Buffer.alloc(50 * 1024 * 1024, 7));
  await files.setInputFiles(join(folder, "huge.jpg"));
  await expect(page.getByText("huge.jpg: This file is 50 MB; a photo is at most 40 MB.")).toBeVisible();
  rmSync(folder, { recursive: true });
  await context.setOffline(true);
  await files.setInputFiles({ name: "rot.png", mimeType: "image/png", buffer: picture("icon-512.png") });
  await page.getByRole("button", { name: "Photo 1" }).click();
  await page.getByLabel("What it shows").fill("Rot behind the sill");
  await page.getByLabel("What it shows").press("Enter");
  await page.getByRole("button", { name: "Close", exact: true }).click();
  await expect(page.getByRole("status", { name: "Entries: On this device" })).toBeVisible();
  await expect(page.getByRole("button", { name: "Photo 1, Rot behind the sill" }).locator("img")).toHaveCount(1);
  await context.setOffline(false);
  await saved(page);

  const second = await browser.newContext({ viewport: PHONE });
  const other = await second.newPage();
  await signIn(other, address, /Juno Vale/);
  await other.goto(page.url().replace(/\?.*/, ""));
  const photo = other.getByRole("button", { name: "Photo 1, Rot behind the sill" }).locator("img");
  await expect(photo).toHaveCount(1);
  const widthPx = await photo.evaluate((image: HTMLImageElement) => image.decode().then(() => image.naturalWidth));
  expect(widthPx).toBe(512);
  await second.close();
});

test("a distance meter's reading lands in the open entry, goes on with a sum, or waits as a chip", async ({
  page,
  context,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Metered", true);
  const meter = await context.newPage();
  await meter.goto(`${address}/meter`);
  const send = async (metres: string) => {
    await meter.getByLabel("Distance to the wall, in metres").fill(metres);
    await meter.getByRole("button", { name: "Measure" }).click();
  };
  await addPart(page, "Room, wall by wall");
  const entry = page.getByRole("textbox", { name: "Wall A" });
  await expect(entry).toBeVisible();
  await send("4.2");
  await expect(meter.getByText("In the open entry")).toBeVisible();
  await expect(entry).toHaveValue("4.2 m");
  await entry.fill("4.2 m + ");
  await send("0.35");
  await expect(entry).toHaveValue("4.2 m + 0.35 m");
  await entry.press("Enter");
  await expect(page.getByRole("textbox", { name: "Wall B" })).toBeVisible();
  await closePad(page);
  await send("3.1");
  await expect(meter.getByText("Waiting in the app, to be picked")).toBeVisible();
  await expect(page.getByText("1 reading waits")).toBeVisible();
  await page.getByRole("button", { name: "Go on walking" }).click();
  await page.getByRole("button", { name: "Use the meter's reading 3.1 m" }).click();
  await expect(page.getByRole("textbox", { name: "Wall B" })).toHaveValue("3.1 m");
  await meter.getByLabel("Distance to the wall, in metres").fill("75");
  await expect(meter.getByRole("button", { name: "Measure" })).toBeDisabled();
  await expect(meter.getByText("The meter reaches from 0.001 to 60 metres.")).toBeVisible();
  await page.goto(`${address}/jobs`);
  await send("2");
  await expect(meter.getByText("No answer: is a job open in this browser?")).toBeVisible();
});

test("a device whose clock is wrong is told so, and the history has the right time", async ({ page, address }) => {
  await signIn(page, address, ROS);
  await startJob(page, "Wrong clock");
  await page.clock.setSystemTime(new Date(Date.now() + 26 * 3_600_000));
  await addRectangle(page, "Hall", "12'", "10'");
  await expect(page.getByText("This device's clock is 1 day fast. Times are kept by the server's.")).toBeVisible();
  await saved(page);
  const [, jobId, partId] = /jobs\/([^/]+)\/measure\/([^/?]+)/.exec(page.url()) ?? [];
  const { items } = await (await page.request.get(`${address}/api/v1/jobs/${jobId}/parts/${partId}/history`)).json();
  for (const { at } of items) expect(Math.abs(Date.now() - Date.parse(at))).toBeLessThan(120_000);
});
