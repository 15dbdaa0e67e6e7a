import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";
import { expect } from "./app";

const OF_THE_STANDARD = ["wcag2a", "wcag2aa", "wcag21aa", "wcag22aa"];
const TAGS = [...OF_THE_STANDARD, "best-practice"];
/** What the colours of a screen can be wrong in; the rest of it is the same in the dark. */
const OF_COLOUR = ["color-contrast", "link-in-text-block"];

async function violationsOf(what: string, axe: AxeBuilder): Promise<string[]> {
  // The other mode is for frames of other origins, of which there are none, and opens a page more each time: four times as long.
  const { violations } = await axe
    .setLegacyMode(true)
    .options({ resultTypes: ["violations"] })
    .analyze();
  return violations.map(
    (each) => `${what}: ${each.id}: ${each.nodes.map((node) => node.html.slice(0, 160)).join(" | ")}`,
  );
}

const ground = (page: Page) => page.evaluate(() => getComputedStyle(document.body).backgroundColor);

/** Fails with what axe finds wrong on a screen once all of it is there. */
export async function accessible(page: Page, what = page.url()): Promise<void> {
  await expect.poll(() => violationsOf(what, new AxeBuilder({ page }).withTags(OF_THE_STANDARD))).toEqual([]);
}

/** The same, and its colours in the dark. */
export async function accessibleInLightAndDark(page: Page, what: string): Promise<void> {
  const inLight = await violationsOf(what, new AxeBuilder({ page }).withTags(TAGS));
  const light = await ground(page);
  await page.emulateMedia({ colorScheme: "dark" });
  await expect.poll(() => ground(page)).not.toBe(light);
  const inDark = await violationsOf(`${what}, dark`, new AxeBuilder({ page }).withRules(OF_COLOUR));
  await page.emulateMedia({ colorScheme: "light" });
  expect([...inLight, ...inDark]).toEqual([]);
}
