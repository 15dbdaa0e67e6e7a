import type { Page } from "@playwright/test";
import { addPart, enter, expect, ROS, saved, signIn, startJob, test } from "./support/app";

/** As in some private windows: asked for, the store of the browser is refused. */
const refuseStorage = (page: Page) =>
  page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException("The operation is insecure.", "SecurityError");
    };
  });

// The worker that opens the app without signal is wanted here; elsewhere each new page would fetch all of the app again for it.
test.use({ serviceWorkers: "allow" });

test("a device that keeps nothing works with signal, says so, and its mark is true", async ({ page, address }) => {
  await refuseStorage(page);
  await signIn(page, address, ROS);
  await startJob(page, "Kept nowhere");
  await expect(page.getByText("This device keeps nothing")).toBeVisible();
  await addPart(page, "Stud wall by itself");
  await enter(page, "Length", "12'");
  await saved(page);
  await page.route("**/parts/**", (route) => route.abort());
  await enter(page, "Height", "9'");
  await expect(page.getByRole("status", { name: "Entries: Needs you" })).toBeVisible();
  await expect(page.getByText("Stay on this page until the mark says Saved.")).toBeVisible();
  // Leaving is asked about, as it would lose the entry; here the answer is to stay.
  const asked = page.waitForEvent("dialog");
  const leaving = page.goto(`${address}/jobs`).catch(() => undefined);
  const dialog = await asked;
  expect(dialog.type()).toBe("beforeunload");
  await dialog.dismiss();
  await leaving;
  await page.unroute("**/parts/**");
  await saved(page);
});

test("a page from before an update offers to reload, and says when a part of it is no more", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await expect(page.getByText("There is a new version of Wide Porch.")).toHaveCount(0);
  await page.route("**/api/v1/jobs?*", async (route) => {
    const answer = await route.fetch();
    await route.fulfill({ response: answer, headers: { ...answer.headers(), "wide-porch-build": "another" } });
  });
  await page.getByLabel("Find a job by its name, customer or site").fill("Lantern");
  await expect(page.getByText("There is a new version of Wide Porch.")).toBeVisible();
  await page.getByRole("button", { name: "Reload later" }).click();
  await page.unroute("**/api/v1/jobs?*");
});

test("somebody who signed in anew in another tab goes on in the first", async ({ page, address, context }) => {
  await signIn(page, address, ROS);
  await startJob(page, "Two tabs");
  const other = await context.newPage();
  await other.goto(`${address}/jobs`);
  await other.getByRole("button", { name: "Sign out" }).click();
  await other.getByRole("button", { name: ROS }).click();
  await expect(other.getByRole("heading", { name: "Jobs" })).toBeVisible();
  await addPart(page, "Stud wall by itself");
  await enter(page, "Length", "12'");
  await saved(page);
  await page.getByRole("button", { name: "Back to the parts" }).click();
  await page.getByRole("button", { name: "Back to jobs" }).click();
  await startJob(page, "Two tabs, another");
  await expect(page.getByText("lacks this session's token")).toHaveCount(0);
});
