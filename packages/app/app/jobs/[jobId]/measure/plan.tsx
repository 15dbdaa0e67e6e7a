import { lazy } from "react";
import { LoadedPage } from "../../../../src/components/LoadedPage";

/** Not where a day begins: it stays out of the first load. */
const Screen = lazy(() =>
  import("../../../../src/plan/PlanScreen").then(({ PlanScreen }) => ({ default: PlanScreen })),
);

export default function Plan() {
  return (
    <LoadedPage>
      <Screen />
    </LoadedPage>
  );
}
