import { expect, JUNO, openLanternHouse, ROS, signIn, test } from "./support/app";

test("crew see no costs anywhere", async ({ page, address }) => {
  await signIn(page, address, JUNO);
  await expect(page.getByRole("button", { name: "Start a job" })).toHaveCount(0);
  await openLanternHouse(page);
  await expect(page.getByRole("link", { name: /^Drying cupboard/ }).first()).toBeVisible();
  const navigation = page.getByRole("navigation", { name: "Job" });
  await expect(navigation.getByRole("link")).toHaveCount(2);
  const job = page.url().replace(/\/measure.*/, "");
  await page.goto(`${job}/count`);
  await page.getByRole("radio", { name: "Show: Ordered" }).click();
  await expect(page.getByText("Structural panel", { exact: false })).toBeVisible();
  await expect(page.getByText("$")).toHaveCount(0);
  for (const place of ["price", "price/worksheet", "quote"]) {
    await page.goto(`${job}/${place}`);
    await expect(page.getByText("Costs are not shown here")).toBeVisible();
  }
});

test("has a title, a language, a manifest and icons", async ({ page, address, request }) => {
  await page.goto(address);
  await expect(page).toHaveTitle("Wide Porch");
  await expect(page.locator("html")).toHaveAttribute("lang", "en");
  const manifest = await (await request.get(`${address}/manifest.json`)).json();
  for (const icon of manifest.icons) expect((await request.get(`${address}${icon.src}`)).ok()).toBe(true);
  const home = await request.get(address);
  expect(home.headers()["content-security-policy"]).toContain("default-src 'self'");
});

test("another company's or a made-up job says so", async ({ page, address }) => {
  await signIn(page, address, ROS);
  await page.goto(`${address}/jobs/00000000-0000-4000-8000-000000000000/measure`);
  await expect(page.getByText("There is no such job")).toBeVisible();
});

test("a wrong password is told without a way in", async ({ page, address }) => {
  await page.goto(address);
  await page.getByLabel("Email").fill("ros@fernhollow.example");
  await page.getByLabel("Password").fill("wrong");
  await page.getByRole("button", { name: "Sign in", exact: true }).click();
  await expect(page.getByText("do not go together", { exact: false })).toBeVisible();
});
