import type { Page } from "@playwright/test";
import {
  addPart,
  addRectangle,
  backToParts,
  closePad,
  enter,
  expect,
  place,
  ROS,
  saved,
  signIn,
  startJob,
  test,
} from "./support/app";

const money = (text: string | null): number => Number((text ?? "").replace(/[^\d.−-]/g, "").replace("−", "-"));

async function total(page: Page): Promise<number> {
  await place(page, "Price");
  return money(await page.getByTestId("price-total").textContent());
}

async function openPart(page: Page, name: RegExp): Promise<void> {
  await place(page, "Measure");
  await page.getByRole("link", { name }).first().click();
}

const chooses = (page: Page, choice: string) => page.getByRole("radio", { name: choice }).click();

/** A figure in the list of the part, by what it is called there. */
async function figure(page: Page, name: RegExp, label: string, typed: string): Promise<void> {
  await page.getByRole("button", { name }).first().click();
  await enter(page, label, typed);
  // After the last figure of a part the pad closes by itself.
  const next = page.getByRole("form", { name: "Tape pad" });
  await expect(next.getByRole("textbox", { name: label, exact: true })).toHaveCount(0);
  if (await next.isVisible()) await closePad(page);
}

test("a raft from the plan gets a rib and a toe, hand stands beside machine, and blinding taken out leaves drawing, words and price", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Studio on a raft", true);
  await addRectangle(page, "Studio", "6.3m", "3.9m");
  await backToParts(page);
  await addPart(page, "Raft");
  await closePad(page);
  await page.getByRole("button", { name: "From the outside of Ground" }).click();
  const live = page.getByTestId("live-count");
  await expect(live).toContainText("of concrete");
  const plain = await live.textContent();

  // A rib between the beams, and a toe along the front: more concrete each time.
  await page.getByRole("button", { name: "Another rib" }).click();
  await expect(live).not.toHaveText(plain ?? "");
  const ribbed = await live.textContent();
  await figure(page, /^Depth, slab included: /, "Depth, slab included of Rib 1", "600mm");
  await chooses(page, "Its edges: Edge beam with a toe");
  await expect(page.getByRole("checkbox", { name: "The toe runs along: Edge A" })).toBeChecked();
  await expect(live).not.toHaveText(ribbed ?? "");
  await saved(page);

  // By hand and by machine, with hours, plant and what the job comes to.
  await page.getByRole("button", { name: "Side by side: dug" }).click();
  const ways = page.getByRole("list", { name: "Side by side: dug" }).getByRole("listitem");
  await expect(ways).toHaveCount(2);
  await expect(ways.filter({ hasText: "By machine" })).toContainText("as it is now");
  await expect(ways.filter({ hasText: "By machine" })).toContainText("Digger");
  await expect(ways.filter({ hasText: "By hand" })).not.toContainText("Digger");
  const byHand = money(
    (await ways.filter({ hasText: "By hand" }).textContent())?.match(/\$[\d,.]+|£[\d,.]+/)?.[0] ?? "",
  );
  await chooses(page, "Dug: By hand");
  await saved(page);
  expect(await total(page)).toBe(byHand);
  await place(page, "Quote");
  await expect(page.getByText(/by hand, load by machine/)).toBeVisible();

  // Blinding out: of the section, of the list of layers, of the words and of the price.
  await openPart(page, /^Raft 1/);
  await chooses(page, "Shown: Section");
  await expect(page.getByRole("img", { name: "Section of Raft 1" })).toBeVisible();
  const layers = page.getByRole("list").filter({ hasText: "The ground" });
  await expect(layers).toContainText("Blinding");
  const before = await total(page);
  await openPart(page, /^Raft 1/);
  const blinding = page.getByRole("textbox", { name: /^Blinding/ });
  await blinding.fill("0");
  await blinding.press("Enter");
  await expect(layers).not.toContainText("Blinding");
  await saved(page);
  expect(await total(page)).toBeLessThan(before);
  await place(page, "Quote");
  await expect(page.getByText(/Make Raft 1, a raft/)).toBeVisible();
  await expect(page.getByText(/Blind with/)).toHaveCount(0);

  // What cannot be is said beside its figure, and the rest is counted.
  await openPart(page, /^Raft 1/);
  await figure(page, /^Depth of the edge beam, slab included: /, "Depth of the edge beam, slab included", "100mm");
  await expect(page.getByText(/is shallower than the slab/).first()).toBeVisible();
  await expect(live).toContainText("of concrete");
});

test("two slabs share a skip and a truck of concrete; one that is rounded up alone takes its own", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Two slabs", true);
  for (const length of ["3m", "3m"]) {
    await addPart(page, "Slab");
    await enter(page, "Length", length);
    await enter(page, "Length", "5m");
    await closePad(page);
    await saved(page);
    await backToParts(page);
  }
  await place(page, "Count");
  await page.getByRole("radio", { name: "Show: Ordered" }).click();
  const ordered = (name: RegExp) => page.getByText(name);
  await expect(ordered(/^Skip, 8 yd, for spoil/)).toHaveCount(1);
  await expect(ordered(/^Part load: /)).toHaveCount(0);
  await openPart(page, /^Slab 2/);
  await page.getByRole("button", { name: /^More choices/ }).click();
  await chooses(page, "Rounded up: For this part alone");
  await saved(page);
  await place(page, "Count");
  await page.getByRole("radio", { name: "Show: Ordered" }).click();
  await expect(ordered(/^Skip, 8 yd, for spoil/)).toHaveCount(2);
  await expect(ordered(/^Part load: /).first()).toBeVisible();
});

test("a cellar goes from membrane to slurry on an allowance, and the quote says so", async ({ page, address }) => {
  await signIn(page, address, ROS);
  await startJob(page, "Cellar", true);
  await addPart(page, "Waterproofing below ground");
  await enter(page, "Walls, area less openings", "22");
  await enter(page, "Floor, area less the sump", "0");
  await closePad(page);
  await expect(page.getByTestId("live-count")).toContainText("studded membrane on the walls");
  await expect(page.getByRole("textbox", { name: "Walls, hours in all" })).toHaveValue("11");

  // Hours in all are typed, and those for a square metre follow.
  const inAll = page.getByRole("textbox", { name: "Walls, hours in all" });
  await inAll.fill("22");
  await inAll.press("Enter");
  await expect(page.getByRole("textbox", { name: "Walls, hours a m²" })).toHaveValue("1");

  await chooses(page, "Walls: Brushed slurry");
  await expect(page.getByTestId("live-count")).toContainText("slurry on the walls");
  await chooses(page, "Material of the walls: An amount is allowed");
  const allowed = page.getByRole("textbox", { name: "Allowed for the walls, a bag" });
  await allowed.fill("40");
  await allowed.press("Enter");
  await saved(page);
  await place(page, "Quote");
  await expect(
    page.getByText(/Brush about 22 m² of wall with waterproof slurry in 2 coats, on a primer/),
  ).toBeVisible();
  await expect(
    page.getByText(/Allowed for slurry on the walls, 3 bags: .*120\.00 in all, at 40\.00 for each/),
  ).toBeVisible();
  await expect(page.getByText(/studded membrane/)).toHaveCount(0);
});
