import { parseEntryLine } from '../../entryline';
import { DAY, dayNumber, HOUR } from '../../time/civil';
import { linkInMail, timesInMail, titleOfSubject } from './timesInMail';

const TUESDAY = dayNumber(2027, 3, 9);
const context = {
  nowWall: TUESDAY * DAY + 9 * HOUR,
  zone: 'America/Halifax',
  selectedDay: TUESDAY,
  defaultLength: HOUR,
  calendars: [],
};
const times = (text: string) =>
  timesInMail(text, parseEntryLine, context).map(({ start }) =>
    start.kind === 'date' ? start.date : `${'local' in start ? start.local.slice(0, 16) : ''}`,
  );

test('all times of a mail are found, each once, on the clock of who wrote it', () => {
  const text = `Dear Juna,

could we talk about the claim? I could do Thursday at 10 or Friday at 14:30.
Otherwise 16 March at 9 am would do; 16 March at 9 am is my last one.

Salma`;
  expect(times(text)).toEqual(['2027-03-11T10:00', '2027-03-12T14:30', '2027-03-16T09:00']);
  expect(timesInMail(text, parseEntryLine, context)[0]!.start).toMatchObject({ zone: 'America/Halifax' });
});

test('an hour by itself belongs to the day that was named before it', () => {
  expect(times('I am free on Thursday at 10 or at 14:00')).toEqual(['2027-03-11T10:00', '2027-03-11T14:00']);
});

test('what was quoted, what stands under the signature, and days without an hour are no times', () => {
  expect(times('> Thursday at 10?\nI can\u2019t on Thursday.\n-- \nOffice: Friday at 9:00')).toEqual([]);
  expect(times('')).toEqual([]);
});

test('a mail that is all times is read in reasonable time, and offers a dozen', () => {
  const long = Array.from(
    { length: 5000 },
    (_, index) => `${(index % 28) + 1} April at ${index % 24}:00`,
  ).join('\n');
  expect(times(long)).toHaveLength(12);
});

test('a link is found without the full stop behind it; a subject loses what answers put before it', () => {
  expect(linkInMail('See https://tern.example/plans?id=7. Best')).toBe('https://tern.example/plans?id=7');
  expect(linkInMail('No link here')).toBe('');
  expect(titleOfSubject('Re: AW: Fwd: Tide talk')).toBe('Tide talk');
  expect(titleOfSubject('Recall of lamps')).toBe('Recall of lamps');
});
