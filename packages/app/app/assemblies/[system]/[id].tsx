import { lazyScreen } from "../../../src/components/lazyScreen";

export default lazyScreen(
  () => import("../../../src/assembly/editor/EditorScreen"),
  (module) => module.EditorScreen,
);
