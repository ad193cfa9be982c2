import type { PublishedLevel } from '../../model/calendar';
import type { CalendarEvent } from '../../model/entry';

/** What an entry is called where others see only that the time is taken. */
export const TAKEN_TITLES = { busy: 'Busy', tentative: 'Perhaps busy', away: 'Away', free: 'Free' } as const;

const bare = (event: CalendarEvent): CalendarEvent => {
  const { preserved: _, attachments: __, colour: ___, ...rest } = event;
  return {
    ...rest,
    // A UID may say where an entry came from.
    uid: `${event.seriesId ?? event.id}@published.orderly-week`,
    notes: '',
    url: '',
    location: '',
    categories: [],
    reminders: [],
  };
};

function atLevel(event: CalendarEvent, level: PublishedLevel): CalendarEvent {
  if (level === 'titles') return bare(event);
  if (level === 'busy')
    return { ...bare(event), title: TAKEN_TITLES[event.availability], classification: 'public' };
  const { attachments: _, ...rest } = event;
  return { ...rest, reminders: [] };
}

/**
 * What others see of a calendar's entries at a level. Private and confidential ones are only taken time at any level, and
 * so is every occurrence of a private series; what is called off, or private and takes no time, is not there at all.
 * Reminders and attached files stay here.
 */
export function publishedEvents(events: readonly CalendarEvent[], level: PublishedLevel): CalendarEvent[] {
  const byId = new Map(events.map((event) => [event.id, event]));
  const masterOf = (event: CalendarEvent) =>
    event.seriesId === undefined ? undefined : byId.get(event.seriesId);
  const levelOf = (event: CalendarEvent): PublishedLevel =>
    event.classification === 'public' && (masterOf(event)?.classification ?? 'public') === 'public'
      ? level
      : 'busy';
  const isShown = (event: CalendarEvent): boolean =>
    event.status !== 'cancelled' && (levelOf(event) !== 'busy' || event.availability !== 'free');

  const leftOut = new Map<string, CalendarEvent[]>();
  for (const event of events)
    if (event.seriesId !== undefined && event.recurrenceId && !event.recurrenceRange && !isShown(event))
      leftOut.set(event.seriesId, [...(leftOut.get(event.seriesId) ?? []), event]);

  return events.flatMap((event): CalendarEvent[] => {
    // A change that holds from a date on can't be left out of its series: it is there as time that is free.
    if (!isShown(event) && !event.recurrenceRange) return [];
    const shown = atLevel(event, levelOf(event));
    const out = leftOut.get(event.id);
    if (out && shown.recurrence) {
      const exceptionDates = [
        ...shown.recurrence.exceptionDates,
        ...out.flatMap(({ recurrenceId }) => recurrenceId ?? []),
      ];
      return [{ ...shown, recurrence: { ...shown.recurrence, exceptionDates } }];
    }
    const master = masterOf(event);
    if (event.seriesId === undefined || (master && isShown(master))) return [shown];
    const { seriesId: _, recurrenceId: __, recurrenceRange: ___, ...alone } = shown;
    return [{ ...alone, uid: `${event.id}@published.orderly-week` }];
  });
}
