import { lazy } from "react";
import { LoadedPage } from "../../../../src/components/LoadedPage";

/** It comes when somebody asks what is open. */
const Screen = lazy(() =>
  import("../../../../src/openRange/OpenRangeScreen").then(({ OpenRangeScreen }) => ({ default: OpenRangeScreen })),
);

export default function Open() {
  return (
    <LoadedPage>
      <Screen />
    </LoadedPage>
  );
}
