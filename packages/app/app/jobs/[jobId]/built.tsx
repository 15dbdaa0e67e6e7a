import { lazy } from "react";
import { LoadedPage } from "../../../src/components/LoadedPage";

/** Seldom needed on site: it stays out of the first load. */
const Screen = lazy(() =>
  import("../../../src/assembly/BuiltScreen").then(({ BuiltScreen }) => ({ default: BuiltScreen })),
);

export default function Built() {
  return (
    <LoadedPage>
      <Screen />
    </LoadedPage>
  );
}
