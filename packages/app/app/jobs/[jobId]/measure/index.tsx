export { PartsScreen as default } from "../../../../src/measure/PartsScreen";
