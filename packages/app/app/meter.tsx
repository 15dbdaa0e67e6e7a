import { lazy } from "react";
import { LoadedPage } from "../src/components/LoadedPage";

/** Not where a day begins: it stays out of the first load. */
const Screen = lazy(() =>
  import("../src/meter/MeterPanelScreen").then(({ MeterPanelScreen }) => ({ default: MeterPanelScreen })),
);

export default function Meter() {
  return (
    <LoadedPage>
      <Screen />
    </LoadedPage>
  );
}
