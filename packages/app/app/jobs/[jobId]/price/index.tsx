import { lazy } from "react";
import { LoadedPage } from "../../../../src/components/LoadedPage";

/** Not where a day begins: it stays out of the first load. */
const Screen = lazy(() =>
  import("../../../../src/price/PriceScreen").then(({ PriceScreen }) => ({ default: PriceScreen })),
);

export default function Price() {
  return (
    <LoadedPage>
      <Screen />
    </LoadedPage>
  );
}
