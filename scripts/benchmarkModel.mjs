import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { launchChromium } from "./lib/chromium.mjs";
import { reportFrames, takeFrames, watchFrames } from "./lib/frames.mjs";
import { inRoot } from "./lib/paths.mjs";

/** With all that is on them about 8,000 pieces. */
const WALLS = "80";
const STEPS = 90;

/** Turning the model of a large house, every group of pieces shown. Where there is no graphics hardware this times the processor. */
export async function benchmarkModel(address) {
  const folder = mkdtempSync(join(tmpdir(), "wide-porch-model-"));
  const file = join(folder, "house.json");
  const made = execFileSync(inRoot("node_modules/.bin/tsx"), [inRoot("scripts/largeHouseFile.ts"), WALLS], {
    maxBuffer: 1 << 26,
  });
  writeFileSync(file, made);
  const browser = await launchChromium();
  try {
    const page = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
    await page.goto(address);
    await page.getByRole("button", { name: /Ros Adeyemi-Lund/ }).click();
    await page.getByRole("heading", { name: "Jobs" }).waitFor();
    await page.locator("input[type=file]").setInputFiles(file);
    await page.getByRole("link", { name: /^Wall 8\b/ }).waitFor();
    await page.getByRole("navigation", { name: "Job" }).getByRole("link", { name: "Count" }).click();
    await page.getByRole("radio", { name: /3D$/ }).click();
    const model = page.getByRole("img", { name: /^The model in 3D/ });
    await model.waitFor();
    for (const name of ["Show sheathing", "Show boards"]) await page.getByRole("button", { name }).click();
    await model.scrollIntoViewIfNeeded();
    const box = await model.boundingBox();
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.evaluate(watchFrames);
    await page.mouse.down();
    for (let step = 0; step < STEPS; step += 1) await page.mouse.move(x + 90 * Math.sin(step / 10), y);
    await page.mouse.up();
    reportFrames(`Turning: ${await model.getAttribute("aria-label")}`, await page.evaluate(takeFrames), 30);
    const renderer = await page.evaluate(() => {
      const gl = document.createElement("canvas").getContext("webgl2");
      const named = gl?.getExtension("WEBGL_debug_renderer_info");
      return named ? gl.getParameter(named.UNMASKED_RENDERER_WEBGL) : "unknown";
    });
    console.log(`  drawn by ${renderer}`);
  } finally {
    await browser.close();
    rmSync(folder, { recursive: true, force: true });
  }
}
