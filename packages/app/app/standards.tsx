export { StandardsScreen as default } from "../src/assembly/StandardsScreen";
