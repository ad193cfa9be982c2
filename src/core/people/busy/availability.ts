import type { JCalComponent, JCalProperty } from '../../model/jcal';
import { type WorkingDay, type WorkingPattern, WORKPLACES } from '../../model/settings';
import { DAY, dateString, localString, MINUTE, parseDate, parseLocal, startOfWeek } from '../../time/civil';
import { isKnownZone } from '../../time/zones';

const WEEKDAYS = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];
/** A Monday long ago, that weekly hours begin from. */
const SINCE = startOfWeek(parseDate('2020-01-06'), 1);

const at = (day: number, minute: number, name: string, zone: string): JCalProperty => [
  name,
  { tzid: zone },
  'date-time',
  localString(day * DAY + minute * MINUTE),
];

function available(
  day: number,
  { from, to }: { readonly from: number; readonly to: number },
  { place }: WorkingDay,
  zone: string,
  uid: string,
  weekdays?: readonly number[],
): JCalComponent {
  return [
    'available',
    [
      ['uid', {}, 'text', `${uid}-${dateString(day)}-${from}-${place}${weekdays ? '-weekly' : ''}`],
      at(day, from, 'dtstart', zone),
      at(day, to, 'dtend', zone),
      ...(weekdays
        ? ([
            ['rrule', {}, 'recur', { freq: 'WEEKLY', byday: weekdays.map((weekday) => WEEKDAYS[weekday]!) }],
          ] satisfies JCalProperty[])
        : []),
      ['categories', {}, 'text', place],
    ],
    [],
  ];
}

/**
 * A working pattern as availability (RFC 7953 3.1): the weekly hours, and above them each day that is an exception, in which
 * one is not available but for what it says.
 * @param stamp a date-time of UTC, as jCal writes it
 */
export function availabilityComponents(
  { weekdays, exceptions }: WorkingPattern,
  zone: string,
  stamp: string,
  uid: string,
): JCalComponent[] {
  // Weekdays that share hours and place are said once.
  const shared = new Map<string, { day: WorkingDay; of: number[] }>();
  for (const [weekday, day] of weekdays.entries()) {
    const key = JSON.stringify(day);
    const known = shared.get(key);
    if (known) known.of.push(weekday);
    else shared.set(key, { day, of: [weekday] });
  }
  const head = (priority: string, own: string): JCalProperty[] => [
    ['uid', {}, 'text', own],
    ['dtstamp', {}, 'date-time', stamp],
    ['priority', {}, 'integer', Number(priority)],
  ];
  const weekly: JCalComponent = [
    'vavailability',
    head('9', `${uid}-hours`),
    [...shared.values()].flatMap(({ day, of }) =>
      day.spans.map((span) => available(SINCE + of[0]!, span, day, zone, uid, of)),
    ),
  ];
  const others = Object.entries(exceptions).map(([date, working]): JCalComponent => {
    const day = parseDate(date);
    return [
      'vavailability',
      [
        ...head('1', `${uid}-${date}`),
        at(day, 0, 'dtstart', zone),
        at(day + 1, 0, 'dtend', zone),
        ['categories', {}, 'text', working.place],
      ],
      working.spans.map((span) => available(day, span, working, zone, uid)),
    ];
  });
  return [weekly, ...others];
}

const property = ([, properties]: JCalComponent, name: string): JCalProperty | undefined =>
  properties.find((each) => each[0] === name);

const placeOf = (component: JCalComponent): WorkingDay['place'] =>
  WORKPLACES.find((place) => place === property(component, 'categories')?.[3]) ?? 'office';

interface Hours {
  readonly day: number;
  readonly span: { readonly from: number; readonly to: number };
}

/** Hours of one day; undefined for what is none of that: over midnight, in no zone. */
function hoursOf(component: JCalComponent): Hours | undefined {
  const [start, end] = [property(component, 'dtstart')?.[3], property(component, 'dtend')?.[3]];
  if (typeof start !== 'string' || typeof end !== 'string') return undefined;
  const [from, to] = [parseLocal(start), parseLocal(end)];
  const day = Math.floor(from / DAY);
  const span = { from: (from - day * DAY) / MINUTE, to: (to - day * DAY) / MINUTE };
  return Number.isInteger(span.from) && Number.isInteger(span.to) && span.to > span.from && span.to <= 1440
    ? { day, span }
    : undefined;
}

const weekdaysOf = (component: JCalComponent): number[] => {
  const rule = property(component, 'rrule')?.[3];
  const days = /BYDAY=([A-Z,]+)/i.exec(typeof rule === 'string' ? rule : '')?.[1]?.split(',') ?? [];
  return days.map((day) => WEEKDAYS.indexOf(day.toUpperCase())).filter((index) => index >= 0);
};

const withSpan = (day: WorkingDay, { span }: Hours, place: WorkingDay['place']): WorkingDay => ({
  spans: [...day.spans, span].sort((a, b) => a.from - b.from),
  place,
});

/** The working pattern that availability says, with its zone: weekly hours, and days that are exceptions. */
export function readAvailability(components: readonly JCalComponent[]): {
  workingPattern?: WorkingPattern;
  zone?: string;
} {
  const all = components.filter(([name]) => name === 'vavailability');
  const weekly = all.find((component) => !property(component, 'dtstart'));
  if (!weekly) return {};
  let zone: string | undefined;
  const weekdays: WorkingDay[] = WEEKDAYS.map(() => ({ spans: [], place: 'office' }));
  for (const part of weekly[2]) {
    const hours = hoursOf(part);
    const tzid = property(part, 'dtstart')?.[1].tzid;
    if (!hours || typeof tzid !== 'string' || !isKnownZone(tzid)) continue;
    zone ??= tzid;
    for (const weekday of weekdaysOf(part))
      weekdays[weekday] = withSpan(weekdays[weekday]!, hours, placeOf(part));
  }
  if (!zone) return {};
  const exceptions: Record<string, WorkingDay> = {};
  for (const component of all) {
    const start = property(component, 'dtstart')?.[3];
    if (component === weekly || typeof start !== 'string') continue;
    const day: WorkingDay = { spans: [], place: placeOf(component) };
    exceptions[start.slice(0, 10)] = component[2].reduce((known, part) => {
      const hours = hoursOf(part);
      return hours ? withSpan(known, hours, placeOf(part)) : known;
    }, day);
  }
  return { workingPattern: { weekdays, exceptions }, zone };
}
