import type { Calendar } from '@/core/model/calendar';
import type { OwnNote } from '@/core/model/ownNote';
import type { State } from '@/core/model/state';

/** What the engine knows beside the entries: own notes, which are searched with them, and calendars, whose usual reminders they follow. */
export interface Beside {
  readonly notes: readonly Pick<OwnNote, 'id' | 'text'>[];
  readonly calendars: readonly Pick<Calendar, 'id' | 'usualReminders'>[];
}

/** What a state holds beside its entries. */
export const besideIn = ({ ownNotes, calendars }: Pick<State, 'ownNotes' | 'calendars'>): Beside => ({
  notes: [...ownNotes.values()],
  calendars: [...calendars.values()],
});
