export { PriceScreen as default } from "../../../src/price/PriceScreen";
