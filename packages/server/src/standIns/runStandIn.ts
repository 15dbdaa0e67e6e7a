/** A process of its own, at the ports that it is given. It ends with whoever started it. */
export function runStandIn(start: (ports: readonly number[]) => Promise<unknown>): void {
  start(process.argv.slice(2).map(Number))
    .then(() => process.once("disconnect", () => process.exit(0)))
    .catch((error: unknown) => {
      process.stderr.write(`${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`);
      process.exit(1);
    });
}
