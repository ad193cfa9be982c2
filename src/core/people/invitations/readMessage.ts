import { componentTree, contentLines, type ComponentLines } from '../../interchange/icalendar/fileText';
import { FileError } from '../../interchange/icalendar/problems';
import type { ReadContext } from '../../interchange/icalendar/readContext';
import { readEvent } from '../../interchange/icalendar/readEvent';
import { readTimes } from '../../interchange/icalendar/readParts';
import { readProperties } from '../../interchange/icalendar/readLines';
import { zoneFinder } from '../../interchange/icalendar/zoneNames';
import { attendeesProperty, organizerProperty } from '../../fields/people';
import { CalendarEvent } from '../../model/entry';
import { ITIP_METHODS, LONGEST_LETTER, LONGEST_WORDS } from '../../model/invitation';
import type { JCalProperty } from '../../model/jcal';
import { civilDate, DAY } from '../../time/civil';
import { instantOf } from '../../time/eventTime';
import type { ItipMessage, ItipPart } from './itipMessage';

/** So many entries and dates a message may speak of. */
const MOST_PARTS = 500;
/** So many may be invited to one entry. */
const MOST_GUESTS = 2000;

interface ReadPart extends ItipPart {
  readonly uid: string;
  readonly sequence: number;
  readonly stamp: number;
  readonly organizer: ItipMessage['organizer'];
}

function readPart(component: ComponentLines, context: ReadContext): ReadPart | undefined {
  const lines = readProperties(component, context.report);
  const all = (name: string): JCalProperty[] =>
    lines.flatMap(({ property }) => (property[0] === name ? [property] : []));
  const text = (name: string): string => String(all(name)[0]?.[3] ?? '');
  const time = (name: string) =>
    lines
      .filter(({ property }) => property[0] === name)
      .flatMap((line) => readTimes(line, context))
      .at(0);
  const uid = text('uid');
  if (uid === '') return undefined;
  const stamp = time('dtstamp');
  const recurrenceId = time('recurrence-id');
  const hasStart = all('dtstart').length > 0;
  const read = hasStart ? readEvent(component, context) : undefined;
  const event = read && CalendarEvent.safeParse(withoutComments(read)).data;
  return {
    uid,
    sequence: Math.max(0, Math.trunc(Number(text('sequence')) || 0)),
    stamp: stamp ? instantOf(stamp, 'UTC') : 0,
    organizer: organizerProperty.read({ text, all }),
    attendees: (attendeesProperty.read({ text, all }) ?? []).slice(0, MOST_GUESTS),
    comment: all('comment')
      .map((property) => String(property[3]))
      .join('\n')
      .slice(0, LONGEST_WORDS),
    ...(recurrenceId ? { recurrenceId } : {}),
    ...(event ? { event } : {}),
  };
}

/** Properties that are about a message and not about the entry. */
const OF_THE_MESSAGE = new Set<unknown>(['comment', 'request-status', 'dtstamp']);

/** The entry without what the message said beside it. */
function withoutComments({ preserved, ...event }: CalendarEvent): CalendarEvent {
  const properties = (preserved?.properties ?? []).filter(([name]) => !OF_THE_MESSAGE.has(name));
  const { components = [], parameters } = preserved ?? {};
  return properties.length + components.length > 0 || parameters
    ? { ...event, preserved: { properties, components, ...(parameters ? { parameters } : {}) } }
    : event;
}

/**
 * The messages of a calendar text with a METHOD (RFC 5546 3.2), one for each UID in the order in which they stand. None for
 * a text without a method of these: it is a plain file of entries.
 * @throws FileError if it is no calendar, cut off, or longer than a message may be
 */
export function readMessages(
  text: string,
  options: Pick<ReadContext, 'zone' | 'now' | 'newId'>,
): ItipMessage[] {
  if (text.length > LONGEST_LETTER) throw new FileError('too-large');
  const calendars = componentTree(contentLines(text));
  const context: ReadContext = {
    ...options,
    findZone: zoneFinder(
      calendars.flatMap(({ components }) => components.filter(({ name }) => name === 'VTIMEZONE')),
      civilDate(Math.floor(options.now / DAY)).year,
      options.zone,
    ),
    report: () => undefined,
  };
  return calendars.flatMap((calendar) => {
    const said = readProperties(calendar, context.report).find(({ property }) => property[0] === 'method');
    const method = ITIP_METHODS.find((each) => each === String(said?.property[3] ?? '').toUpperCase());
    if (!method) return [];
    const byUid = new Map<string, ReadPart[]>();
    for (const component of calendar.components
      .filter(({ name }) => name === 'VEVENT')
      .slice(0, MOST_PARTS)) {
      const part = readPart(component, context);
      if (part) byUid.set(part.uid, [...(byUid.get(part.uid) ?? []), part]);
    }
    return [...byUid].map(([uid, parts]): ItipMessage => ({
      method,
      uid,
      sequence: Math.max(...parts.map(({ sequence }) => sequence)),
      stamp: Math.max(...parts.map(({ stamp }) => stamp)),
      organizer: parts.find(({ organizer }) => organizer)?.organizer,
      parts: parts.map(({ recurrenceId, event, attendees, comment }) => ({
        attendees,
        comment,
        ...(recurrenceId ? { recurrenceId } : {}),
        ...(event ? { event } : {}),
      })),
    }));
  });
}
