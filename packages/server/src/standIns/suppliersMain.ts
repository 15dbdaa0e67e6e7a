import { startSuppliers } from "./suppliers";

/** A process of its own: it says where it listens, and ends with whoever started it. */
startSuppliers()
  .then(({ address }) => {
    process.send?.({ address });
    process.once("disconnect", () => process.exit(0));
  })
  .catch((error: unknown) => {
    process.stderr.write(`${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`);
    process.exit(1);
  });
