export { BuiltScreen as default } from "../../../src/assembly/BuiltScreen";
