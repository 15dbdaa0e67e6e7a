import { resolve } from "node:path";
import { defineConfig } from "@playwright/test";
import { CHROMIUM_FLAGS } from "./support/chromium";

const phone = { width: 390, height: 844 };
const wide = { width: 1280, height: 800 };

export default defineConfig({
  testDir: ".",
  testMatch: "*.spec.ts",
  globalSetup: "./support/globalSetup.ts",
  outputDir: resolve(__dirname, "../.test-data/playwright"),
  // Generous: on two cores with something else running, axe on a dozen screens takes more than a minute.
  timeout: 240_000,
  expect: { timeout: 20_000 },
  // A busy machine fails one in some hundreds for no fault of the app; what passes at the second try is listed as flaky.
  retries: 1,
  // A third fills what the two leave of two cores, and starves the threads of the servers that some tests kill and start again.
  workers: 2,
  fullyParallel: true,
  reporter: [["list"], ["json", { outputFile: resolve(__dirname, "../.test-data/playwright.json") }]],
  use: {
    launchOptions: { executablePath: "/usr/bin/chromium", args: CHROMIUM_FLAGS },
    acceptDownloads: true,
    locale: "en-GB",
    serviceWorkers: "block",
  },
  projects: [
    { name: "phone", use: { viewport: phone, hasTouch: true } },
    { name: "wide", use: { viewport: wide }, testMatch: ["line.spec.ts", "screens.spec.ts", "plan.spec.ts"] },
  ],
});
