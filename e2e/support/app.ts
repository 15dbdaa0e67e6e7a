import { test as base, expect, type Page } from "@playwright/test";

/** Chromium notes each answer above 399 in the console by itself; what the page itself reports is what counts. */
const FROM_THE_NETWORK = /Failed to load resource/;

/** A page that fails its test when anything is reported to the console as an error. */
export const test = base.extend<{ address: string }>({
  // biome-ignore lint/correctness/noEmptyPattern: Playwright reads the parameter's shape
  address: async ({}, use) => {
    await use(process.env.WIDE_PORCH_ADDRESS ?? "");
  },
  page: async ({ page }, use) => {
    const errors: string[] = [];
    page.on("console", (message) => {
      if (message.type() === "error" && !FROM_THE_NETWORK.test(message.text())) errors.push(message.text());
    });
    page.on("pageerror", (error) => errors.push(error.message));
    await use(page);
    expect(errors).toEqual([]);
  },
});

export { expect };

export async function signIn(page: Page, address: string, person: RegExp): Promise<void> {
  await page.goto(address);
  await page.getByRole("button", { name: person }).click();
  await expect(page.getByRole("heading", { name: "Jobs" })).toBeVisible();
}

/** The demo job, wherever jobs of other tests have pushed it in the list. */
export async function openLanternHouse(page: Page): Promise<void> {
  const title = "Lantern House: boot room and wrap-around porch";
  await page.getByLabel("Find a job by its name, customer or site").fill(title);
  // The list is asked for anew while it is pressed: a press on what moves away goes nowhere, so it is pressed until it opens.
  await expect(async () => {
    await page.getByText(title, { exact: true }).first().click({ timeout: 5_000 });
    await expect(page.getByRole("navigation", { name: "Job" })).toBeVisible({ timeout: 10_000 });
  }).toPass();
}

export const ROS = /Ros Adeyemi-Lund/;
export const JUNO = /Juno Vale/;

export async function startJob(page: Page, title: string, metric = false): Promise<void> {
  await page.getByRole("button", { name: "Start a job" }).click();
  await page.getByLabel("What is the job?").fill(title);
  await page.getByLabel("Customer").fill("Percival Thistlewood");
  await page.getByLabel("Site").fill("The Old Forge, Marlcroft");
  if (metric) await page.getByRole("radio", { name: "Measuring system: Metric" }).click();
  await page.getByRole("button", { name: "Start measuring" }).click();
  await expect(page.getByRole("heading", { name: title })).toBeVisible();
}

export const place = (page: Page, name: "Measure" | "Count" | "Price" | "Quote") =>
  page.getByRole("navigation", { name: "Job" }).getByRole("link", { name }).click();

/** Types one entry into the open tape pad and goes on. */
export async function enter(page: Page, label: string, typed: string): Promise<void> {
  const field = page.getByRole("form", { name: "Tape pad" }).getByRole("textbox", { name: label });
  await expect(field).toBeVisible();
  await field.fill(typed);
  await field.press("Enter");
}

/** Counts with the pad: so many of what is counted on a walk round. */
export async function countSpots(page: Page, typed: string): Promise<void> {
  await page.getByRole("button", { name: /^post, How many/ }).click();
  await enter(page, "How many of post", typed);
}

export const saved = (page: Page) => expect(page.getByRole("status", { name: "Entries: Saved" })).toBeVisible();

export const addPart = async (page: Page, what: string): Promise<void> => {
  await page.getByRole("button", { name: "Add a part" }).click();
  await page.getByRole("button", { name: what, exact: true }).click();
};

export const closePad = (page: Page) => page.getByRole("button", { name: "Close tape pad" }).click();

/** A room by its two figures, its pad closed again. */
export async function addRectangle(page: Page, name: string, a: string, b: string): Promise<void> {
  await addPart(page, "Room, a rectangle");
  await enter(page, "Wall A", a);
  await enter(page, "Wall B", b);
  await closePad(page);
  await page.getByRole("button", { name: "Name, storey and location" }).click();
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.getByLabel("Name", { exact: true }).press("Enter");
  await page.getByRole("button", { name: "Done" }).click();
  await expect(page.getByRole("heading", { name, exact: true })).toBeVisible();
}

export const backToParts = (page: Page) => page.getByRole("button", { name: "Back to the parts" }).click();

/** Waits until the app could open without signal. */
export const keptForOffline = (page: Page) =>
  page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    while (!navigator.serviceWorker.controller) await new Promise((done) => setTimeout(done, 50));
  });
