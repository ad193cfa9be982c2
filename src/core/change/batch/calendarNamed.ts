import type { Calendar } from '../../model/calendar';
import type { State } from '../../model/state';

/** The calendar that an id, a name or a mark names; undefined where none does. */
export function calendarNamed({ calendars }: Pick<State, 'calendars'>, name: string): Calendar | undefined {
  const known = calendars.get(name);
  if (known) return known;
  const said = name.trim().toLowerCase();
  const all = [...calendars.values()];
  return (
    all.find((calendar) => calendar.name.toLowerCase() === said) ??
    all.find(({ mark }) => mark.toLowerCase() === said)
  );
}
