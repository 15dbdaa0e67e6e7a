import { lazy } from "react";
import { LoadedPage } from "../../../src/components/LoadedPage";

/** Seldom needed on site: it stays out of the first load. */
const Screen = lazy(() =>
  import("../../../src/assembly/editor/EditorScreen").then(({ EditorScreen }) => ({ default: EditorScreen })),
);

export default function Editor() {
  return (
    <LoadedPage>
      <Screen />
    </LoadedPage>
  );
}
