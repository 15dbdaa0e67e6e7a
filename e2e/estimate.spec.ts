import ExcelJS from "exceljs";
import {
  addPart,
  backToParts,
  closePad,
  enter,
  expect,
  JUNO,
  openLanternHouse,
  place,
  ROS,
  saved,
  signIn,
  startJob,
  test,
} from "./support/app";

/** A file with a comma for a decimal point and a price below nothing; the rest can be taken. */
const fileOf = (own: string): string =>
  [
    "Item code,Description,Net price",
    `${own}/socket,Double socket ${own},3.40`,
    `${own}/screw,Own screws,"9,84"`,
    `${own}/nail,Own nails,-2.00`,
    "nail/16d,,14.20",
  ].join("\r\n");

const money = (text: string | null): number => Number((text ?? "").replace(/[^\d.−-]/g, "").replace("−", "-"));

test("an item is made and a file of prices read: two wrong rows are said, the rest is taken and taken back", async ({
  page,
  address,
}) => {
  // The price list is the company's, and stays from run to run.
  const own = `own-${Date.now()}`;
  await signIn(page, address, ROS);
  await page.goto(`${address}/price-list`);
  await page.getByRole("button", { name: "Make an item" }).click();
  await page.getByRole("button", { name: "Make it" }).click();
  await expect(page.getByText("A code of up to 80 letters.")).toBeVisible();
  await page.getByLabel("Code, as assemblies name it").fill(`${own}/bracket`);
  await page.getByLabel("Name", { exact: true }).fill(`Bracket ${own}`);
  await page.getByLabel("Category", { exact: true }).fill("Own things");
  await page.getByLabel("Price", { exact: true }).fill("11.25");
  await page.getByRole("button", { name: "Make it" }).click();
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await page.getByLabel(/^Find an item/).fill(`bracket ${own}`);
  await expect(page.getByRole("textbox", { name: `Bracket ${own}, Each` })).toHaveValue("11.25");

  await page.getByLabel(/^Find an item/).fill("");
  const buffer = Buffer.from(fileOf(own));
  await page.getByLabel("Price file").setInputFiles({ name: "own.csv", mimeType: "text/csv", buffer });
  await expect(page.getByText("2 not read, 1 changed, 1 new")).toBeVisible();
  await expect(page.getByText(/“9,84” has a comma where a decimal point belongs/)).toBeVisible();
  await expect(page.getByText(/“-2.00” is less than nothing/)).toBeVisible();
  await page.getByRole("button", { name: "Take 2 items" }).click();
  await expect(page.getByText(/2 items were taken out of own.csv/)).toBeVisible();
  await page.getByLabel(/^Find an item/).fill("16d");
  await expect(page.getByRole("textbox", { name: /^16d common nails/ })).toHaveValue("14.20");

  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: "Taken out of files" }).click();
  await page.getByRole("button", { name: "Take back own.csv" }).click();
  await expect(page.getByText("It is taken back.")).toBeVisible();
  await page.getByRole("button", { name: "Close", exact: true }).click();
  await expect(page.getByRole("textbox", { name: /^16d common nails/ })).not.toHaveValue("14.20");
  await page.getByLabel(/^Find an item/).fill(`double socket ${own}`);
  await expect(page.getByText(/Nothing in the price list matches/)).toBeVisible();
});

test("a supplier is asked, and one of its prices taken and taken back", async ({ page, address }) => {
  await signIn(page, address, ROS);
  await page.goto(`${address}/price-list`);
  await page.getByRole("button", { name: "Ask a supplier" }).click();
  await page.getByRole("button", { name: /^Fellside Truss Works/ }).click();
  await expect(page.getByText(/^\d+ changed, \d+ as it was$/)).toBeVisible();
  await page.getByRole("button", { name: "Choose none" }).click();
  await expect(page.getByRole("button", { name: "Take 0 items" })).toBeDisabled();
  await page.getByRole("dialog").getByRole("checkbox").first().click();
  await page.getByRole("button", { name: "Take 1 item" }).click();
  await expect(page.getByText(/1 item was taken out of Fellside Truss Works/)).toBeVisible();
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: "Taken out of files" }).click();
  await page
    .getByRole("button", { name: /^Take back Fellside/ })
    .first()
    .click();
  await expect(page.getByText("It is taken back.")).toBeVisible();
});

