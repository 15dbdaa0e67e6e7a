import { lazy } from "react";
import { LoadedPage } from "../../../src/components/LoadedPage";

/** Not where a day begins: it stays out of the first load. */
const Screen = lazy(() =>
  import("../../../src/count/CountScreen").then(({ CountScreen }) => ({ default: CountScreen })),
);

export default function Count() {
  return (
    <LoadedPage>
      <Screen />
    </LoadedPage>
  );
}
