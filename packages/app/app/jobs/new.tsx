import { lazy } from "react";
import { LoadedPage } from "../../src/components/LoadedPage";

/** Not where a day begins: it stays out of the first load. */
const Screen = lazy(() =>
  import("../../src/jobs/NewJobScreen").then(({ NewJobScreen }) => ({ default: NewJobScreen })),
);

export default function NewJob() {
  return (
    <LoadedPage>
      <Screen />
    </LoadedPage>
  );
}
