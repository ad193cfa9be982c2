import { timedOccurrence } from '../../../../testing/samples';
import { DAY, HOUR, parseDate } from '@/core/time/civil';
import type { Ghost } from './ghost';
import { DRAFT_KEY, withDraft } from './withDraft';

const day = parseDate('2027-03-09') * DAY;
const draft: Ghost = {
  key: undefined,
  edits: undefined,
  title: 'Crane survey',
  colour: 'pine',
  mark: 'ME',
  calendarId: 'meetings',
  startWall: day + 15 * HOUR,
  endWall: day + 16 * HOUR,
  allDay: false,
  copy: false,
  settling: false,
};
const shown = [timedOccurrence(parseDate('2027-03-09'), 'round', 9 * 60, 60)];

test('a new entry stands among the others while it is written', () => {
  const { occurrences, draftKey } = withDraft(shown, draft, 'Europe/Lisbon');
  expect(draftKey).toBe(DRAFT_KEY);
  expect(occurrences.map(({ key }) => key)).toEqual(['round', DRAFT_KEY]);
  // 9 March: the clock in Lisbon is that of UTC.
  expect(occurrences[1]).toMatchObject({
    start: draft.startWall,
    end: draft.endWall,
    calendarId: 'meetings',
  });
});

test('an edited entry stands once, at the time that it is to have', () => {
  const { occurrences, draftKey } = withDraft(shown, { ...draft, edits: 'round' }, 'Europe/Lisbon');
  expect(draftKey).toBe('round');
  expect(occurrences).toHaveLength(1);
  expect(occurrences[0]).toMatchObject({ title: shown[0]!.title, startWall: draft.startWall });
});

test('one that was edited and lies elsewhere stands here as a new one', () => {
  expect(withDraft(shown, { ...draft, edits: 'elsewhere' }, 'Europe/Lisbon').draftKey).toBe(DRAFT_KEY);
  expect(withDraft(shown, null, 'Europe/Lisbon')).toEqual({ occurrences: shown, draftKey: undefined });
});
