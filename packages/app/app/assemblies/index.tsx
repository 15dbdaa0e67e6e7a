import { lazyScreen } from "../../src/components/lazyScreen";

export default lazyScreen(
  () => import("../../src/assembly/AssembliesScreen"),
  (module) => module.AssembliesScreen,
);
