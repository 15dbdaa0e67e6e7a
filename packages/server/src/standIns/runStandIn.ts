/** A process of its own: it says where it listens, and ends with whoever started it. */
export function runStandIn(start: () => Promise<Readonly<Record<string, unknown>>>): void {
  start()
    .then((said) => {
      process.send?.(Object.fromEntries(Object.entries(said).filter(([, value]) => typeof value === "string")));
      process.once("disconnect", () => process.exit(0));
    })
    .catch((error: unknown) => {
      process.stderr.write(`${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`);
      process.exit(1);
    });
}
