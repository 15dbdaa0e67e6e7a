export { AssembliesScreen as default } from "../../src/assembly/AssembliesScreen";