test("a crew, a worksheet regrouped, an item swapped over the job, a line typed, and a total typed and taken back", async ({
  page,
  browser,
  address,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await signIn(page, address, ROS);
  await startJob(page, "Estimate of two walls");
  for (const length of ["16'", "12'"]) {
    await addPart(page, "Stud wall by itself");
    await enter(page, "Length", length);
    await closePad(page);
    await saved(page);
    await backToParts(page);
  }
  await place(page, "Price");
  const total = page.getByTestId("price-total");
  await expect(total).toBeVisible();
  const before = await total.textContent();
  await page.getByRole("button", { name: /^Crews: / }).click();
  await page.getByRole("button", { name: "A crew at another rate" }).click();
  await page.getByRole("textbox", { name: "Crew 1, rate for an hour" }).fill("60");
  await page.getByRole("textbox", { name: "Crew 1, rate for an hour" }).press("Enter");
  await page.getByRole("checkbox", { name: "Trades of Crew 1: Framing" }).click();
  await expect(total).not.toHaveText(before ?? "");

  await page.getByRole("link", { name: "Open the worksheet" }).click();
  const sheet = page.getByRole("treegrid", { name: "Worksheet" });
  await expect(sheet.getByText(/Materials \(/)).toBeVisible();
  await page.getByRole("button", { name: "Do not group by Trade" }).click();
  await page.getByRole("button", { name: "Do not group by Kind of cost" }).click();
  await page.getByRole("button", { name: /^Then by/ }).click();
  await page.getByRole("radio", { name: "Part", exact: true }).click();
  await expect(sheet.getByText(/Wall 1 \(/)).toBeVisible();
  await expect(sheet.getByText(/Wall 2 \(/)).toBeVisible();

  // By the keyboard: down to the second row, folded out.
  await sheet.getByText(/Wall 1 \(/).click();
  await page.keyboard.press("ArrowDown");
  await page.getByLabel("Find a line").fill("studs");
  await sheet.getByText("Studs, 2 × 4", { exact: true }).first().click();
  const detail = page.getByRole("complementary", { name: "The line" });
  await detail.getByRole("radio", { name: "Swapped: Over the job" }).click();
  await detail.getByRole("button", { name: /^Item: / }).click();
  await page
    .getByRole("radio", { name: /fir or larch/ })
    .first()
    .click();
  await expect(detail.getByText(/In the place of/)).toBeVisible();
  await page.getByLabel("Find a line").fill("");
  await page.getByRole("button", { name: "Do not group by Part" }).click();
  await page.getByRole("button", { name: /^Then by/ }).click();
  await page.getByRole("radio", { name: "Item", exact: true }).click();
  await expect(sheet.getByText(/fir or larch \(/)).toBeVisible();
  await saved(page);

  await page.getByRole("button", { name: "Type a line" }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByLabel("What is it?").fill("Double sockets");
  await dialog.getByLabel("How many").fill("36");
  await dialog.getByLabel("Cost of one").fill("3.40");
  await dialog.getByLabel("Minutes to fit one").fill("20");
  await dialog.getByLabel("Section", { exact: true }).fill("First fix");
  await dialog.getByRole("button", { name: "Add this cost" }).click();
  await dialog.getByRole("button", { name: "Close" }).click();
  await page.getByLabel("Find a line").fill("first fix");
  await page.getByRole("button", { name: "Do not group by Item" }).click();
  // 36 at 3.40 are 122.40, and 20 minutes each are 12 h at the usual rate of 46.00 (arithmetic).
  await expect(sheet.getByText("$122.40")).toBeVisible();
  await expect(sheet.getByText("$552.00")).toBeVisible();

  // The file of it, read by another program: its costs add up to the cost.
  await page.getByLabel("Find a line").fill("");
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Download the worksheet as XLSX" }).click(),
  ]);
  const book = new ExcelJS.Workbook();
  await book.xlsx.readFile(await download.path());
  const costs =
    book.worksheets[0]?.getColumn(11).values.filter((value): value is number => typeof value === "number") ?? [];
  const shown = money(
    await page
      .getByText(/^\$[\d,]+\.\d\d$/)
      .first()
      .textContent(),
  );
  expect(costs.reduce((sum, cost) => sum + cost, 0)).toBeCloseTo(shown, 2);

  await page.getByRole("link", { name: "To the price" }).click();
  const reckoned = money(await total.textContent());
  const wanted = page.getByRole("textbox", { name: "Total to pay wanted" });
  await wanted.fill("9000");
  await wanted.press("Enter");
  await expect(total).toHaveText(/\$9,000\.00/);
  await expect(page.getByText(/^It was .* by itself\.$/)).toBeVisible();
  await saved(page);

  // The same job on the phone.
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await signIn(phone, address, ROS);
  await phone.goto(page.url());
  await expect(phone.getByTestId("price-total")).toHaveText(/\$9,000\.00/);
  await phone.goto(`${page.url()}/worksheet`);
  await expect(phone.getByRole("button", { name: /^Materials: / })).toBeVisible();

  await page.getByRole("button", { name: "Take the typed price back" }).click();
  await expect(page.getByText(/^It was .* by itself\.$/)).toHaveCount(0);
  expect(money(await total.textContent())).toBeCloseTo(reckoned, 2);

  // A margin of everything is refused in words.
  await page.getByRole("radio", { name: "What is typed: Margin" }).click();
  const margin = page.getByRole("textbox", { name: "Margin wanted" });
  await margin.fill("100");
  await margin.press("Enter");
  await expect(page.getByText("Less than 100 % of the price.")).toBeVisible();
});

test("the job beside what was quoted: why it comes to more, cause by cause", async ({ page, address }) => {
  await signIn(page, address, ROS);
  await startJob(page, "Quoted and changed");
  await addPart(page, "Stud wall by itself");
  await enter(page, "Length", "16'");
  await closePad(page);
  await place(page, "Quote");
  await page.getByRole("button", { name: "Issue this quote" }).click();
  await expect(page.getByText("Issued", { exact: true })).toBeVisible();
  await place(page, "Measure");
  await page.getByRole("link", { name: /^Wall 1/ }).click();
  await page.getByRole("button", { name: /^Length: / }).click();
  await enter(page, "Length", "20'");
  await closePad(page);
  await place(page, "Price");
  await page.getByLabel("Markup on labour, percent").fill("40");
  await page.getByLabel("Markup on labour, percent").press("Enter");
  await saved(page);
  await page.getByRole("button", { name: /^Compare with / }).click();
  const dialog = page.getByRole("dialog");
  await expect(dialog.getByText("Dimensions")).toBeVisible();
  const amounts = (await dialog.getByText(/^[+−-]?\$[\d,.]+$/).allTextContents()).map(money);
  // As quoted, five causes, and now: they add up.
  const [from = 0, ...others] = amounts;
  const causes = others.slice(0, 5);
  expect(causes.reduce((sum, each) => sum + each, from)).toBeCloseTo(others[5] ?? 0, 2);
  expect(causes.map((each) => each > 0)).toEqual([true, false, false, false, true]);
});

test("crew see neither the worksheet's figures nor what items cost", async ({ page, address }) => {
  await signIn(page, address, JUNO);
  await page.goto(`${address}/price-list`);
  await expect(page.getByText("8d common nails")).toBeVisible();
  await expect(page.getByRole("button", { name: "Make an item" })).toHaveCount(0);
  await expect(page.getByRole("textbox", { name: /^8d common nails/ })).toHaveCount(0);
  await page.goto(`${address}/jobs`);
  await openLanternHouse(page);
  await page.goto(`${page.url().replace(/\/measure.*/, "")}/price/worksheet`);
  await expect(page.getByText(/[$£]\s?\d/)).toHaveCount(0);
});
