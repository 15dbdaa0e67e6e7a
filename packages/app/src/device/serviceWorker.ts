/** Installs the worker that opens the app without signal. Browsers allow it over https and on the device itself only. */
export function openWithoutSignal(): void {
  if (process.env.NODE_ENV !== "production" || !("serviceWorker" in navigator)) return;
  // Refused, for instance in a private window: the app then needs signal to open, and works all the same.
  navigator.serviceWorker.register("/service-worker.js").catch(() => undefined);
  // Asks that the browser does not clear away what is kept when it is short of room.
  void navigator.storage?.persist?.().catch(() => false);
}
