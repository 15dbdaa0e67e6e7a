export { PartScreen as default } from "../../../../src/measure/PartScreen";
