import { series, zoned } from '../../../testing/samples';
import { instantToWall } from '../time/zones';
import { localString, parseLocal } from '../time/civil';
import { Series } from './series';

/**
 * The examples of RFC 5545 3.8.5.3, all of them, in the zone that it uses. Dates are written as it writes them: a year,
 * then months with their days; "..." after dates that go on.
 */
const ZONE = 'America/New_York';
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** `1997 Sep 2-4 9; Oct 7` as dates. */
function datesOf(text: string): string[] {
  let year = '';
  let month = '';
  return text
    .split(/[\s;]+/)
    .filter((word) => word && word !== '...')
    .flatMap((word) => {
      if (/^\d{4}$/.test(word)) year = word;
      else if (MONTHS.includes(word)) month = String(MONTHS.indexOf(word) + 1).padStart(2, '0');
      else {
        const [first, last = first] = word.split('-').map(Number) as [number, number?];
        return Array.from(
          { length: last - first + 1 },
          (_, index) => `${year}-${month}-${String(first + index).padStart(2, '0')}`,
        );
      }
      return [];
    });
}

const SEPTEMBER = '1997-09-02T09:00';
const weekly = '1997 Sep 2 9 16 23 30; Oct 7 14 21 28; Nov 4 11 18 25; Dec 2 9 16 23';
const daily = '1997 Sep 2-30; Oct 1-31; Nov 1-30; Dec 1-23';
const january = '1998 Jan 1-31; 1999 Jan 1-31; 2000 Jan 1-31';
const tuesdaysAndThursdays = '1997 Sep 2 4 9 11 16 18 23 25 30; Oct 2';

