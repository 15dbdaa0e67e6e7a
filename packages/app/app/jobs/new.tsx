export { NewJobScreen as default } from "../../src/jobs/NewJobScreen";
