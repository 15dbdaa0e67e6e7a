import { addPart, enter, expect, place, ROS, saved, signIn, startJob, test } from "./support/app";

test.beforeEach(async ({ page, address }, { title }) => {
  await signIn(page, address, ROS);
  await startJob(page, title.slice(0, 60));
  await addPart(page, "Stud wall by itself");
  await enter(page, "Length", "12'");
  await page.getByRole("button", { name: "Close tape pad" }).click();
  await saved(page);
});

const WRONG: readonly [string, string][] = [
  ["twelve foot", "not part of a length"],
  ["0", "more than zero"],
  ["-3'", "more than zero"],
  ["201 m", "Check the unit"],
  ["12'6 7", "Put +, −, × or ÷"],
];

test("a wrong entry is told in a sentence, kept for correction, and changes nothing", async ({ page }) => {
  for (const [typed, words] of WRONG) {
    await page.getByRole("button", { name: /^Length: 12' 0"/ }).click();
    const field = page.getByRole("textbox", { name: "Length" });
    await enter(page, "Length", typed);
    await expect(page.getByRole("form", { name: "Tape pad" }).getByText(words)).toBeVisible();
    await expect(field).toHaveValue(typed);
    await field.press("Escape");
    await expect(page.getByText(`“${typed}” could not be used`, { exact: false }).first()).toBeVisible();
    await expect(page.getByTestId("live-count")).toHaveText(/^10 studs/);
  }
  // What was typed is there after a reload, too, and a good entry clears it.
  await saved(page);
  await page.reload();
  await page.getByRole("button", { name: /^Length: 12' 0", 12'6 7 could not be used/ }).click();
  await expect(page.getByRole("textbox", { name: "Length" })).toHaveValue("12'6 7");
  await enter(page, "Length", "12'6");
  await page.getByRole("button", { name: "Close tape pad" }).click();
  await expect(page.getByRole("button", { name: "Length: 12' 6\"" })).toBeVisible();
});

test("an opening that cannot be is refused beside its figure", async ({ page }) => {
  await page.getByRole("button", { name: "Add a door opening" }).click();
  const pad = page.getByRole("form", { name: "Tape pad" });
  await enter(page, "From left end of Door 1", "2'");
  await enter(page, "Rough width of Door 1", "13'");
  await expect(pad.getByText("Door 1 is 13' 0\" wide; the wall is 12' 0\" long.", { exact: false })).toBeVisible();
  await enter(page, "Rough width of Door 1", "3'2");
  await enter(page, "Rough height of Door 1", "9'");
  await expect(pad.getByText("above the underside of the top plates", { exact: false })).toBeVisible();
  await pad.getByRole("button", { name: "Close tape pad" }).click();
  await page.getByRole("button", { name: "Add a window opening" }).click();
  await enter(page, "From left end of Window 1", "3'");
  await expect(pad.getByText("Window 1 overlaps Door 1", { exact: false })).toBeVisible();
  await pad.getByRole("textbox").press("Escape");
  await page.getByRole("button", { name: /Window 1, Sill height/ }).click();
  await enter(page, "Sill height of Window 1", "9'");
  await expect(pad.getByText("above the highest head", { exact: false })).toBeVisible();
});

test("the pad's own keys, arithmetic and readings do as the keyboard does", async ({ page }) => {
  await page.getByRole("button", { name: /^Length: 12' 0"/ }).click();
  const pad = page.getByRole("form", { name: "Tape pad" });
  for (const key of ["1", "6", "feet", "4", "minus", "3", "1/2 inch"]) {
    await pad.getByRole("button", { name: key, exact: true }).click();
  }
  await expect(pad.getByRole("textbox")).toHaveValue("16'4 − 3 1/2");
  await expect(pad.getByText("= 16' 0 1/2\"")).toBeVisible();
  await pad.getByRole("button", { name: "Rub out" }).click();
  await expect(pad.getByText("= 16' 1\"")).toBeVisible();
  await pad.getByRole("button", { name: /^Enter, then height/ }).click();
  await expect(pad.getByRole("heading", { name: "Height" })).toBeVisible();
  await pad
    .getByRole("button", { name: /^Use reading/ })
    .first()
    .click();
  await expect(pad.getByRole("textbox")).not.toHaveValue("");
  // An empty entry confirms what was assumed.
  await pad.getByRole("textbox").fill("");
  await pad.getByRole("textbox").press("Enter");
  await expect(page.getByRole("button", { name: "Height: 8' 1 1/8\"" })).toBeVisible();
});

test("bearing changes drawing and list at once, and undo takes it back", async ({ page }) => {
  await page.getByRole("button", { name: "Add a door opening" }).click();
  await page.getByRole("button", { name: "Close tape pad" }).click();
  await page.getByRole("radio", { name: /Bearing: Yes/ }).click();
  await place(page, "Count");
  await expect(page.getByRole("button", { name: /^Headers/ })).toBeVisible();
  await expect(page.getByRole("button", { name: /^Flat plates/ })).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("button", { name: /^Flat plates/ })).toBeVisible();
  await expect(page.getByRole("button", { name: /^Headers/ })).toHaveCount(0);
  await page.getByRole("button", { name: "Redo" }).click();
  await expect(page.getByRole("button", { name: /^Headers/ })).toBeVisible();
});

test("a wall in the bin comes back with undo", async ({ page }) => {
  await page.getByRole("button", { name: "Name, storey and location" }).click();
  await page
    .getByLabel("Name", { exact: true })
    .fill("A wall with a very long name that a builder might well give it to tell it from the others");
  await page.getByLabel("Name", { exact: true }).press("Enter");
  await page.getByRole("button", { name: /in the bin$/ }).click();
  await expect(page.getByText("Nothing measured yet")).toBeVisible();
  await saved(page);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText(/A wall with a very long name/)).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByText(/A wall with a very long name/)).toBeVisible();
});

test("a wrong percentage is told and changes no price", async ({ page }) => {
  await place(page, "Price");
  const total = await page.getByTestId("price-total").innerText();
  const field = page.getByLabel("Overhead on cost, percent");
  await field.fill("lots");
  await field.press("Enter");
  // On the pad as well, while it is open.
  await expect(page.getByText("“lots” is not part of a number.").first()).toBeVisible();
  await expect(page.getByTestId("price-total")).toHaveText(total.replace("\n", ""));
  await page.getByRole("radio", { name: "Kind of cost: Plant" }).click();
  await page.getByLabel("What is it?").fill("Hired saw");
  await page.getByLabel("Cost of one", { exact: true }).fill("-5");
  await page.getByRole("button", { name: "Add this cost" }).click();
  await expect(page.getByText("An amount like 9.84", { exact: false })).toBeVisible();
  await page.getByLabel("Cost of one", { exact: true }).fill("85");
  await page.getByRole("button", { name: "Add this cost" }).click();
  await expect(page.getByRole("button", { name: /^Plant/ })).toBeVisible();
});

test("a press on a stick of the drawing opens its line in the count", async ({ page }) => {
  const drawing = page.getByRole("img", { name: /^Elevation of Wall 1/ });
  const box = await drawing.boundingBox();
  if (!box) throw new Error("the drawing is not on the page");
  // The drawing's left margin is 78 px and its right one 12: in a wall 12 ft long the fourth stud stands a third along.
  const x = 78 + (box.width - 90) / 3;
  await drawing.click({ position: { x, y: box.height * 0.35 } });
  await expect(page.getByText("layout positions along 12' 0\" at 16 in")).toBeVisible();
  await page.getByRole("button", { name: "Length", exact: true }).click();
  await expect(page.getByRole("form", { name: "Tape pad" }).getByRole("heading", { name: "Length" })).toBeVisible();
});

test("an open point leads to the figure that settles it", async ({ page }) => {
  await page.getByRole("button", { name: /open points?$/ }).click();
  await page.getByRole("button", { name: /^Height is assumed.*go there$/ }).click();
  await expect(page.getByRole("form", { name: "Tape pad" }).getByRole("heading", { name: "Height" })).toBeVisible();
  await page.getByRole("form", { name: "Tape pad" }).getByRole("textbox").press("Enter");
  await expect(page.getByRole("button", { name: "Height: 8' 1 1/8\"", exact: true })).toBeVisible();
});

test("what is assumed is confirmed as it stands, one or all with one press, and undo takes it back", async ({
  page,
}) => {
  const mark = page.getByRole("button", { name: /open points?$/ });
  const count = async (): Promise<number> => Number.parseInt((await mark.innerText()).trim(), 10);
  // A window is put in the middle by its usual size: all of it assumed.
  await page.getByRole("button", { name: "Add a window opening" }).click();
  await page.getByRole("button", { name: "Close tape pad" }).click();
  await expect.poll(count).toBeGreaterThan(2);
  const before = await count();
  await mark.click();
  await page.getByRole("button", { name: /^Confirm: Height is assumed/ }).click();
  await expect(page.getByRole("button", { name: /^Confirm: Height is assumed/ })).toHaveCount(0);
  await page.getByRole("button", { name: /^Confirm all \d+ that are assumed$/ }).click();
  await expect(page.getByText(/^(Nothing is missing and nothing is assumed\.|Nothing here stops you)/)).toBeVisible();
  await expect(page.getByRole("button", { name: /^Confirm/ })).toHaveCount(0);
  await page.getByRole("button", { name: "Close", exact: true }).click();
  expect(await count()).toBeLessThan(before);
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect.poll(count).toBeGreaterThan(0);
});
