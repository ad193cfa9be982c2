import fc from 'fast-check';
import { DAY, parseLocal } from '../time/civil';
import { expandRule } from './expandRule';
import { parseRule } from './rule';
import { RuleBlocks } from './ruleBlocks';

const START = parseLocal('1990-01-01T09:00');

test('windows in any order give what a single expansion gives, however wide and wherever', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(
        'FREQ=DAILY;INTERVAL=3',
        'FREQ=WEEKLY;BYDAY=MO,FR',
        'FREQ=MONTHLY;BYMONTHDAY=-1',
        'FREQ=YEARLY',
      ),
      fc.array(
        fc.record({
          from: fc.integer({ min: -100, max: 15_000 }),
          length: fc.integer({ min: 0, max: 900 }),
          until: fc.option(fc.integer({ min: 0, max: 15_000 })),
        }),
        { minLength: 1, maxLength: 6 },
      ),
      (text, windows) => {
        const rule = parseRule(text);
        const blocks = new RuleBlocks(rule, START);
        for (const { from, length, until } of windows) {
          const window = { start: START + from * DAY, end: START + (from + length) * DAY };
          const last = until === null ? Infinity : START + until * DAY;
          expect(blocks.between(window, last)).toEqual(expandRule(rule, START, window, last));
        }
      },
    ),
  );
});
