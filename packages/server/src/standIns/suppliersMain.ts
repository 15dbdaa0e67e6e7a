import { runStandIn } from "./runStandIn";
import { startSuppliers } from "./suppliers";

runStandIn(([port]) => startSuppliers(port));
