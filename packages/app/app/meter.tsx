export { MeterPanelScreen as default } from "../src/meter/MeterPanelScreen";
