import { startMail } from "./mail";
import { runStandIn } from "./runStandIn";

runStandIn(([smtp, page]) => startMail({ smtp, page }));
