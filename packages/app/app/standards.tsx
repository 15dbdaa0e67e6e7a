import { lazyScreen } from "../src/components/lazyScreen";

export default lazyScreen(
  () => import("../src/assembly/StandardsScreen"),
  (module) => module.StandardsScreen,
);
