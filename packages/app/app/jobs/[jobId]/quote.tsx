export { QuoteScreen as default } from "../../../src/quote/QuoteScreen";
