import { lazy } from "react";
import { LoadedPage } from "../src/components/LoadedPage";

/** Not where a day begins: it stays out of the first load. */
const Screen = lazy(() =>
  import("../src/priceList/PriceListScreen").then(({ PriceListScreen }) => ({ default: PriceListScreen })),
);

export default function PriceList() {
  return (
    <LoadedPage>
      <Screen />
    </LoadedPage>
  );
}
