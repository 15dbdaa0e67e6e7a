import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { addPart, closePad, enter, expect, place, ROS, saved, signIn, startJob, test } from "./support/app";
import { freePort, type Running, runStartCommand } from "./support/startCommand";
import { copyWithFence, runIn } from "./support/withFence";

/** A made-up kind of part: two folders and three lines, and it goes from the tape to the quote through the screens there are. */
let copy: string | undefined;
let data: string | undefined;
let running: Running | undefined;

test.beforeAll(async () => {
  // Another build of the app, from another folder.
  test.setTimeout(900_000);
  copy = copyWithFence();
  data = mkdtempSync(join(tmpdir(), "wide-porch-fence-"));
  running = await runStartCommand(data, await freePort(), copy);
});

test.afterAll(async () => {
  await running?.stop();
  if (data) rmSync(data, { recursive: true, force: true });
  if (copy) rmSync(copy, { recursive: true, force: true });
});

test("a fence is a kind like any other: its types hold, it conforms, and it goes from measure to quote", async ({
  page,
}) => {
  test.setTimeout(900_000);
  if (!copy || !running) throw new Error("the copy is running");
  runIn(copy, "typescript-native/bin/tsc", "-p", "packages/core");
  runIn(copy, "typescript-native/bin/tsc", "-p", "packages/app");
  runIn(copy, "jest/bin/jest.js", "--selectProjects", "core", "--testPathPattern", "kinds/fence|kinds/boundaries");

  page.setDefaultTimeout(20_000);
  await signIn(page, running.address, ROS);
  await page.goto(`${running.address}/assemblies`);
  await page
    .getByLabel("Assembly file", { exact: true })
    .setInputFiles(join(copy, "packages/core/src/kinds/fence/fence.json"));
  await page.getByRole("button", { name: "Save version 1" }).click();
  await expect(page.getByText("Version 1, saved")).toBeVisible();
  await page.goto(running.address);

  await startJob(page, "Fence at the forge");
  await addPart(page, "Fence");
  await enter(page, "Length", "40'");
  await closePad(page);
  // 40 ft at 8 ft is five bays.
  await expect(page.getByTestId("live-count")).toContainText("6 posts");
  await saved(page);
  await place(page, "Count");
  await expect(page.getByRole("button", { name: /^Rails, .*10 rails/ })).toBeVisible();
  await expect(page.getByRole("button", { name: /^Boards, .*88 boards/ })).toBeVisible();
  await page.getByRole("radio", { name: "Show: Ordered" }).click();
  await expect(page.getByText("4 × 4", { exact: false }).first()).toBeVisible();
  await place(page, "Quote");
  await expect(page.getByText(/Build a fence 40 ft long and 6 ft high, on 6 posts/).first()).toBeVisible();
});
