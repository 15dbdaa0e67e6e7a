import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Page } from "@playwright/test";
import { Secret, TOTP } from "otpauth";
import { accessible } from "./support/accessible";
import { addPart, closePad, enter, expect, place, saved, startJob, test } from "./support/app";
import { freePort, runStartCommand } from "./support/startCommand";

const PHONE = { width: 390, height: 844 };
const WORDS = "larch gate kettle";

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

/** The link of the newest letter that has one of the kind, on the page of the stand-in for a mail server. */
async function linkInLetters(page: Page, address: string, kind: RegExp, to: string): Promise<string> {
  const { letters } = await (await page.request.get(`${address}/api/v1/set-up`)).json();
  let found: string | undefined;
  await expect(async () => {
    const { items } = await (await page.request.get(`${letters}/letters`)).json();
    const own = items.filter((each: { to: string }) => each.to === to);
    const links = own.flatMap(({ text }: { text: string }) => text.match(/https?:\/\/\S+/g) ?? []);
    found = links.find((link: string) => kind.test(link));
    expect(found).toBeTruthy();
  }).toPass();
  return found ?? "";
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
    // The address counts once its letter is answered.
    await page.goto(`${running.address}/account`);
    await expect(page.getByText("Your address is not confirmed")).toBeVisible();
    await page.goto(await linkInLetters(page, running.address, /\/confirm#/, "orla@puddock.example"));
    await accessible(page);
    await page.getByRole("button", { name: "Yes, it is mine" }).click();
    await expect(page.getByText("Your address counts")).toBeVisible();
    await page.goto(`${running.address}/account`);
    await expect(page.getByText("Where you are signed in")).toBeVisible();
    await expect(page.getByText("Your address is not confirmed")).toHaveCount(0);

    await page.goto(`${running.address}/jobs`);
    const link = await invite(page, "Bram Teal", "bram@puddock.example");

    // The carpenter, on a phone of their own.
    const phone = await (await browser.newContext({ viewport: PHONE })).newPage();
    await phone.goto(link);
    await expect(phone.getByRole("heading", { name: "Come into Puddock Builders" })).toBeVisible();
    await accessible(phone);
    await phone.getByLabel("Choose a password").fill("wet rope and shovel");
    await phone.getByRole("button", { name: "Come in" }).click();
    // The link was handed over: whether the address is theirs is shown by a letter.
    await expect(phone.getByText("Look at your mail")).toBeVisible();
    await accessible(phone);
    await phone.goto(await linkInLetters(phone, running.address, /\/confirm#/, "bram@puddock.example"));
    await phone.getByRole("button", { name: "Yes, it is mine" }).click();
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
  await expect(page.getByText("Look at your mail")).toBeVisible();
  await accessible(page);
  await page.goto(await linkInLetters(page, address, /\/confirm#/, "nye@dabchick.example"));
  await page.getByRole("button", { name: "Yes, it is mine" }).click();
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

/** Everything that lies on the device, key by key, as text. */
const onDevice = (page: Page): Promise<Record<string, string>> =>
  page.evaluate(async () => {
    const asText = (value: unknown): string =>
      value instanceof ArrayBuffer || ArrayBuffer.isView(value)
        ? new TextDecoder("latin1").decode(value as ArrayBuffer)
        : typeof value === "object" && value !== null
          ? Object.values(value).map(asText).join(" ")
          : String(value);
    const found: Record<string, string> = {};
    const opening = indexedDB.open("wide-porch");
    await new Promise((done) => {
      opening.onsuccess = done;
    });
    const walking = opening.result.transaction("kept").objectStore("kept").openCursor();
    await new Promise<void>((done) => {
      walking.onsuccess = () => {
        const cursor = walking.result;
        if (!cursor) return done();
        found[String(cursor.key)] = asText(cursor.value);
        cursor.continue();
      };
    });
    return found;
  });

test("an owner sets up a second factor, reads the log, deletes a job and restores it; a session that ended leaves nothing readable on the device", async ({
  page,
  address,
}) => {
  test.setTimeout(240_000);
  await page.setViewportSize(PHONE);
  await page.goto(address);
  await page.getByRole("button", { name: "Begin with your own company" }).click();
  await page.getByLabel("Company", { exact: true }).fill("Widgeon Joinery");
  await page.getByLabel("Your name").fill("Ida Widgeon");
  await page.getByLabel("Email").fill("ida@widgeon.example");
  await page.getByLabel("Password", { exact: true }).fill(WORDS);
  await page.getByRole("button", { name: "Begin the company" }).click();
  await page.goto(await linkInLetters(page, address, /\/confirm#/, "ida@widgeon.example"));
  await page.getByRole("button", { name: "Yes, it is mine" }).click();
  await expect(page.getByText("No jobs yet. Start one")).toBeVisible();

  await page.goto(`${address}/account`);
  await page.getByLabel("Your password").fill("not it");
  await page.getByRole("button", { name: "Set it up" }).click();
  await expect(page.getByText("This is not your password.")).toBeVisible();
  await page.getByLabel("Your password").fill(WORDS);
  await page.getByRole("button", { name: "Set it up" }).click();
  const secret = (await page.getByText(/^([A-Z2-7]{4} ){7}[A-Z2-7]{4}$/).textContent())?.replaceAll(" ", "") ?? "";
  const codeAt = (steps: number) =>
    new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: Date.now() + steps * 30_000 });
  await page.getByRole("textbox", { name: "Code" }).fill("000000");
  await page.getByRole("button", { name: "Turn it on" }).click();
  await expect(page.getByText("This code is not right", { exact: false })).toBeVisible();
  await page.getByRole("textbox", { name: "Code" }).fill(codeAt(0));
  await accessible(page);
  await page.getByRole("button", { name: "Turn it on" }).click();
  await expect(page.getByText("Write these down")).toBeVisible();
  const recovery = await page
    .getByText(/^[a-z2-9]{5}-[a-z2-9]{5}$/)
    .first()
    .textContent();
  await accessible(page);
  await page.getByRole("button", { name: "I have them" }).click();
  await expect(page.getByText("10 recovery codes are left.", { exact: false })).toBeVisible();

  await page.goto(`${address}/safety`);
  await expect(page.getByText("0 of 20,000")).toBeVisible();
  await page.getByRole("checkbox", { name: /Everybody has a second factor/ }).click();
  await expect(page.getByRole("checkbox", { name: /Everybody has a second factor/ })).toBeChecked();
  await accessible(page);
  await page.getByRole("link", { name: /^The log/ }).click();
  const log = page.getByRole("list", { name: "Log" });
  await expect(log.getByText("Ida Widgeon turned a second factor on")).toBeVisible();
  await expect(log.getByText("Ida Widgeon changed how people sign in")).toBeVisible();
  await page.getByRole("radio", { name: "Shown: Signing in" }).click();
  await expect(log.getByText("Ida Widgeon changed how people sign in")).toHaveCount(0);
  await accessible(page);

  // A job is deleted, with what is kept said first, and restored.
  await page.goto(`${address}/jobs`);
  await startJob(page, "Widgeon stable door");
  await addPart(page, "Stud wall by itself");
  await enter(page, "Length", "12'");
  await saved(page);
  await closePad(page);
  await place(page, "Price");
  await page.getByRole("button", { name: /^This job/ }).click();
  await page.getByRole("button", { name: "Delete this job" }).click();
  await expect(page.getByText("It can be restored for 30 days", { exact: false })).toBeVisible();
  await page.getByRole("button", { name: "Delete the job" }).click();
  await expect(page.getByText("No jobs yet. Start one")).toBeVisible();
  await page.getByRole("button", { name: /^Shown and sorted/ }).click();
  await page.getByRole("radio", { name: "Kept: Deleted" }).click();
  await page.getByRole("button", { name: "Restore Widgeon stable door" }).click();
  await expect(page.getByText("Nothing is deleted", { exact: false })).toBeVisible();
  await page.getByRole("radio", { name: "Kept: Open" }).click();
  await page.getByText("Widgeon stable door").click();
  await expect(page.getByText("Wall 1", { exact: true }).first()).toBeVisible();

  // What lies on the device is sealed; once the session has ended elsewhere it is gone, but for what was not sent.
  const before = await onDevice(page);
  const answers = Object.entries(before).filter(([key]) => key.startsWith("answers/"));
  expect(answers.length).toBeGreaterThan(2);
  expect(answers.filter(([, text]) => /Widgeon|markup|price/i.test(text))).toEqual([]);
  await page.route("**/api/v1/jobs/*/parts/**", (route) => route.abort());
  await page.getByText("Wall 1", { exact: true }).first().click();
  await page.getByRole("button", { name: /^Height: / }).click();
  await enter(page, "Height", "9'");
  await expect(page.getByRole("status", { name: /^Entries: On this device/ })).toBeVisible();
  await page.context().clearCookies({ name: "wide_porch_session" });
  await page.reload();
  await expect(page.getByRole("form", { name: "Sign in" })).toBeVisible();
  await expect(page.getByText(/entr(y|ies) of Ida Widgeon/)).toBeVisible();
  const after = await onDevice(page);
  expect(Object.keys(after).filter((key) => /^(answers|undo|session|key|photos|tags)/.test(key))).toEqual([]);
  expect(Object.values(after).filter((text) => /stud-wall|typed/.test(text))).toEqual([]);
  await page.unroute("**/api/v1/jobs/*/parts/**");

  // Back again: a code is asked for, a recovery code lets in once, and the entry is sent.
  await page.getByLabel("Email").fill("ida@widgeon.example");
  await page.getByLabel("Password").fill(WORDS);
  await page.getByRole("button", { name: "Sign in", exact: true }).click();
  await page.getByRole("textbox", { name: "Code" }).fill(recovery ?? "");
  await accessible(page);
  await page.getByRole("button", { name: "Sign in", exact: true }).click();
  await expect(
    page.getByRole("heading", { name: "Jobs" }).or(page.getByRole("navigation", { name: "Job" })),
  ).toBeVisible();
  await page.goto(`${address}/jobs`);
  await page.getByText("Widgeon stable door").click();
  await page.getByText("Wall 1", { exact: true }).first().click();
  await saved(page);
  await page.reload();
  await expect(page.getByRole("button", { name: "Height: 9' 0\"" })).toBeVisible();
});
