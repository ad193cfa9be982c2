import { Invitation } from '../../model/invitation';
import { promptnessOf } from './promptness';
import { HOUR } from '../../time/civil';

const SALMA = 'salma.wray@fennick.example';
const told = (id: string, took: number | undefined, fields: Partial<Invitation> = {}): Invitation =>
  Invitation.parse({
    id,
    role: 'organizer',
    organizer: { address: 'mailto:juna.marsh@fennick.example', parameters: {} },
    sequence: 0,
    stamp: 0,
    timeSequences: {},
    toldTo: { [SALMA]: 0 },
    toldAt: { [SALMA]: HOUR },
    events: [],
    answers:
      took === undefined
        ? []
        : [{ address: SALMA, answer: 'accepted', at: HOUR + took, sequence: 0, comment: '' }],
    ...fields,
  });

test('how long somebody takes is the median of what they took; who has not answered is counted apart', () => {
  const all = [told('a', 2 * HOUR), told('b', 30 * HOUR), told('c', 90 * HOUR), told('d', undefined)];
  expect(promptnessOf(all, [`mailto:${SALMA.toUpperCase()}`])).toEqual({
    answered: 3,
    silent: 1,
    median: 30 * HOUR,
  });
  expect(promptnessOf(all, ['oona.pell@fennick.example'])).toEqual({
    answered: 0,
    silent: 0,
    median: undefined,
  });
});

test('what was called off, and what others invite to, says nothing of it', () => {
  expect(
    promptnessOf([told('a', undefined, { isCancelled: true }), told('b', HOUR, { role: 'guest' })], [SALMA]),
  ).toEqual({
    answered: 0,
    silent: 0,
    median: undefined,
  });
});
