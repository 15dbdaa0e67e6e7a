import { lazy } from "react";
import { LoadedPage } from "../src/components/LoadedPage";

/** Not where a day begins: it stays out of the first load. */
const Screen = lazy(() => import("../src/account/LogScreen").then((page) => ({ default: page.LogScreen })));

export default function Page() {
  return (
    <LoadedPage>
      <Screen />
    </LoadedPage>
  );
}
