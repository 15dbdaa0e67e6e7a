export { CountScreen as default } from "../../../src/count/CountScreen";
