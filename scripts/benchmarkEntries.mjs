import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { launchChromium } from "./lib/chromium.mjs";
import { inRoot } from "./lib/paths.mjs";
import { percentile, report, timeUntilShown } from "./lib/timing.mjs";

const THROTTLE = 4;
const ROUNDS = 60;

/** Runs in the page before anything else: notes when the worker is asked, and when it answers. */
const watchWorkers = () => {
  window.worker_ = [];
  const note = (what) => window.worker_.push({ what, at: performance.now() });
  const Native = window.Worker;
  window.Worker = class extends Native {
    constructor(...args) {
      super(...args);
      this.addEventListener("message", () => note("answered"));
    }
    postMessage(...args) {
      note("asked");
      return super.postMessage(...args);
    }
  };
};

/** What of an entry's time was before the worker was asked, at the worker, and from its first answer to the words on screen. */
function partsOf(notes, end) {
  const asked = notes.find((each) => each.what === "asked");
  const answered = notes.find((each) => each.what === "answered");
  if (!asked || !answered) return undefined;
  return { taking: asked.at - end.start, counting: answered.at - asked.at, drawing: end.at - answered.at };
}

async function enterOnce(page, feet, wanted) {
  await page.getByRole("button", { name: /^Length: / }).click();
  await page.locator(".pad-entry").waitFor();
  const key = await page.evaluate(timeUntilShown, {
    text: `${feet}'`,
    wanted: `= ${feet}' 0"`,
    selector: "#tape-pad-result",
  });
  const start = await page.evaluate(() => {
    window.worker_ = [];
    return performance.now();
  });
  const count = await page.evaluate(timeUntilShown, { wanted, selector: '[data-testid="live-count"]', enter: true });
  const notes = await page.evaluate(() => window.worker_);
  await page.keyboard.press("Escape");
  return { key, count, parts: partsOf(notes, { start, at: start + count }) };
}

async function timeWall(page, name, feet, wanted) {
  const rounds = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    rounds.push(await enterOnce(page, feet[round % 2], wanted[round % 2]));
    // An entry at a time, as a person makes them: what follows from one is done before the next.
    await page.waitForTimeout(400);
  }
  report(
    `Key press to its result, ${name}`,
    rounds.map((each) => each.key),
    100,
  );
  report(
    `Entry to the new count on screen, ${name}`,
    rounds.map((each) => each.count),
    100,
  );
  const split = rounds.flatMap((each) => each.parts ?? []);
  const at = (part, share) =>
    percentile(
      split.map((each) => each[part]),
      share,
    ).toFixed(1);
  const said = ["taking", "counting", "drawing"].map((part) => `${part} ${at(part, 0.5)} (p95 ${at(part, 0.95)})`);
  console.log(`  of which, median: ${said.join(", ")} ms`);
}

async function signedIn(address) {
  const browser = await launchChromium();
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.addInitScript(watchWorkers);
  await page.goto(address);
  await page.getByRole("button", { name: /Ros Adeyemi-Lund/ }).click();
  await page.getByRole("heading", { name: "Jobs" }).waitFor();
  return { browser, page };
}

async function throttle(page) {
  const session = await page.context().newCDPSession(page);
  await session.send("Emulation.setCPUThrottlingRate", { rate: THROTTLE });
  return session;
}

/** A wall of the demo job. 24 ft and then some at 16 in: the number of studs changes at each entry. */
async function timeDemoWall(address) {
  const { browser, page } = await signedIn(address);
  await page.getByText("Lantern House").click();
  await page.getByRole("link", { name: /^House wall/ }).click();
  await throttle(page);
  await timeWall(page, "demo job", [28, 24], ["10 studs", "7 studs"]);
  await browser.close();
}

async function timeHouseWall(address) {
  const folder = mkdtempSync(join(tmpdir(), "wide-porch-house-"));
  const file = join(folder, "sixty-walls.json");
  const made = execFileSync(inRoot("node_modules/.bin/tsx"), [inRoot("scripts/largeHouseFile.ts")], {
    maxBuffer: 1 << 26,
  });
  writeFileSync(file, made);
  const { browser, page } = await signedIn(address);
  try {
    await page.locator("input[type=file]").setInputFiles(file);
    await page.getByRole("link", { name: /^Wall 8\b/ }).click();
    await page.getByTestId("live-count").waitFor();
    await throttle(page);
    await timeWall(page, "house of 60 walls", [28, 24], ["19 studs", "16 studs"]);
  } finally {
    await browser.close();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Another pitch of a roof of two pitches with two dormers: form, framing and panels are made anew. */
async function timeRoofPitch(address) {
  const { browser, page } = await signedIn(address);
  await page.getByText("Skylark").click();
  await page.getByRole("link", { name: /^Main roof/ }).click();
  await page.getByTestId("live-count").waitFor();
  await throttle(page);
  const taken = { onPlan: [], counted: [] };
  for (let round = 0; round < ROUNDS; round += 1) {
    await page.getByRole("button", { name: /^Pitch: / }).click();
    await page.locator(".pad-entry").waitFor();
    const [text, wanted] = round % 2 === 0 ? ["12/12", "= 12 in 12"] : ["10/12", "= 10 in 12"];
    await page.evaluate(timeUntilShown, { text, wanted, selector: "#tape-pad-result" });
    // By turns, so that one does not wait for what the other watches.
    const [into, selector] =
      Math.floor(round / 2) % 2 === 0 ? [taken.onPlan, "svg text"] : [taken.counted, '[data-testid="live-count"]'];
    into.push(await page.evaluate(timeUntilShown, { differs: true, selector, enter: true }));
    await page.keyboard.press("Escape");
    await page.waitForTimeout(600);
  }
  report("Typed pitch to its roof's plan, a roof with two dormers", taken.onPlan, 100);
  report("Typed pitch to the new count on screen", taken.counted, 100);
  await browser.close();
}

/** Entries on a slow phone, and what their time is made of. */
export async function benchmarkEntries(address) {
  console.log(`CPU throttled ${THROTTLE}x`);
  await timeDemoWall(address);
  await timeHouseWall(address);
  await timeRoofPitch(address);
}
