import { lazy } from "react";
import { LoadedPage } from "../src/components/LoadedPage";

/** Not where a day begins: it stays out of the first load. */
const Screen = lazy(() => import("../src/account/ConfirmScreen").then((page) => ({ default: page.ConfirmScreen })));

export default function Page() {
  return (
    <LoadedPage>
      <Screen />
    </LoadedPage>
  );
}
