export { WallScreen as default } from "../../../../src/measure/WallScreen";
