import { startMail } from "./mail";
import { runStandIn } from "./runStandIn";

runStandIn(startMail);
