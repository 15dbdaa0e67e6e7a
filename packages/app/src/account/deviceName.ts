import Bowser from "bowser";

/** What a device is, out of what it calls itself: `Chrome on Android phone`. */
export function deviceName(userAgent: string): string {
  if (userAgent === "") return "A device that says nothing of itself";
  const { browser, os, platform } = Bowser.parse(userAgent);
  const where = [os.name, platform.type === "desktop" ? undefined : platform.type].filter(Boolean).join(" ");
  if (!browser.name) return userAgent.slice(0, 60);
  return where ? `${browser.name} on ${where}` : browser.name;
}
