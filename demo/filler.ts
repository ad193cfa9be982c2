import { noticeBefore } from '@/core/model/reminder';
import { parseDate, weekdayOf } from '@/core/time/civil';
import { dayAfter, type EntryMaker } from './entryMaker';
import type { Chance } from './random';
import type { DemoCalendarId } from './scenario';

const LIGHTS = [
  'Gull Point',
  'Skerry',
  'North Ness',
  'Cape Farrow',
  'Tern Rock',
  'Old Mole',
  'St Brannoc',
  'Low Head',
  'Fennick',
];

interface Kind {
  readonly calendar: DemoCalendarId;
  readonly titles: readonly string[];
  readonly minutes: readonly number[];
  readonly places: readonly string[];
}

const KINDS: readonly Kind[] = [
  {
    calendar: 'desk',
    titles: [
      'Lens invoices',
      'Order book',
      'Works report',
      'Paint list',
      'Spare parts order',
      'Insurance papers',
      'Lamp log',
    ],
    minutes: [60, 90, 120, 180],
    places: [''],
  },
  {
    calendar: 'meetings',
    titles: [
      'Supplier call',
      'Tobias: survey',
      'Salma: grant figures',
      'Oona: rota',
      'Marek: lens',
      'Ines: boats',
      'Paint quote',
    ],
    minutes: [30, 45, 60],
    places: ['online', 'Chart room', 'Lamp room'],
  },
  {
    calendar: 'visits',
    titles: LIGHTS.map((light) => `${light} inspection`),
    minutes: [240, 360, 480],
    places: ['by boat', 'by road'],
  },
  {
    calendar: 'grants',
    titles: ['Grant figures', 'Claim draft', 'Panel questions'],
    minutes: [60, 120],
    places: ['', 'online'],
  },
  {
    calendar: 'home',
    titles: ['Dentist', 'Choir', 'Garden', 'Bicycle repair'],
    minutes: [45, 60, 90],
    places: [''],
  },
];

/** Adds single entries at random working days of a span, at sensible hours. */
export function addFiller(
  make: EntryMaker,
  chance: Chance,
  first: string,
  days: number,
  count: number,
  avoid: { from: string; to: string },
): void {
  for (let added = 0; added < count;) {
    const date = dayAfter(first, chance.between(0, days - 1));
    if (weekdayOf(parseDate(date)) > 5 || (date >= avoid.from && date < avoid.to)) continue;
    const kind = chance.one(KINDS);
    const hour =
      kind.calendar === 'home'
        ? chance.between(17, 19)
        : chance.between(8, kind.calendar === 'visits' ? 9 : 15);
    const start = `${date}T${String(hour).padStart(2, '0')}:${chance.one(['00', '00', '15', '30', '45'])}`;
    make.timed(kind.calendar, start, chance.one(kind.minutes), chance.one(kind.titles), {
      location: chance.one(kind.places),
      ...(chance.percent(8) ? { availability: 'tentative' as const } : {}),
      ...(kind.calendar === 'home' ? { classification: 'private' as const } : {}),
      ...(chance.percent(10) ? { reminders: [noticeBefore(chance.one([5, 10, 15, 30]))] } : {}),
    });
    added++;
  }
}

const RULES = [
  'FREQ=WEEKLY',
  'FREQ=WEEKLY;INTERVAL=2',
  'FREQ=WEEKLY;BYDAY=MO,WE',
  'FREQ=DAILY;INTERVAL=3',
  'FREQ=MONTHLY',
  'FREQ=MONTHLY;BYDAY=2TU',
  'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1',
  'FREQ=YEARLY',
  'FREQ=WEEKLY;COUNT=40',
];

/** Adds series that begin at random days of a span. Most have ended before its last year. */
export function addSeries(
  make: EntryMaker,
  chance: Chance,
  first: string,
  days: number,
  count: number,
): void {
  for (let added = 0; added < count; added++) {
    const kind = chance.one(KINDS);
    const date = dayAfter(first, chance.between(0, days - 1));
    const rule = chance.one(RULES);
    const ends = !rule.includes('COUNT') && chance.percent(85);
    const until = dayAfter(date, chance.between(60, 500)).replaceAll('-', '');
    make.series(
      kind.calendar,
      `${date}T${String(chance.between(8, 16)).padStart(2, '0')}:${chance.one(['00', '30'])}`,
      chance.one(kind.minutes),
      ends ? `${rule};UNTIL=${until}` : rule,
      chance.one(kind.titles),
      { location: chance.one(kind.places) },
    );
  }
}
