import { launchChromium } from "./lib/chromium.mjs";

const THROTTLE = 4;
const MOVES = 90;

/** Frames a second while the layout of a floor's joists is drawn over its plan, on a phone at a quarter of its speed. */
export async function benchmarkDrag(address) {
  const browser = await launchChromium();
  try {
    const page = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
    await page.goto(address);
    await page.getByRole("button", { name: /Ros Adeyemi-Lund/ }).click();
    await page
      .getByRole("link", { name: /Lantern House/ })
      .first()
      .click();
    await page.getByRole("link", { name: /^Boot room floor/ }).click();
    await page.getByRole("button", { name: "Move the joists" }).click();
    const box = await page.getByRole("img", { name: /^Plan of Boot room floor/ }).boundingBox();
    if (!box) throw new Error("benchmarkDrag: the floor has no plan");
    const session = await page.context().newCDPSession(page);
    await session.send("Emulation.setCPUThrottlingRate", { rate: THROTTLE });
    await page.evaluate(() => {
      window.frames_ = [];
      const note = (at) => {
        window.frames_.push(at);
        window.requestAnimationFrame(note);
      };
      window.requestAnimationFrame(note);
    });
    const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    await page.mouse.move(middle.x, middle.y);
    await page.mouse.down();
    const begun = await page.evaluate(() => performance.now());
    for (let move = 1; move <= MOVES; move += 1) await page.mouse.move(middle.x + (move % 40), middle.y);
    const frames = await page.evaluate((since) => window.frames_.filter((at) => at >= since), begun);
    await page.mouse.up();
    const taken = frames.slice(1).map((at, index) => at - (frames[index] ?? at));
    const sorted = taken.toSorted((a, b) => a - b);
    const seconds = ((frames.at(-1) ?? 0) - (frames[0] ?? 0)) / 1000;
    const p95 = (sorted[Math.ceil(sorted.length * 0.95) - 1] ?? 0).toFixed(1);
    console.log(
      `Joists drawn over the plan at ${THROTTLE}x throttle: ${(taken.length / seconds).toFixed(0)} frames a second, p95 ${p95} ms a frame (aim 30 a second)`,
    );
  } finally {
    await browser.close();
  }
}
