/** Debian's Chromium on a machine without a monitor and with no way out. */
export const CHROMIUM_FLAGS = [
  "--no-sandbox",
  "--disable-gpu",
  // 3D drawn without a graphics card.
  "--enable-unsafe-swiftshader",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
];
