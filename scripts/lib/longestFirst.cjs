const { default: Sequencer } = require("@jest/test-sequencer");

/** What runs longest, where nothing is known of the last run: two people at once, then what has a server of its own. */
const FIRST = ["sync", "server"];

const rank = (test) => {
  const place = FIRST.indexOf(test.context.config.displayName?.name);
  return place === -1 ? FIRST.length : place;
};

/** Long files first, so that at the end no worker waits for another that has just begun one. */
module.exports = class LongestFirst extends Sequencer {
  async sort(tests) {
    const sorted = await super.sort(tests);
    return sorted.toSorted((a, b) => rank(a) - rank(b));
  }
};
