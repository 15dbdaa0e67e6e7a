import { lazy } from "react";
import { LoadedPage } from "../src/components/LoadedPage";

/** Not where a day begins: it stays out of the first load. */
const Screen = lazy(() => import("../src/account/SafetyScreen").then((page) => ({ default: page.SafetyScreen })));

export default function Page() {
  return (
    <LoadedPage>
      <Screen />
    </LoadedPage>
  );
}
