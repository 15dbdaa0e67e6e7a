import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { launchChromium } from "./lib/chromium.mjs";
import { reportFrames, takeFrames, watchFrames } from "./lib/frames.mjs";
import { inRoot } from "./lib/paths.mjs";
import { report, timeUntilShown } from "./lib/timing.mjs";

const THROTTLE = 4;
const ROUNDS = 40;
const STEPS = 120;

async function panAndZoom(page) {
  const box = await page.getByTestId("plan-canvas").boundingBox();
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.wheel(0, -400);
  await page.waitForTimeout(800);
  await page.evaluate(watchFrames);
  await page.mouse.down();
  for (let step = 0; step < STEPS; step += 1) {
    await page.mouse.move(x + 120 * Math.sin(step / 12), y + 90 * Math.cos(step / 9));
  }
  await page.mouse.up();
  reportFrames(`Panning, CPU throttled ${THROTTLE}x`, await page.evaluate(takeFrames), 50);
  await page.waitForTimeout(800);
  await page.evaluate(watchFrames);
  for (let step = 0; step < STEPS / 2; step += 1) {
    await page.mouse.wheel(0, step % 20 < 10 ? -60 : 60);
    await page.waitForTimeout(16);
  }
  reportFrames(`Zooming, CPU throttled ${THROTTLE}x`, await page.evaluate(takeFrames), 50);
}

async function enterInRoom(page, size, name) {
  await page.setViewportSize(size);
  await page.getByRole("link", { name: /^Room 20/ }).click();
  await page.getByTestId("room-floor").waitFor();
  const times = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    const inches = 1 + (round % 10);
    await page.getByRole("button", { name: /^Change Wall A, inside/ }).click();
    await page.locator(".pad-entry").waitFor();
    await page.evaluate(timeUntilShown, {
      text: `12'${inches}`,
      wanted: `= 12' ${inches}"`,
      selector: "#tape-pad-result",
    });
    const wanted = { wanted: `A  12' ${inches}"`, selector: "svg text", enter: true };
    times.push(await page.evaluate(timeUntilShown, wanted));
    await page.keyboard.press("Escape");
    // As a person makes them: what follows from one is done before the next.
    await page.waitForTimeout(400);
  }
  report(`Entry to its room's plan, ${name}, CPU throttled ${THROTTLE}x`, times, 100);
  await page.getByRole("button", { name: "Back to the parts" }).click();
}

/** 40 rooms and 200 walls: moving about the plan, and an entry in one of the rooms. */
export async function benchmarkPlan(address) {
  const folder = mkdtempSync(join(tmpdir(), "wide-porch-plan-"));
  const file = join(folder, "forty-rooms.json");
  const output = execFileSync(inRoot("node_modules/.bin/tsx"), [inRoot("scripts/largePlan.ts")], {
    maxBuffer: 1 << 26,
  });
  writeFileSync(file, output);
  const browser = await launchChromium();
  try {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await page.goto(address);
    await page.getByRole("button", { name: /Ros Adeyemi-Lund/ }).click();
    await page.getByRole("heading", { name: "Jobs" }).waitFor();
    await page.locator("input[type=file]").setInputFiles(file);
    await page.getByRole("link", { name: "Plan of Ground" }).waitFor();
    const session = await page.context().newCDPSession(page);
    await session.send("Emulation.setCPUThrottlingRate", { rate: THROTTLE });
    await page.getByRole("link", { name: "Plan of Ground" }).click();
    await page.getByTestId("plan-canvas").waitFor();
    await page.waitForTimeout(1500);
    await panAndZoom(page);
    await page.getByRole("button", { name: "Back to the parts" }).click();
    await enterInRoom(page, { width: 390, height: 844 }, "phone");
    await enterInRoom(page, { width: 1280, height: 800 }, "wide");
  } finally {
    await browser.close();
    rmSync(folder, { recursive: true, force: true });
  }
}
