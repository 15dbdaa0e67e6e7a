const Sequencer = require("@jest/test-sequencer").default;

/** Runs test files in the order that `TEST_ORDER` gives. */
module.exports = class GivenOrder extends Sequencer {
  sort(tests) {
    const order = JSON.parse(process.env.TEST_ORDER ?? "[]");
    const placeOf = ({ path }) => (order.includes(path) ? order.indexOf(path) : order.length);
    return [...tests].sort((a, b) => placeOf(a) - placeOf(b));
  }
};
