const Sequencer = require('@jest/test-sequencer').default;

/** Files that take long by themselves: begun late, the last of them would run alone. */
const LONG = [
  'store/simulation',
  'icalendar/hostileFiles',
  'published/limits',
  'forms/forms',
  'entryline/entryline.property',
  'keeper/reminderKeeper',
  'recurrence/randomRules',
];
const placeOf = ({ path }) => {
  const place = LONG.findIndex((part) => path.includes(part));
  return place < 0 ? LONG.length : place;
};

/** Runs the longest test files first. */
module.exports = class LongestFirst extends Sequencer {
  sort(tests) {
    return [...super.sort(tests)].sort((a, b) => placeOf(a) - placeOf(b));
  }
};
