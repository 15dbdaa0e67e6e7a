import { execFileSync } from "node:child_process";
import { launchChromium } from "./lib/chromium.mjs";
import { reportFrames, takeFrames, watchFrames } from "./lib/frames.mjs";
import { inRoot } from "./lib/paths.mjs";

/** Walls of a house whose worksheet has some ten thousand lines. */
const WALLS = "440";
const TURNS = 120;

/** A worksheet of ten thousand lines, unfolded and scrolled by the wheel. */
export async function benchmarkWorksheet(address) {
  const made = execFileSync(inRoot("node_modules/.bin/tsx"), [inRoot("scripts/largeHouseFile.ts"), WALLS], {
    maxBuffer: 256 * 1024 * 1024,
  });
  const browser = await launchChromium();
  try {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    page.setDefaultTimeout(180_000);
    await page.goto(address);
    await page.getByRole("button", { name: /Ros Adeyemi-Lund/ }).click();
    await page.getByText("Lantern House").first().waitFor();
    await page
      .locator("input[type=file]")
      .setInputFiles({ name: "house.json", mimeType: "application/json", buffer: made });
    await page.waitForURL(/\/measure/);
    await page.goto(page.url().replace(/\/measure.*/, "/price/worksheet"));
    await page.getByRole("treegrid").waitFor();
    const lines = await page.getByText(/^[\d,]+ lines/).textContent();
    await page.getByRole("button", { name: "Unfold all" }).click();
    await page.waitForTimeout(1500);
    const box = await page.getByRole("treegrid").boundingBox();
    if (!box) throw new Error("benchmarkWorksheet: the table has no place on the page");
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.evaluate(watchFrames);
    for (let turn = 0; turn < TURNS; turn += 1) {
      await page.mouse.wheel(0, 240);
      await page.waitForTimeout(16);
    }
    reportFrames(`the worksheet scrolled, ${lines ?? ""}`.slice(0, 52), await page.evaluate(takeFrames), 50);
  } finally {
    await browser.close();
  }
}
