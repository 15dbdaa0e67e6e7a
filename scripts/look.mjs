import { launchChromium } from "./lib/chromium.mjs";
import { withDemoServer } from "./lib/demoServer.mjs";

const steps = await import(process.argv[2]);
await withDemoServer(async (address) => {
  const browser = await launchChromium();
  try {
    await steps.default(browser, address);
  } finally {
    await browser.close();
  }
});
