import { readFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import type { AxeResults, RunOptions } from "axe-core";
import { expect } from "./app";

const OF_THE_STANDARD = ["wcag2a", "wcag2aa", "wcag21aa", "wcag22aa"];
const TAGS = [...OF_THE_STANDARD, "best-practice"];
/** What the colours of a screen can be wrong in; the rest of it is the same in the dark. */
const OF_COLOUR = ["color-contrast", "link-in-text-block"];

const axe = readFileSync(require.resolve("axe-core/axe.min.js"), "utf8");

/** What axe finds. It is put into a page once: reading it takes longer than most of what it is asked. */
async function violationsOf(page: Page, what: string, options: RunOptions): Promise<string[]> {
  if (!(await page.evaluate(() => "axe" in window))) await page.evaluate(axe);
  const { violations } = await page.evaluate<AxeResults, RunOptions>(
    (asked) => (window as unknown as { axe: typeof import("axe-core") }).axe.run(document, asked),
    { ...options, resultTypes: ["violations"] },
  );
  return violations.map(
    (each) => `${what}: ${each.id}: ${each.nodes.map((node) => node.html.slice(0, 160)).join(" | ")}`,
  );
}

const withTags = (values: string[]): RunOptions => ({ runOnly: { type: "tag", values } });
const withRules = (values: string[]): RunOptions => ({ runOnly: { type: "rule", values } });
/** A sheet that rises is paler than it will be. */
const atRest = (page: Page) =>
  page.evaluate(() => Promise.all(document.getAnimations().map((each) => each.finished.catch(() => undefined))));
const ground = (page: Page) => page.evaluate(() => getComputedStyle(document.body).backgroundColor);

/** Fails with what axe finds wrong on a screen once all of it is there. */
export async function accessible(page: Page, what = page.url()): Promise<void> {
  await expect.poll(() => violationsOf(page, what, withTags(OF_THE_STANDARD))).toEqual([]);
}

async function inLightAndDark(page: Page, what: string): Promise<string[]> {
  await atRest(page);
  const inLight = await violationsOf(page, what, withTags(TAGS));
  const light = await ground(page);
  await page.emulateMedia({ colorScheme: "dark" });
  await expect.poll(() => ground(page)).not.toBe(light);
  const inDark = await violationsOf(page, `${what}, dark`, withRules(OF_COLOUR));
  await page.emulateMedia({ colorScheme: "light" });
  return [...inLight, ...inDark];
}

/** The same, and its colours in the dark, on a phone and on a wide screen. What is open on the one stays open on the other. */
export async function accessibleAtAnySize(page: Page, what: string): Promise<void> {
  const phone = page.viewportSize();
  if (!phone) throw new Error("accessibleAtAnySize: the page has no size");
  const dialogs = page.getByRole("dialog");
  const beside = page.getByRole("complementary");
  const open = await dialogs.count();
  const onPhone = await inLightAndDark(page, what);
  await page.setViewportSize({ width: 1280, height: 800 });
  await expect.poll(async () => (await dialogs.count()) + (await beside.count())).toBeGreaterThanOrEqual(open);
  const onWide = await inLightAndDark(page, `${what}, wide`);
  await page.setViewportSize(phone);
  expect([...onPhone, ...onWide]).toEqual([]);
}
