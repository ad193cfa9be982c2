import ICAL from 'ical.js';
import { DESIGN } from '../../interchange/icalendar/design';
import { asJCal } from '../../interchange/icalendar/readLines';
import { componentTree, contentLines } from '../../interchange/icalendar/fileText';
import type { BusyDepth, BusyKind, BusySpan } from '../../model/busyTimes';
import type { JCalComponent, JCalProperty } from '../../model/jcal';
import type { WorkingPattern } from '../../model/settings';
import { localString } from '../../time/civil';
import type { InstantRange } from '../../time/eventTime';
import { availabilityComponents, readAvailability } from './availability';
import { mailtoOf } from '../../model/emailAddress';

/** FBTYPE (RFC 5545 3.2.9) of each kind; what is not known of counts as busy. */
const TYPES: Readonly<Record<BusyKind, string>> = {
  busy: 'BUSY',
  tentative: 'BUSY-TENTATIVE',
  away: 'BUSY-UNAVAILABLE',
};
const kindOf = (type: string): BusyKind | undefined =>
  type === 'FREE'
    ? undefined
    : type === TYPES.tentative
      ? 'tentative'
      : type === TYPES.away
        ? 'away'
        : 'busy';

/** The most spans of one answer: more are a mistake, or worse. */
const MOST_SPANS = 20_000;

/** What somebody lets be seen of their time. */
export interface FreeBusy {
  readonly range: InstantRange;
  readonly depth: BusyDepth;
  /** By their starts. */
  readonly spans: readonly BusySpan[];
  readonly workingPattern?: WorkingPattern;
  readonly zone?: string;
}

const utc = (instant: number): string => `${localString(Math.floor(instant / 1000) * 1000)}Z`;

/**
 * Free and busy times as a calendar file: a VFREEBUSY (RFC 5545 3.6.4) with a period for each span, its title and place as
 * parameters where they are let be seen, and the working pattern as VAVAILABILITY (RFC 7953) where it is given.
 */
export function writeFreeBusy(
  { range, spans, depth, workingPattern, zone }: FreeBusy,
  stamp: number,
  owner: { readonly address: string; readonly uid: string },
): string {
  const periods = spans.map(({ start, end, kind, title, place }): JCalProperty => [
    'freebusy',
    {
      fbtype: TYPES[kind],
      ...(depth !== 'busy' && title !== undefined ? { 'x-summary': title } : {}),
      ...(depth === 'everything' && place !== undefined ? { 'x-location': place } : {}),
    },
    'period',
    [utc(start), utc(end)],
  ]);
  const freeBusy: JCalComponent = [
    'vfreebusy',
    [
      ['uid', {}, 'text', owner.uid],
      ['dtstamp', {}, 'date-time', utc(stamp)],
      ['dtstart', {}, 'date-time', utc(range.start)],
      ['dtend', {}, 'date-time', utc(range.end)],
      ['attendee', {}, 'cal-address', mailtoOf(owner.address)],
      ['x-depth', {}, 'unknown', depth],
      ...periods,
    ],
    [],
  ];
  const availability =
    workingPattern && zone ? availabilityComponents(workingPattern, zone, utc(stamp), owner.uid) : [];
  const calendar: JCalComponent = [
    'vcalendar',
    [
      ['prodid', {}, 'text', '-//Orderly Week//Orderly Week//EN'],
      ['version', {}, 'text', '2.0'],
      ['method', {}, 'text', 'REPLY'],
    ],
    [freeBusy, ...availability],
  ];
  return `${ICAL.stringify.component(calendar, DESIGN)}\r\n`;
}

const instantOfUtc = (text: unknown): number => {
  const instant = typeof text === 'string' ? Date.parse(text) : NaN;
  return /Z$/.test(String(text)) ? instant : NaN;
};

/** Where a period ends: at a time, or after a length (RFC 5545 3.3.9). */
function endOf(start: number, end: unknown): number {
  if (typeof end !== 'string') return NaN;
  if (!/^[+-]?P/.test(end)) return instantOfUtc(end);
  return start + ICAL.Duration.fromString(end).toSeconds() * 1000;
}

/**
 * The free and busy times of a file; undefined where it says none that can be read. Spans that are over before they begin,
 * and those that are free, are left out.
 * @throws FileError if it is no calendar file
 */
export function readFreeBusy(text: string): FreeBusy | undefined {
  const [calendar] = componentTree(contentLines(text)).map((component) => asJCal(component, () => undefined));
  const components = calendar?.[2] ?? [];
  const found = components.find(([name]) => name === 'vfreebusy');
  if (!found) return undefined;
  const [, properties] = found;
  const first = (name: string): unknown => properties.find((property) => property[0] === name)?.[3];
  const range = { start: instantOfUtc(first('dtstart')), end: instantOfUtc(first('dtend')) };
  if (!(range.end > range.start)) return undefined;
  const said = String(first('x-depth') ?? 'busy');
  const spans = properties
    .filter(([name]) => name === 'freebusy')
    .flatMap(([, parameters, , ...periods]) => {
      const one = (name: string): string => [parameters[name] ?? ''].flat().join(',');
      const kind = kindOf(one('fbtype').toUpperCase());
      return periods.slice(0, MOST_SPANS).flatMap((period): BusySpan[] => {
        const [from, to] = Array.isArray(period) ? (period as unknown[]) : String(period).split('/');
        const start = instantOfUtc(from);
        const end = endOf(start, to);
        if (!kind || !(end > start)) return [];
        const title = one('x-summary').slice(0, 1000);
        const place = one('x-location').slice(0, 1000);
        return [{ start, end, kind, ...(title ? { title } : {}), ...(place ? { place } : {}) }];
      });
    })
    .slice(0, MOST_SPANS)
    .sort((a, b) => a.start - b.start || a.end - b.end);
  return {
    range,
    depth: said === 'titles' || said === 'everything' ? said : 'busy',
    spans,
    ...readAvailability(components),
  };
}
