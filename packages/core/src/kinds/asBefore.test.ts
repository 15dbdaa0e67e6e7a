import { samples } from "../testing/samples";
import { intricate } from "../testing/samples/intricate";

/**
 * What every sample comes to, line by line, as it was when somebody last looked at it. Not that it is right, which other tests ask: that it
 * is not changed unseen. Where it is meant to change, `npx jest --selectProjects core asBefore -u`, and the difference is read before it is
 * committed.
 */
const named = (sampled: typeof samples, words: string) =>
  sampled.flatMap(({ kind, of }) => of.map((each, index) => ({ name: `${words} ${kind} ${index + 1}`, each })));

describe.each([...named(samples, "plain"), ...named(intricate, "intricate")])("$name", ({ each }) => {
  it("comes to what it came to", () => {
    expect(each.answers()).toMatchSnapshot();
  });
});

const richest = [...intricate, ...samples.filter(({ kind }) => !intricate.some((each) => each.kind === kind))];

describe.each(richest)("another choice for a $kind", ({ of: [each] }) => {
  it("comes to what it came to", () => {
    expect(each?.otherwise()).toMatchSnapshot();
  });
});