test.each([
  ['daily for 10 occurrences', SEPTEMBER, 'FREQ=DAILY;COUNT=10', '1997 Sep 2-11'],
  ['daily until 24 December 1997', SEPTEMBER, 'FREQ=DAILY;UNTIL=19971224T000000Z', daily],
  [
    'every other day',
    SEPTEMBER,
    'FREQ=DAILY;INTERVAL=2',
    '1997 Sep 2 4 6 8 10 12 14 16 18 20 22 24 26 28 30; Oct 2 4 ...',
  ],
  ['every 10 days, 5 occurrences', SEPTEMBER, 'FREQ=DAILY;INTERVAL=10;COUNT=5', '1997 Sep 2 12 22; Oct 2 12'],
  [
    'every day in January, for 3 years',
    '1998-01-01T09:00',
    'FREQ=YEARLY;UNTIL=20000131T140000Z;BYMONTH=1;BYDAY=SU,MO,TU,WE,TH,FR,SA',
    january,
  ],
  [
    'every day in January, said otherwise',
    '1998-01-01T09:00',
    'FREQ=DAILY;UNTIL=20000131T140000Z;BYMONTH=1',
    january,
  ],
  [
    'weekly for 10 occurrences',
    SEPTEMBER,
    'FREQ=WEEKLY;COUNT=10',
    '1997 Sep 2 9 16 23 30; Oct 7 14 21 28; Nov 4',
  ],
  ['weekly until 24 December 1997', SEPTEMBER, 'FREQ=WEEKLY;UNTIL=19971224T000000Z', weekly],
  [
    'every other week',
    SEPTEMBER,
    'FREQ=WEEKLY;INTERVAL=2;WKST=SU',
    '1997 Sep 2 16 30; Oct 14 28; Nov 11 25; Dec 9 23; 1998 Jan 6 20; Feb 3 17 ...',
  ],
  [
    'on Tuesday and Thursday for five weeks',
    SEPTEMBER,
    'FREQ=WEEKLY;UNTIL=19971007T000000Z;WKST=SU;BYDAY=TU,TH',
    tuesdaysAndThursdays,
  ],
  [
    'on Tuesday and Thursday, counted',
    SEPTEMBER,
    'FREQ=WEEKLY;COUNT=10;WKST=SU;BYDAY=TU,TH',
    tuesdaysAndThursdays,
  ],
  [
    'every other week on Monday, Wednesday and Friday',
    '1997-09-01T09:00',
    'FREQ=WEEKLY;INTERVAL=2;UNTIL=19971224T000000Z;WKST=SU;BYDAY=MO,WE,FR',
    '1997 Sep 1 3 5 15 17 19 29; Oct 1 3 13 15 17 27 29 31; Nov 10 12 14 24 26 28; Dec 8 10 12 22',
  ],
  [
    'every other week on Tuesday and Thursday, 8 occurrences',
    SEPTEMBER,
    'FREQ=WEEKLY;INTERVAL=2;COUNT=8;WKST=SU;BYDAY=TU,TH',
    '1997 Sep 2 4 16 18 30; Oct 2 14 16',
  ],
  [
    'monthly on the first Friday, 10 occurrences',
    '1997-09-05T09:00',
    'FREQ=MONTHLY;COUNT=10;BYDAY=1FR',
    '1997 Sep 5; Oct 3; Nov 7; Dec 5; 1998 Jan 2; Feb 6; Mar 6; Apr 3; May 1; Jun 5',
  ],
  [
    'monthly on the first Friday until 24 December',
    '1997-09-05T09:00',
    'FREQ=MONTHLY;UNTIL=19971224T000000Z;BYDAY=1FR',
    '1997 Sep 5; Oct 3; Nov 7; Dec 5',
  ],
  [
    'every other month on the first and last Sunday',
    '1997-09-07T09:00',
    'FREQ=MONTHLY;INTERVAL=2;COUNT=10;BYDAY=1SU,-1SU',
    '1997 Sep 7 28; Nov 2 30; 1998 Jan 4 25; Mar 1 29; May 3 31',
  ],
  [
    'monthly on the second to last Monday',
    '1997-09-22T09:00',
    'FREQ=MONTHLY;COUNT=6;BYDAY=-2MO',
    '1997 Sep 22; Oct 20; Nov 17; Dec 22; 1998 Jan 19; Feb 16',
  ],
  [
    'monthly on the third to last day',
    '1997-09-28T09:00',
    'FREQ=MONTHLY;BYMONTHDAY=-3',
    '1997 Sep 28; Oct 29; Nov 28; Dec 29; 1998 Jan 29; Feb 26 ...',
  ],
  [
    'monthly on the 2nd and 15th',
    SEPTEMBER,
    'FREQ=MONTHLY;COUNT=10;BYMONTHDAY=2,15',
    '1997 Sep 2 15; Oct 2 15; Nov 2 15; Dec 2 15; 1998 Jan 2 15',
  ],
  [
    'monthly on the first and last day',
    '1997-09-30T09:00',
    'FREQ=MONTHLY;COUNT=10;BYMONTHDAY=1,-1',
    '1997 Sep 30; Oct 1 31; Nov 1 30; Dec 1 31; 1998 Jan 1 31; Feb 1',
  ],
  [
    'every 18 months on the 10th to 15th',
    '1997-09-10T09:00',
    'FREQ=MONTHLY;INTERVAL=18;COUNT=10;BYMONTHDAY=10,11,12,13,14,15',
    '1997 Sep 10-15; 1999 Mar 10-13',
  ],
  [
    'every Tuesday of every other month',
    SEPTEMBER,
    'FREQ=MONTHLY;INTERVAL=2;BYDAY=TU',
    '1997 Sep 2 9 16 23 30; Nov 4 11 18 25; 1998 Jan 6 13 20 27; Mar 3 10 17 24 31 ...',
  ],
  [
    'yearly in June and July',
    '1997-06-10T09:00',
    'FREQ=YEARLY;COUNT=10;BYMONTH=6,7',
    '1997 Jun 10; Jul 10; 1998 Jun 10; Jul 10; 1999 Jun 10; Jul 10; 2000 Jun 10; Jul 10; 2001 Jun 10; Jul 10',
  ],
  [
    'every other year in January, February and March',
    '1997-03-10T09:00',
    'FREQ=YEARLY;INTERVAL=2;COUNT=10;BYMONTH=1,2,3',
    '1997 Mar 10; 1999 Jan 10; Feb 10; Mar 10; 2001 Jan 10; Feb 10; Mar 10; 2003 Jan 10; Feb 10; Mar 10',
  ],
  [
    'every third year on the 1st, 100th and 200th day',
    '1997-01-01T09:00',
    'FREQ=YEARLY;INTERVAL=3;COUNT=10;BYYEARDAY=1,100,200',
    '1997 Jan 1; Apr 10; Jul 19; 2000 Jan 1; Apr 9; Jul 18; 2003 Jan 1; Apr 10; Jul 19; 2006 Jan 1',
  ],
  [
    'every 20th Monday of the year',
    '1997-05-19T09:00',
    'FREQ=YEARLY;BYDAY=20MO',
    '1997 May 19; 1998 May 18; 1999 May 17 ...',
  ],
  [
    'Monday of week 20',
    '1997-05-12T09:00',
    'FREQ=YEARLY;BYWEEKNO=20;BYDAY=MO',
    '1997 May 12; 1998 May 11; 1999 May 17 ...',
  ],
  [
    'every Thursday in March',
    '1997-03-13T09:00',
    'FREQ=YEARLY;BYMONTH=3;BYDAY=TH',
    '1997 Mar 13 20 27; 1998 Mar 5 12 19 26; 1999 Mar 4 11 18 25 ...',
  ],
  [
    'every Thursday in June, July and August',
    '1997-06-05T09:00',
    'FREQ=YEARLY;BYDAY=TH;BYMONTH=6,7,8',
    '1997 Jun 5 12 19 26; Jul 3 10 17 24 31; Aug 7 14 21 28; 1998 Jun 4 11 18 25; Jul 2 9 16 23 30; Aug 6 13 20 27; 1999 Jun 3 10 17 24; Jul 1 8 15 22 29; Aug 5 12 19 26 ...',
  ],
  [
    'every Friday the 13th',
    SEPTEMBER,
    'FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13',
    '1998 Feb 13; Mar 13; Nov 13; 1999 Aug 13; 2000 Oct 13 ...',
  ],
  [
    'the first Saturday after the first Sunday',
    '1997-09-13T09:00',
    'FREQ=MONTHLY;BYDAY=SA;BYMONTHDAY=7,8,9,10,11,12,13',
    '1997 Sep 13; Oct 11; Nov 8; Dec 13; 1998 Jan 10; Feb 7; Mar 7; Apr 11; May 9; Jun 13 ...',
  ],
  [
    'the first Tuesday after a Monday in November, every four years',
    '1996-11-05T09:00',
    'FREQ=YEARLY;INTERVAL=4;BYMONTH=11;BYDAY=TU;BYMONTHDAY=2,3,4,5,6,7,8',
    '1996 Nov 5; 2000 Nov 7; 2004 Nov 2 ...',
  ],
  [
    'the third of Tuesday, Wednesday or Thursday',
    '1997-09-04T09:00',
    'FREQ=MONTHLY;COUNT=3;BYDAY=TU,WE,TH;BYSETPOS=3',
    '1997 Sep 4; Oct 7; Nov 6',
  ],
  [
    'the second to last weekday of the month',
    '1997-09-29T09:00',
    'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-2',
    '1997 Sep 29; Oct 30; Nov 27; Dec 30; 1998 Jan 29; Feb 26; Mar 30 ...',
  ],
  [
    'a week that begins on Monday',
    '1997-08-05T09:00',
    'FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=MO',
    '1997 Aug 5 10 19 24',
  ],
  [
    'a week that begins on Sunday',
    '1997-08-05T09:00',
    'FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=SU',
    '1997 Aug 5 17 19 31',
  ],
  [
    'a date that does not exist is left out',
    '2007-01-15T09:00',
    'FREQ=MONTHLY;BYMONTHDAY=15,30;COUNT=5',
    '2007 Jan 15 30; Feb 15; Mar 15 30',
  ],
])('%s', (_name, start, rule, expected) => {
  const goesOn = expected.endsWith('...');
  const dates = datesOf(expected);
  // The one with the 13th leaves its own start out by EXDATE.
  const isExample13 = rule.includes('BYMONTHDAY=13') && !rule.includes('SA');
  const at = zoned(start, ZONE);
  const event = series(rule, {
    start: at,
    end: at,
    recurrence: { rules: [rule], dates: [], exceptionDates: isExample13 ? [at] : [] },
  });
  const found = new Series(event).next(parseLocal(start), goesOn ? dates.length : 1000, ZONE);
  expect(found.map(({ start: instant }) => localString(instantToWall(ZONE, instant)))).toEqual(
    dates.map((date) => `${date}T09:00:00`),
  );
});

