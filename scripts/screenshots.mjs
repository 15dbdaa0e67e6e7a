import { mkdirSync } from "node:fs";
import { launchChromium } from "./lib/chromium.mjs";
import { withDemoServer } from "./lib/demoServer.mjs";
import { inRoot } from "./lib/paths.mjs";

/** One picture of each main view, from the demo data, into docs/screenshots. */
const folder = inRoot("docs/screenshots");
const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };

async function openLanternHouse(page, address) {
  await page.goto(address);
  await page.getByRole("button", { name: /Ros Adeyemi-Lund/ }).click();
  await page.getByText("Lantern House").click();
  await page
    .getByRole("link", { name: /^Drying cupboard/ })
    .first()
    .waitFor();
  return page.url().replace(/\/measure.*/, "");
}

/** A room being walked, in the job that is only begun. */
async function walk(page, address, take) {
  await page.goto(`${address}/jobs`);
  await page.getByText("Quillmoor").click();
  await page.getByRole("button", { name: "Add a part" }).click();
  await page.getByRole("button", { name: "Room, wall by wall" }).click();
  for (const typed of ["4.2m", "3.1m", "1.2m"]) {
    await page.getByRole("textbox").fill(typed);
    await page.getByRole("textbox").press("Enter");
    await page.waitForTimeout(200);
  }
  await page.getByRole("radio", { name: /^Turn left/ }).click();
  await page.getByRole("textbox").fill("0.9m");
  await take("walking");
}

async function phone(browser, address) {
  const page = await (await browser.newContext({ viewport: PHONE })).newPage();
  const take = async (name) => {
    await page.waitForTimeout(700);
    await page.screenshot({ path: `${folder}/${name}.png` });
  };
  await page.goto(address);
  await page.getByText("Juno Vale").waitFor();
  const job = await openLanternHouse(page, address);
  await take("measure");
  await page.getByRole("link", { name: /^Porch deck/ }).click();
  await page.getByTestId("live-count").waitFor();
  await take("deck");
  await page.goto(`${job}/measure/plan?storey=Ground`);
  await page.getByRole("heading", { name: "Plan of Ground" }).waitFor();
  await take("plan");
  await walk(page, address, take);
  await page.goto(`${job}/measure`);
  await page.getByRole("link", { name: /^House wall/ }).click();
  await page.getByTestId("live-count").waitFor();
  await take("wall");
  await page.goto(`${job}/count`);
  await page
    .getByRole("button", { name: /^Studs/ })
    .first()
    .click();
  await take("working-sheet");
  await page.goto(`${job}/count?view=cut`);
  await page.getByText("Saw and yard").waitFor();
  await page.getByRole("button", { name: /^Find the best list for 2 × 6 sawn/ }).click();
  await page.getByText(/above the proven least/).waitFor();
  await page.getByRole("heading", { name: "2 × 6 sawn softwood" }).scrollIntoViewIfNeeded();
  await take("cut-list");
  await page.goto(`${job}/count?view=model`);
  await page.getByRole("img", { name: /^The model in 3D/ }).waitFor();
  await page.waitForTimeout(2000);
  await take("model");
  await page.getByRole("button", { name: "Put this view on the quote" }).click();
  await page.getByText(/It is on the quote/).waitFor();
  await page.goto(`${job}/price`);
  await page.getByTestId("price-total").waitFor();
  await page.getByText("What to settle first").waitFor();
  await take("price");
  await page.goto(`${job}/price/open`);
  await page.getByRole("heading", { name: "Settle these next" }).waitFor();
  await take("open-points");
  await page.goto(`${job}/quote`);
  await page.getByTestId("quote-total").waitFor();
  await page.getByRole("img", { name: "The framing" }).first().waitFor();
  await take("quote");
  await page.goto(`${address}/jobs`);
  await page.getByText("Quillmoor").waitFor();
  await take("jobs");
  await page.getByText("Skylark loft bedroom").click();
  await page.getByRole("link", { name: /^Main roof/ }).click();
  await page.getByTestId("live-count").waitFor();
  await page.waitForTimeout(1500);
  await take("roof");
  await page.goto(`${address}/price-list`);
  await page.getByText("Door frame").waitFor();
  await take("price-list");
  await page.goto(`${address}/log`);
  await page.getByText("Signed in").first().waitFor();
  await take("log");
}

async function wide(browser, address) {
  const page = await (await browser.newContext({ viewport: WIDE })).newPage();
  const take = async (name) => {
    await page.waitForTimeout(700);
    await page.screenshot({ path: `${folder}/${name}.png` });
  };
  const job = await openLanternHouse(page, address);
  await page.goto(`${job}/price/worksheet`);
  await page.getByText("Boarding (").first().click();
  await page.getByText("Joint compound").first().click();
  await page.getByText("How it was counted").waitFor();
  await take("worksheet-wide");
  await page.goto(`${address}/assemblies/imperial/inside-wall`);
  await page.getByText("Worked examples").waitFor();
  await page.getByRole("button", { name: /^Rule Insulation/ }).click();
  await page.getByRole("textbox", { name: "Formula", exact: true }).fill("netArea - framArea()");
  await page
    .getByText(/Did you mean/)
    .first()
    .waitFor();
  await page.getByRole("textbox", { name: "Formula", exact: true }).scrollIntoViewIfNeeded();
  await take("editor-wide");
}

/** A raft cut through. */
async function ground(browser, address) {
  const page = await (await browser.newContext({ viewport: PHONE })).newPage();
  await page.goto(address);
  await page.getByRole("button", { name: /Ros Adeyemi-Lund/ }).click();
  await page.getByText("Quillmoor").click();
  await page.getByRole("link", { name: /^Studio raft/ }).click();
  await page.getByTestId("live-count").waitFor();
  await page.getByRole("radio", { name: "Shown: Section" }).click();
  await page.getByRole("button", { name: "Side by side: dug" }).click();
  await page.getByRole("list", { name: "Side by side: dug" }).waitFor();
  await page.getByRole("radiogroup", { name: "Dug" }).scrollIntoViewIfNeeded();
  await page.waitForTimeout(700);
  await page.screenshot({ path: `${folder}/ground.png` });
}

/** A wall of blocks with a gable, course by course. */
async function masonry(browser, address) {
  const page = await (await browser.newContext({ viewport: PHONE })).newPage();
  await page.goto(address);
  await page.getByRole("button", { name: /Ros Adeyemi-Lund/ }).click();
  await page.getByText("Quillmoor").click();
  await page.getByRole("link", { name: /^Store, gable/ }).click();
  await page.getByTestId("live-count").waitFor();
  await page.waitForTimeout(700);
  await page.screenshot({ path: `${folder}/masonry.png` });
}

mkdirSync(folder, { recursive: true });
await withDemoServer(async (address) => {
  const browser = await launchChromium();
  try {
    await phone(browser, address);
    await wide(browser, address);
    await ground(browser, address);
    await masonry(browser, address);
  } finally {
    await browser.close();
  }
});
console.log(`Pictures are in ${folder}`);
