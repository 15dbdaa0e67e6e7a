import { lazy } from "react";
import { LoadedPage } from "../../../../src/components/LoadedPage";

/** It comes when somebody puts estimates side by side. */
const Screen = lazy(() =>
  import("../../../../src/compare/CompareScreen").then(({ CompareScreen }) => ({ default: CompareScreen })),
);

export default function Compare() {
  return (
    <LoadedPage>
      <Screen />
    </LoadedPage>
  );
}
