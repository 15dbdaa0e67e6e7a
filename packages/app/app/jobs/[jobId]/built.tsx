import { lazyScreen } from "../../../src/components/lazyScreen";

export default lazyScreen(
  () => import("../../../src/assembly/BuiltScreen"),
  (module) => module.BuiltScreen,
);
