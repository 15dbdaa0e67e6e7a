export { PriceListScreen as default } from "../src/price/PriceListScreen";
