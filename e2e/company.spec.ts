import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";
import { addPart, enter, expect, saved, startJob, test } from "./support/app";
import { freePort, runStartCommand } from "./support/startCommand";

const PHONE = { width: 390, height: 844 };
const WORDS = "larch gate kettle";

async function accessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(["wcag2a", "wcag2aa", "wcag21aa", "wcag22aa"])
    .analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(" ")}`)).toEqual([]);
}

async function begin(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await expect(page.getByRole("heading", { name: "Set up" })).toBeVisible();
  await accessible(page);
  await page.getByRole("button", { name: "Begin the company" }).click();
  await expect(page.getByText("Type a name.")).toHaveCount(2);
  await page.getByLabel("Company", { exact: true }).fill("Puddock Builders");
  await page.getByLabel("Your name").fill("Orla Puddock");
  await page.getByLabel("Email").fill("orla@puddock.example");
  await page.getByLabel("Password", { exact: true }).fill("puddock builders");
  await page.getByRole("button", { name: "Begin the company" }).click();
  // The reason stands beneath the field, and what was typed is still there.
  await expect(page.getByText("little more than a name")).toBeVisible();
  await expect(page.getByLabel("Your name")).toHaveValue("Orla Puddock");
  await page.getByLabel("Password", { exact: true }).fill(WORDS);
  await page.getByRole("button", { name: "Begin the company" }).click();
  await expect(page.getByRole("heading", { name: "Jobs" })).toBeVisible();
}

async function invite(page: Page, name: string, email: string): Promise<string> {
  await page.getByRole("link", { name: "Company" }).click();
  await expect(page.getByRole("img", { name: "The head of your quotes" })).toBeVisible();
  await accessible(page);
  await page.getByRole("link", { name: "People" }).click();
  await accessible(page);
  await page.getByRole("button", { name: "Invite somebody" }).click();
  const sheet = page.getByRole("dialog");
  await sheet.getByLabel("Name").fill(name);
  await sheet.getByLabel("Email").fill("no address");
  await sheet.getByRole("button", { name: "Invite", exact: true }).click();
  await expect(sheet.getByText("An address for mail is needed")).toBeVisible();
  await sheet.getByLabel("Email").fill(email);
  await accessible(page);
  await sheet.getByRole("button", { name: "Invite", exact: true }).click();
  await expect(sheet.getByText("A letter is on its way")).toBeVisible();
  const link = await sheet.getByRole("textbox", { name: "Link" }).inputValue();
  await sheet.getByRole("button", { name: "Close" }).click();
  await expect(page.getByRole("button", { name: `Take back the invitation of ${name}` })).toBeVisible();
  return link;
}

test("an empty database becomes a company; a carpenter is asked in, sees no cost, loses the phone and is signed out; the database dies under an entry", async ({
  page,
  browser,
}) => {
  test.setTimeout(300_000);
  const dataFolder = mkdtempSync(join(tmpdir(), "wide porch empty "));
  const running = await runStartCommand(dataFolder, await freePort(), undefined, { WIDE_PORCH_DEMO: "0" });
  try {
    await begin(page, running.address);
    await startJob(page, "Reed Cottage porch");
    await addPart(page, "Stud wall by itself");
    await enter(page, "Length", "12'");
    await saved(page);
    await page.goto(`${running.address}/jobs`);
    const link = await invite(page, "Bram Teal", "bram@puddock.example");

    // The carpenter, on a phone of their own.
    const phone = await (await browser.newContext({ viewport: PHONE })).newPage();
    await phone.goto(link);
    await expect(phone.getByRole("heading", { name: "Come into Puddock Builders" })).toBeVisible();
    await accessible(phone);
    await phone.getByLabel("Choose a password").fill("wet rope and shovel");
    await phone.getByRole("button", { name: "Come in" }).click();
    await expect(phone.getByRole("heading", { name: "Jobs" })).toBeVisible();
    await expect(phone.getByRole("link", { name: "Company" })).toHaveCount(0);
    await phone.getByText("Reed Cottage porch").click();
    await expect(phone.getByRole("navigation", { name: "Job" }).getByRole("link")).toHaveText(["Measure", "Count"]);
    await phone.goto(phone.url().replace(/\/measure.*/, "/price"));
    await expect(phone.getByText(/\d+\.\d\d/)).toHaveCount(0);
    await phone.goto(`${running.address}/people`);
    await expect(phone.getByText("Only an owner of the company sees its people.")).toBeVisible();
    // A link works once.
    const other = await (await browser.newContext({ viewport: PHONE })).newPage();
    await other.goto(link);
    await expect(other.getByRole("heading", { name: "This link does not work" })).toBeVisible();

    // The phone is lost, and the owner signs it out.
    await page.reload();
    await page.getByRole("button", { name: /^Bram Teal/ }).click();
    await accessible(page);
    await page.getByRole("button", { name: "Sign out on every device" }).click();
    await expect(page.getByText("Signed in nowhere.")).toBeVisible();
    await phone.goto(`${running.address}/jobs`);
    await expect(phone.getByRole("form", { name: "Sign in" })).toBeVisible();

    // The database is killed under an entry, and what was entered arrives.
    await page.goto(`${running.address}/jobs`);
    await page.getByText("Reed Cottage porch").click();
    await page.getByText("Wall 1", { exact: true }).first().click();
    const { pid: database } = JSON.parse(readFileSync(join(dataFolder, "running.json"), "utf8"));
    process.kill(database, "SIGKILL");
    await page.getByRole("button", { name: /^Height: / }).click();
    await enter(page, "Height", "9'");
    await expect(page.getByRole("status", { name: /^Entries: (On this device|Saving)/ })).toBeVisible();
    await saved(page);
    await page.reload();
    await expect(page.getByRole("button", { name: "Height: 9' 0\"" })).toBeVisible();
  } finally {
    await running.stop();
    rmSync(dataFolder, { recursive: true, force: true });
  }
});

test("a company is begun beside the demo; a forgotten password comes by a letter, and signing out works without signal", async ({
  page,
  address,
}) => {
  await page.setViewportSize(PHONE);
  await page.goto(address);
  await page.getByRole("button", { name: "Begin with your own company" }).click();
  await page.getByLabel("Company", { exact: true }).fill("Dabchick Roofing");
  await page.getByLabel("Your name").fill("Nye Dabchick");
  await page.getByLabel("Email").fill("nye@dabchick.example");
  await page.getByLabel("Password", { exact: true }).fill(WORDS);
  await page.getByRole("radio", { name: "Most jobs are measured in: Metric" }).click();
  await page.getByRole("radio", { name: "Most jobs are priced in: GBP" }).click();
  await page.getByRole("button", { name: "Begin the company" }).click();
  await expect(page.getByText("No jobs yet. Start one")).toBeVisible();
  await page.getByRole("button", { name: "Start a job" }).click();
  await expect(page.getByRole("radio", { name: "Measuring system: Metric" })).toBeChecked();
  await expect(page.getByRole("radio", { name: "Currency: GBP" })).toBeChecked();
  await page.getByRole("button", { name: "Back to jobs" }).click();

  await page.getByRole("button", { name: "You" }).click();
  await expect(page.getByText("this device, signed in")).toBeVisible();
  await accessible(page);
  await page.getByLabel("The one you have now").fill("not this one at all");
  await page.getByLabel("The new one").fill("another kettle now");
  await page.getByRole("button", { name: "Change the password" }).click();
  await expect(page.getByText("This is not your password.")).toBeVisible();

  // Without signal: signed out here, and the server is told once there is some.
  await page.route("**/api/**", (route) => route.abort());
  await page.getByRole("button", { name: "Sign out on this device" }).click();
  await expect(page.getByRole("form", { name: "Sign in" })).toBeVisible();
  const kept = await page.evaluate(
    () =>
      new Promise<string[]>((done) => {
        const opening = indexedDB.open("wide-porch");
        opening.onsuccess = () => {
          const keys = opening.result.transaction("kept").objectStore("kept").getAllKeys();
          keys.onsuccess = () => done(keys.result.map(String));
        };
      }),
  );
  expect(kept.filter((key) => /^(answers|undo|session)/.test(key))).toEqual([]);
  await page.unroute("**/api/**");
  await page.reload();
  await expect(page.getByRole("form", { name: "Sign in" })).toBeVisible();

  await page.getByRole("button", { name: "Forgotten?" }).click();
  await page.getByLabel("Email").fill("nye@dabchick.example");
  await accessible(page);
  await page.getByLabel("Email").fill("nye");
  await page.getByRole("button", { name: "Send the link" }).click();
  await expect(page.getByText("An address for mail is needed")).toBeVisible();
  await page.getByLabel("Email").fill("nye@dabchick.example");
  await page.getByRole("button", { name: "Send the link" }).click();
  await expect(page.getByText("Look at your mail")).toBeVisible();
  const letters = await page.getByRole("link", { name: "Read the letters" }).getAttribute("href");
  const link = page.getByRole("link", { name: /new-password#/ }).first();
  // It is sent beside the answer, and may be a moment later.
  await expect(async () => {
    await page.goto(letters ?? "");
    await expect(link).toBeVisible({ timeout: 1000 });
  }).toPass();
  await link.click();
  await accessible(page);
  await page.getByLabel("New password", { exact: true }).fill("a fourth wet spaniel");
  await page.getByRole("button", { name: "Change it and sign in" }).click();
  await expect(page.getByRole("heading", { name: "Jobs" })).toBeVisible();
});
