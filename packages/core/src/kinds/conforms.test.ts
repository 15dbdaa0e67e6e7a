import { samples } from "../testing/samples";
import { PART_KINDS } from "./index";

for (const each of samples) each.describe();

it("there is a sample of every kind", () => {
  expect(samples.map(({ kind }) => kind).toSorted()).toEqual(Object.keys(PART_KINDS).toSorted());
});
