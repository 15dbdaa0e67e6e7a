import { lazy } from "react";
import { LoadedPage } from "../src/components/LoadedPage";

/** Seldom needed on site: it stays out of the first load. */
const Screen = lazy(() =>
  import("../src/assembly/StandardsScreen").then(({ StandardsScreen }) => ({ default: StandardsScreen })),
);

export default function Standards() {
  return (
    <LoadedPage>
      <Screen />
    </LoadedPage>
  );
}
