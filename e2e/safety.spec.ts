import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { addPart, enter, expect, openLanternHouse, place, ROS, saved, signIn, startJob, test } from "./support/app";
import { freePort, runStartCommand } from "./support/startCommand";

// The worker that opens the app without signal is wanted here; elsewhere each new page would fetch all of the app again for it.
test.use({ serviceWorkers: "allow" });

test("entries outlive a reload, a killed server and no signal", async ({ page }) => {
  const dataFolder = mkdtempSync(join(tmpdir(), "wide porch kill "));
  const port = await freePort();
  let running = await runStartCommand(dataFolder, port);
  try {
    await signIn(page, running.address, ROS);
    await startJob(page, "Survivor");
    await addPart(page, "Stud wall by itself");
    await enter(page, "Length", "12'");
    await saved(page);

    // Kill everything at once, the database too: nothing gets to say goodbye.
    const { pid } = JSON.parse(readFileSync(join(dataFolder, "running.json"), "utf8"));
    const servers = execFileSync("pgrep", ["-P", String(running.child.pid)], { encoding: "utf8" })
      .trim()
      .split("\n");
    for (const each of [running.child.pid ?? 0, ...servers.map(Number), pid]) {
      try {
        process.kill(each, "SIGKILL");
      } catch {
        // Already gone with its parent.
      }
    }
    await enter(page, "Height", "9'");
    await expect(page.getByRole("status", { name: "Entries: On this device" })).toBeVisible();
    await expect(page.getByTestId("live-count")).toHaveText(/^10 studs/);

    running = await runStartCommand(dataFolder, port);
    await saved(page);
    await page.reload();
    await expect(page.getByRole("button", { name: "Height: 9' 0\"" })).toBeVisible();
    await expect(page.getByRole("button", { name: "Length: 12' 0\"" })).toBeVisible();
  } finally {
    await running.stop();
    rmSync(dataFolder, { recursive: true, force: true });
  }
});

test("the server killed by itself is started again, and so is the database; what was entered meanwhile arrives", async ({
  page,
}) => {
  const dataFolder = mkdtempSync(join(tmpdir(), "wide porch again "));
  const running = await runStartCommand(dataFolder, await freePort());
  const childrenOf = (pid: number): number[] =>
    execFileSync("pgrep", ["-P", String(pid)], { encoding: "utf8" })
      .trim()
      .split("\n")
      .map(Number);
  const { pid: database } = JSON.parse(readFileSync(join(dataFolder, "running.json"), "utf8"));
  try {
    await signIn(page, running.address, ROS);
    await startJob(page, "Again");
    await addPart(page, "Stud wall by itself");
    await enter(page, "Length", "12'");
    await saved(page);

    const [server] = childrenOf(running.child.pid ?? 0).filter((pid) => pid !== database);
    if (server === undefined) throw new Error("there is no server to kill");
    process.kill(server, "SIGKILL");
    await enter(page, "Height", "9'");
    await saved(page);

    process.kill(database, "SIGKILL");
    const again = () => JSON.parse(readFileSync(join(dataFolder, "running.json"), "utf8")).pid;
    await expect.poll(again, { timeout: 60_000 }).not.toBe(database);
    await page.getByRole("button", { name: /^Length: / }).click();
    await enter(page, "Length", "14'");
    await saved(page);
    await page.reload();
    await expect(page.getByRole("button", { name: "Length: 14' 0\"" })).toBeVisible();
    await expect(page.getByRole("button", { name: "Height: 9' 0\"" })).toBeVisible();
  } finally {
    await running.stop();
    rmSync(dataFolder, { recursive: true, force: true });
  }
});

test("an entry made without signal survives a reload before it is sent", async ({ page, address }) => {
  await signIn(page, address, ROS);
  await startJob(page, "No signal");
  await addPart(page, "Stud wall by itself");
  await enter(page, "Length", "12'");
  await saved(page);
  await page.route("**/parts/**", (route) => route.abort());
  await enter(page, "Height", "9'");
  await expect(page.getByRole("status", { name: "Entries: On this device" })).toBeVisible();
  await page.reload();
  await expect(page.getByRole("button", { name: "Height: 9' 0\"" })).toBeVisible();
  await page.unroute("**/parts/**");
  await saved(page);
});

test("a job leaves as a file and comes back; a broken one changes nothing", async ({ page, address }) => {
  await signIn(page, address, ROS);
  await openLanternHouse(page);
  const downloading = page.waitForEvent("download");
  await page.getByRole("button", { name: "Download the job as a file" }).click();
  const file = JSON.parse(readFileSync(await (await downloading).path(), "utf8"));
  const folder = mkdtempSync(join(tmpdir(), "wide-porch-files-"));
  const write = (name: string, text: string) => {
    writeFileSync(join(folder, name), text);
    return join(folder, name);
  };
  await page.getByRole("button", { name: "Back to jobs" }).click();
  const input = page.locator("input[type=file]");
  await input.setInputFiles(write("broken.json", "{ not json"));
  await expect(page.getByText("broken.json was not brought in, and nothing was changed")).toBeVisible();
  const lone = file.parts.findIndex((part: { name: string }) => part.name === "House wall");
  const { valueNm } = file.parts[lone].height;
  file.parts[lone].height.valueNm = "tall";
  await input.setInputFiles(write("tall.json", JSON.stringify(file)));
  await expect(page.getByText(`parts.${lone}.height.valueNm`, { exact: false })).toBeVisible();
  file.parts[lone].height.valueNm = valueNm;
  file.job.title = "Lantern House, brought back";
  await input.setInputFiles(write("good.json", JSON.stringify(file)));
  await expect(page.getByRole("heading", { name: "Lantern House, brought back" })).toBeVisible();
  await place(page, "Quote");
  await expect(page.getByText(/^\d{4}-0001$/).first()).toBeVisible();
});
