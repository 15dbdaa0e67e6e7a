import { samples } from "../testing/samples";

for (const each of samples) each.describe();
