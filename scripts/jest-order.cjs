const Sequencer = require('@jest/test-sequencer').default;

/** What takes longest begins first, so that no processor waits for it at the end: the simulation, then as Jest orders. */
module.exports = class extends Sequencer {
  sort(tests) {
    const isLong = ({ path }) => path.includes('/simulation/');
    const sorted = super.sort(tests);
    return [...sorted.filter(isLong), ...sorted.filter((test) => !isLong(test))];
  }
};
