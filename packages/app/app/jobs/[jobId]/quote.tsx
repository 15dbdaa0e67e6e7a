import { lazy } from "react";
import { LoadedPage } from "../../../src/components/LoadedPage";

/** Not where a day begins: it stays out of the first load. */
const Screen = lazy(() =>
  import("../../../src/quote/QuoteScreen").then(({ QuoteScreen }) => ({ default: QuoteScreen })),
);

export default function Quote() {
  return (
    <LoadedPage>
      <Screen />
    </LoadedPage>
  );
}
