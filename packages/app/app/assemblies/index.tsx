import { lazy } from "react";
import { LoadedPage } from "../../src/components/LoadedPage";

/** Seldom needed on site: it stays out of the first load. */
const Screen = lazy(() =>
  import("../../src/assembly/AssembliesScreen").then(({ AssembliesScreen }) => ({ default: AssembliesScreen })),
);

export default function Assemblies() {
  return (
    <LoadedPage>
      <Screen />
    </LoadedPage>
  );
}
