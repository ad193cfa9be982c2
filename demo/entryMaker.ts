import { blankFields } from '@/core/change/eventFields';
import type { CalendarEvent, DayOffHandling } from '@/core/model/entry';
import type { EventTime } from '@/core/model/eventTime';
import { dateString, localString, MINUTE, parseDate, parseLocal } from '@/core/time/civil';
import { type DemoCalendarId, HOME_ZONE, MADE } from './scenario';

export type DemoFields = Partial<Omit<CalendarEvent, 'id' | 'kind'>>;

/** Makes events with ids that follow from their order. */
export class EntryMaker {
  readonly entries: CalendarEvent[] = [];

  constructor(private readonly prefix: string) {}

  private add(
    calendarId: DemoCalendarId,
    title: string,
    start: EventTime,
    end: EventTime,
    fields: DemoFields,
  ): CalendarEvent {
    const id = `${this.prefix}${this.entries.length + 1}`;
    const entry: CalendarEvent = {
      ...blankFields(calendarId, start, end),
      kind: 'event',
      id,
      uid: `${id}@fennick.example`,
      title,
      sequence: 0,
      created: MADE,
      modified: MADE,
      ...fields,
    };
    this.entries.push(entry);
    return entry;
  }

  /** An event of some minutes, from `YYYY-MM-DDTHH:MM` in a zone. */
  timed(
    calendarId: DemoCalendarId,
    start: string,
    minutes: number,
    title: string,
    fields: DemoFields = {},
    zone = HOME_ZONE,
  ): CalendarEvent {
    const wall = parseLocal(start);
    const at = (time: number): EventTime => ({ kind: 'zoned', local: localString(time), zone });
    return this.add(calendarId, title, at(wall), at(wall + minutes * MINUTE), fields);
  }

  /** Whole days from a date on. */
  days(
    calendarId: DemoCalendarId,
    first: string,
    count: number,
    title: string,
    fields: DemoFields = {},
  ): CalendarEvent {
    return this.add(
      calendarId,
      title,
      { kind: 'date', date: first },
      { kind: 'date', date: dateString(parseDate(first) + count) },
      fields,
    );
  }

  /** A series of events of some minutes. `left` names dates that it leaves out, `skip` what it does on days off. */
  series(
    calendarId: DemoCalendarId,
    start: string,
    minutes: number,
    rule: string,
    title: string,
    fields: DemoFields & { left?: string[]; skip?: DayOffHandling } = {},
  ): CalendarEvent {
    const { left = [], skip, ...rest } = fields;
    const time = start.slice(11, 16);
    return this.timed(calendarId, start, minutes, title, {
      ...rest,
      recurrence: {
        rules: [rule],
        dates: [],
        exceptionDates: left.map((date) => ({ kind: 'zoned', local: `${date}T${time}:00`, zone: HOME_ZONE })),
        ...(skip ? { skipDaysOff: { calendarId: 'daysoff', handling: skip } } : {}),
      },
    });
  }

  /** A changed occurrence of a series: the one of `date`, at another time. */
  changed(series: CalendarEvent, date: string, start: string, fields: DemoFields = {}): CalendarEvent {
    if (series.start.kind !== 'zoned' || series.end.kind !== 'zoned')
      throw new Error('only zoned series are changed here');
    const length = parseLocal(series.end.local) - parseLocal(series.start.local);
    const { recurrence: _, id: __, uid, ...same } = series;
    const zone = series.start.zone;
    const wall = parseLocal(start);
    return this.add(
      series.calendarId as DemoCalendarId,
      series.title,
      { kind: 'zoned', local: localString(wall), zone },
      { kind: 'zoned', local: localString(wall + length), zone },
      {
        ...same,
        start: { kind: 'zoned', local: localString(wall), zone },
        end: { kind: 'zoned', local: localString(wall + length), zone },
        seriesId: series.id,
        recurrenceId: { ...series.start, local: `${date}T${series.start.local.slice(11)}` },
        ...{ uid },
        ...fields,
      } as DemoFields,
    );
  }
}

/** `YYYY-MM-DD` some days after another date. */
export const dayAfter = (date: string, days: number): string => dateString(parseDate(date) + days);
