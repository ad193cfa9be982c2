import type { Calendar } from '@/core/model/calendar';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import type { State } from '@/core/model/state';
import { calendarFiles } from '@/store';

/** Writes the entries of one calendar, or of all, to a file for the person. */
export async function exportCalendar(
  state: State,
  calendar: Calendar | undefined,
  now: number,
): Promise<void> {
  const events = [...state.entries.values()].filter((event) => !calendar || event.calendarId === calendar.id);
  const markers = new Set(events.flatMap((event) => event.recurrence?.skipDaysOff?.calendarId ?? []));
  const text = await calendarFiles().write(events, calendar, {
    events: [...state.entries.values()].filter((event) => markers.has(event.calendarId)),
    calendars: [...state.calendars.values()].map(({ id, name }) => ({ id, name })),
    workingPattern: state.settings.get('settings')?.workingPattern ?? standardWorkingPattern,
    now,
  });
  saveFile(calendar ? fileNameOf(calendar.name) : 'orderly-week.ics', text);
}

/** Hands a text to the person as a file. */
function saveFile(name: string, text: string, type = 'text/calendar;charset=utf-8'): void {
  const address = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}

/** Lets the person choose a file; undefined if none was chosen. */
export function chooseFile(accept: string): Promise<File | undefined> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.addEventListener('change', () => resolve(input.files?.[0]));
    input.addEventListener('cancel', () => resolve(undefined));
    input.click();
  });
}

/** A calendar's name as a file name. */
const fileNameOf = (name: string): string =>
  `${
    name
      .toLowerCase()
      .replaceAll(/[^\p{L}\p{N}]+/gu, '-')
      .replaceAll(/^-|-$/g, '') || 'calendar'
  }.ics`;
