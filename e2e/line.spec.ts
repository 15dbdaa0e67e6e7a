import { addPart, enter, expect, place, ROS, saved, signIn, startJob, test } from "./support/app";
import { centsAt, pdfText } from "./support/pdf";

test("from a new job to the downloaded quote: measure, count, price, quote", async ({ page, address }, { project }) => {
  await signIn(page, address, ROS);
  await startJob(page, `Thistlewood porch (${project.name})`);

  // Measure: a wall and its openings, the tape pad going on by itself.
  await addPart(page, "Stud wall by itself");
  await enter(page, "Length", "16'4 - 4'4");
  await enter(page, "Height", "97 1/8");
  await expect(page.getByTestId("live-count")).toHaveText(/^10 studs, 13 pieces in all/);
  await page.getByRole("button", { name: "Add a window opening" }).click();
  await enter(page, "From left end of Window 1", "4'");
  await enter(page, "Rough width of Window 1", "91.44 cm");
  await enter(page, "Rough height of Window 1", "4-0");
  await enter(page, "Sill height of Window 1", "34");
  await page.getByRole("button", { name: "Close tape pad" }).click();
  await page.getByRole("radio", { name: /Bearing: Yes/ }).click();
  // The wall worked by hand in the layout's own test: 7 studs, 21 pieces with a doubled header.
  await expect(page.getByTestId("live-count")).toHaveText(/^7 studs, 21 pieces in all/);
  await saved(page);

  // Count: a line shows its working and lights its pieces.
  await place(page, "Count");
  await page.getByRole("button", { name: /^Headers, 2 × 6, 2 pieces/ }).click();
  await expect(page.getByText("pieces at 3' 3\"")).toBeVisible();
  await expect(page.getByRole("img", { name: /2 pieces marked: headers/ })).toBeVisible();
  if (project.name === "phone") await page.getByRole("button", { name: "Close", exact: true }).click();
  await page.getByRole("radio", { name: "Show: Ordered" }).click();
  await expect(page.getByText("2 × 4 sawn softwood", { exact: false }).first()).toBeVisible();

  // Price: an edited step moves the total at once.
  await place(page, "Price");
  const total = page.getByTestId("price-total").getByText(/^\$/);
  const before = await total.innerText();
  await page.getByLabel("Markup on labour, percent").fill("40");
  await page.getByLabel("Markup on labour, percent").press("Enter");
  await expect(total).not.toHaveText(before);
  const priced = await total.innerText();
  await saved(page);

  // Quote: the paper says what was chosen and asks the same total.
  await place(page, "Quote");
  await expect(page.getByTestId("quote-total")).toContainText(priced);
  await expect(page.getByText(/Frame 12 ft of wall, 8 ft 1 1\/8 in high, in 2 × 4 studs at 16 in/)).toBeVisible();
  await page.getByRole("button", { name: "Issue this quote" }).click();
  const downloading = page.waitForEvent("download");
  await page.getByRole("button", { name: /^Download quote .* as PDF$/ }).click();
  const download = await downloading;
  const text = await pdfText(await download.path());
  expect(download.suggestedFilename()).toMatch(/^Thistlewood-porch.*\.pdf$/);
  expect(text).toContain("Percival Thistlewood");
  expect(text).toContain("Form one window opening in it to the rough sizes measured.");
  const parts = centsAt(text, "Price for this part");
  const [beforeTax = 0] = centsAt(text, "Price before tax");
  const [tax = 0] = centsAt(text, "Sales tax at 6.5 %");
  expect(parts.reduce((sum, cents) => sum + cents, 0)).toBe(beforeTax);
  expect(tax).toBe(Math.round(beforeTax * 0.065));
  expect(centsAt(text, "Total to pay")).toEqual([beforeTax + tax]);
  expect(`$${((beforeTax + tax) / 100).toFixed(2)}`).toBe(priced.replace(",", ""));
  expect(text).not.toMatch(/markup|margin|overhead|per hour/i);

  // A changed dimension changes the draft with no button pressed; the issued quote stays.
  await place(page, "Measure");
  await page.getByRole("link", { name: /^Wall 1/ }).click();
  await page.getByRole("button", { name: /^Length: 12' 0"/ }).click();
  await enter(page, "Length", "14'");
  await page.getByRole("button", { name: "Close tape pad" }).click();
  await saved(page);
  await place(page, "Quote");
  await expect(page.getByText(/Frame 14 ft of wall/)).toBeVisible();
  await expect(page.getByTestId("quote-total")).not.toContainText(priced);
  await page.getByRole("button", { name: /^Read quote/ }).click();
  await expect(page.getByRole("dialog").getByText(/Frame 12 ft of wall/)).toBeVisible();
});

test("a metric job takes feet and inches, and shows millimetres", async ({ page, address }, { project }) => {
  await signIn(page, address, ROS);
  await startJob(page, `Kiln shed (${project.name})`, true);
  await addPart(page, "Stud wall by itself");
  await enter(page, "Length", "3.6m");
  await page.getByRole("button", { name: "Close tape pad" }).click();
  // 3600 at 600: seven studs (arithmetic); a bottom plate, a top plate and a cap plate.
  await expect(page.getByTestId("live-count")).toHaveText(/^7 studs, 10 pieces in all/);
  await page.getByRole("button", { name: /^Length: 3600 mm/ }).click();
  await enter(page, "Length", "12'6 1/2");
  await page.getByRole("button", { name: "Close tape pad" }).click();
  await expect(page.getByRole("button", { name: /^Length: 3822.7 mm/ })).toBeVisible();
});
