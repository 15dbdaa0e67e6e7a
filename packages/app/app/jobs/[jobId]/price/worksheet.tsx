import { lazy } from "react";
import { LoadedPage } from "../../../../src/components/LoadedPage";

/** A table is for the desk: it comes when somebody asks for it. */
const Screen = lazy(() =>
  import("../../../../src/worksheet/WorksheetScreen").then(({ WorksheetScreen }) => ({ default: WorksheetScreen })),
);

export default function Worksheet() {
  return (
    <LoadedPage>
      <Screen />
    </LoadedPage>
  );
}
