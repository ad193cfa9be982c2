import type { CalendarEvent, EventFields } from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import { DAY, parseLocal } from '../../time/civil';
import { atWall, instantOf, wallOf } from '../../time/eventTime';
import { wallToInstant } from '../../time/zones';
import type { ComponentLines } from './fileText';
import type { ReadContext, ReadLine } from './readContext';
import { afterDuration, readParts } from './readParts';

function readEnd(
  start: EventTime,
  end: EventTime | undefined,
  duration: ReadLine | undefined,
  context: ReadContext,
) {
  const day = start.kind === 'date' ? DAY : 0;
  if (end) return end.kind === 'date' && start.kind !== 'date' ? atWall(start, wallOf(end)) : end;
  const after = duration && afterDuration(start, String(duration.property[3]), context.zone);
  if (duration && !after) {
    const { line, text } = duration.line;
    context.report({ line, code: 'unreadable-line', detail: text.slice(0, 120) });
  }
  return after ?? atWall(start, wallOf(start) + day);
}

/** Reads a VEVENT (RFC 5545 3.6.1), or undefined if it has no readable start. Which series it belongs to is set later. */
export function readEvent(component: ComponentLines, context: ReadContext): CalendarEvent | undefined {
  const { named, text, times, common } = readParts('event', component, context);
  const start = times('dtstart')[0];
  if (!start) {
    context.report({ line: component.line, code: 'no-start', detail: text('summary').slice(0, 120) });
    return undefined;
  }
  let end = readEnd(start, times('dtend')[0], named('duration')[0], context);
  if (end.kind !== start.kind) end = atWall(start, wallOf(end));
  if (
    instantOf(end, context.zone) < instantOf(start, context.zone) ||
    (start.kind === 'date' && wallOf(end) <= wallOf(start))
  ) {
    if (wallOf(end) < wallOf(start))
      context.report({
        line: component.line,
        code: 'end-before-start',
        detail: text('summary').slice(0, 120),
      });
    end = readEnd(start, undefined, undefined, context);
  }
  const { fields, identity } = common(start);
  return {
    ...(fields as Omit<EventFields, 'calendarId' | 'start' | 'end'>),
    ...identity,
    kind: 'event',
    start,
    end,
  };
}

/** The instant of an UNTIL that allows the whole of a date in a zone: the day's last second. */
export const endOfDate = (date: string, zone: string): number =>
  wallToInstant(zone, parseLocal(`${date}T23:59:59`));