const timesOf = (rule: string, most: number) =>
  new Series(series(rule, { start: zoned(SEPTEMBER, ZONE), end: zoned(SEPTEMBER, ZONE) }))
    .next(parseLocal(SEPTEMBER), most, ZONE)
    .map(({ start }) => localString(instantToWall(ZONE, start)).slice(8, 16));

test.each([
  // The standard's UNTIL=19970902T170000Z means 13:00 in New York; by its erratum 3883 it is 17:00 there.
  [
    'every 3 hours from 9:00 to 17:00',
    'FREQ=HOURLY;INTERVAL=3;UNTIL=19970902T210000Z',
    ['02T09:00', '02T12:00', '02T15:00'],
  ],
  [
    'every 15 minutes, 6 occurrences',
    'FREQ=MINUTELY;INTERVAL=15;COUNT=6',
    ['02T09:00', '02T09:15', '02T09:30', '02T09:45', '02T10:00', '02T10:15'],
  ],
  [
    'every hour and a half, 4 occurrences',
    'FREQ=MINUTELY;INTERVAL=90;COUNT=4',
    ['02T09:00', '02T10:30', '02T12:00', '02T13:30'],
  ],
])('%s', (_name, rule, expected) => expect(timesOf(rule, 100)).toEqual(expected));

test('every 20 minutes from 9:00 to 16:40 every day, said in two ways', () => {
  const expected = ['02', '03'].flatMap((day) =>
    [9, 10, 11, 12, 13, 14, 15, 16].flatMap((hour) =>
      ['00', '20', '40'].map((minute) => `${day}T${String(hour).padStart(2, '0')}:${minute}`),
    ),
  );
  const hours = 'BYHOUR=9,10,11,12,13,14,15,16';
  expect(timesOf(`FREQ=DAILY;${hours};BYMINUTE=0,20,40`, 48)).toEqual(expected);
  expect(timesOf(`FREQ=MINUTELY;INTERVAL=20;${hours}`, 48)).toEqual(expected);
});
