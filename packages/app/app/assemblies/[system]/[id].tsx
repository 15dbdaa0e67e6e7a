export { EditorScreen as default } from "../../../src/assembly/editor/EditorScreen";
