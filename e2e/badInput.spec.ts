import { readFileSync } from "node:fs";
import { resolve } from "node:path";
import type { Page } from "@playwright/test";
import { addPart, closePad, countSpots, enter, expect, place, ROS, saved, signIn, startJob, test } from "./support/app";

/** Brings an assembly in from a file and saves it. */
async function bringIn(page: Page, address: string, assembly: Record<string, unknown>): Promise<void> {
  await page.goto(`${address}/assemblies`);
  await page.getByLabel("Assembly file", { exact: true }).setInputFiles({
    name: "assembly.json",
    mimeType: "application/json",
    buffer: Buffer.from(JSON.stringify(assembly, null, 2)),
  });
  await expect(page.getByRole("button", { name: "Save version 1" })).toBeVisible();
}

async function saveVersion(page: Page): Promise<void> {
  await page.getByRole("button", { name: "Save version 1" }).click();
  await expect(page.getByText("Version 1, saved")).toBeVisible();
}

/** So many doors in a job of their own, built by an assembly. */
async function doorsBy(page: Page, address: string, job: string, count: number, assembly: string): Promise<void> {
  await page.goto(address);
  await startJob(page, job);
  await addPart(page, "Counted spots");
  await countSpots(page, String(count));
  await page.getByRole("button", { name: "Apply an assembly" }).click();
  await page.getByRole("button", { name: new RegExp(assembly) }).click();
  await expect(page.getByRole("button", { name: `Take ${assembly} off` })).toBeVisible();
  await saved(page);
  await place(page, "Count");
}

const doorSet = (): Record<string, unknown> =>
  JSON.parse(readFileSync(resolve(__dirname, "../library/assemblies/imperial/door-set.json"), "utf8"));

test("a header longer than any stock, and wider than the schedule, is told in words; the rest is counted and cut", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  await startJob(page, "Too wide");
  await addPart(page, "Stud wall by itself");
  await enter(page, "Length", "40'");
  await enter(page, "Height", "10'");
  await page.getByRole("radio", { name: /^Bearing: Yes/ }).click();
  await page.getByRole("button", { name: "Add a plain opening" }).click();
  await enter(page, "From left end", "5'");
  await enter(page, "Rough width", "22'");
  await enter(page, "Rough height", "7'");
  await closePad(page);
  await expect(page.getByText("Opening 1 is wider than the header schedule goes.", { exact: false })).toBeVisible();
  await saved(page);

  const tooLong = "2 pieces of 2 × 10 sawn softwood are 22' 6\", longer than any stock. Use an engineered section.";
  await page.getByRole("button", { name: /open points?/ }).click();
  await expect(page.getByRole("dialog").getByText(tooLong)).toBeVisible();
  await page.getByRole("button", { name: "Close", exact: true }).click();

  await place(page, "Count");
  await page.getByRole("radio", { name: "Show: Ordered" }).click();
  await expect(page.getByText(tooLong)).toBeVisible();
  await expect(page.getByText("16d common nails")).toBeVisible();
  await page.getByRole("radio", { name: "Show: Cut list" }).click();
  await expect(
    page.getByText("2 pieces are longer than any stock: use an engineered section.", { exact: true }),
  ).toBeVisible();
  await expect(
    page.getByRole("list", { name: "Bars of 2 × 4 sawn softwood" }).getByRole("listitem").first(),
  ).toBeVisible();

  // Narrowed to what is sold, it is cut like any other, and nothing is left to look into but the schedule.
  await place(page, "Measure");
  await page.getByRole("link", { name: /^Wall 1/ }).click();
  await page.getByRole("button", { name: /^Opening 1, Rough width/ }).click();
  await enter(page, "Rough width", "7'");
  await closePad(page);
  await saved(page);
  await place(page, "Count");
  await page.getByRole("radio", { name: "Show: Ordered" }).click();
  await expect(page.getByText(tooLong)).toHaveCount(0);
});

test("an item the price list lacks is counted, ordered without a price, and an open point", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  const set = doorSet();
  const rules = (set.rules as { name: string; item: string }[]).map((rule) =>
    rule.name === "hingesInAll" ? { ...rule, item: "door/hinge-of-brass" } : rule,
  );
  await bringIn(page, address, { ...set, id: "brass-door", name: "Door on brass", rules });
  await saveVersion(page);
  await doorsBy(page, address, "On brass", 2, "Door on brass");
  await expect(page.getByRole("button", { name: /^Hinges, 6 hinges/ })).toBeVisible();
  await page.getByRole("radio", { name: "Show: Ordered" }).click();
  await expect(page.getByText("The price list has no “door/hinge-of-brass”", { exact: false }).first()).toBeVisible();
  await expect(page.getByText("Inside door leaf")).toBeVisible();
  await page.getByRole("button", { name: /open points?/ }).click();
  await expect(page.getByRole("dialog").getByText("door/hinge-of-brass", { exact: false }).first()).toBeVisible();
});

test("an assembly file whose rules go round in a circle says which; what is sound in it is counted", async ({
  page,
  address,
}) => {
  await signIn(page, address, ROS);
  const set = doorSet();
  const rules = (set.rules as { name: string; formula: string }[]).map((rule) => {
    if (rule.name === "leaves") return { ...rule, formula: "frames" };
    return rule.name === "frames" ? { ...rule, formula: "leaves" } : rule;
  });
  await bringIn(page, address, { ...set, id: "circle-door", name: "Door in a circle", rules });
  await expect(
    page.getByText("go round in a circle, and none can be worked out", { exact: false }).first(),
  ).toBeVisible();
  // Saving is possible, and marked.
  await saveVersion(page);
  await doorsBy(page, address, "Round and round", 3, "Door in a circle");
  await expect(page.getByRole("button", { name: /^Hinges, 9 hinges/ })).toBeVisible();
  await expect(page.getByText("go round in a circle", { exact: false }).first()).toBeVisible();
});
