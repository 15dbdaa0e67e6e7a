import { announceBuild } from "../api/build";

/** A page that is open all day asks so often whether there is a newer program. */
const ASK_EVERY_MS = 60 * 60_000;

/** Installs the worker that opens the app without signal. Browsers allow it over https and on the device itself only. */
export function openWithoutSignal(): void {
  if (process.env.NODE_ENV !== "production" || !("serviceWorker" in navigator)) return;
  // The first worker of a device takes over a page that came from the network: that is no newer program.
  const hadOne = navigator.serviceWorker.controller !== null;
  navigator.serviceWorker.addEventListener("controllerchange", () => {
    if (hadOne) announceBuild();
  });
  navigator.serviceWorker
    .register("/service-worker.js")
    .then((worker) => setInterval(() => void worker.update().catch(() => undefined), ASK_EVERY_MS))
    // Refused, for instance in a private window: the app then needs signal to open, and works all the same.
    .catch(() => undefined);
  // Asks that the browser does not clear away what is kept when it is short of room.
  void navigator.storage?.persist?.().catch(() => false);
}
