import { createRequire } from "node:module";
import { inRoot } from "./paths.mjs";

const { chromium } = createRequire(inRoot("e2e/package.json"))("@playwright/test");

/** Debian's Chromium, as the tests start it. */
export const launchChromium = () =>
  chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: [
      "--no-sandbox",
      "--disable-gpu",
      // 3D drawn without a graphics card.
      "--enable-unsafe-swiftshader",
      "--disable-quic",
      "--no-first-run",
      "--disable-background-networking",
      "--disable-component-update",
      "--disable-sync",
    ],
  });
