import type { Calendar } from '@/core/model/calendar';
import type { Category } from '@/core/model/category';
import { type CalendarEvent, type Todo } from '@/core/model/entry';
import type { Invitation } from '@/core/model/invitation';
import type { Person } from '@/core/model/person';
import type { PeriodSet } from '@/core/model/periodSet';
import type { Settings } from '@/core/model/settings';
import type { ViewPreset } from '@/core/model/viewPreset';
import { files } from './attachments';
import { dayAfter, EntryMaker } from './entryMaker';
import { addFiller } from './filler';
import { addMess } from './mess';
import { invitationsOf } from './invitations';
import { periodSets, presets } from './looks';
import { people } from './people';
import { Chance } from './random';
import { calendars, categories, settings, TODAY } from './scenario';
import { addShowcase } from './showcase';
import { todos } from './todos';

/** The records that a demo begins with. */
export interface DemoData {
  readonly calendars: readonly Calendar[];
  readonly entries: readonly CalendarEvent[];
  readonly todos: readonly Todo[];
  readonly settings: Settings;
  readonly presets: readonly ViewPreset[];
  readonly periodSets: readonly PeriodSet[];
  readonly people: readonly Person[];
  readonly invitations: readonly Invitation[];
  readonly categories: readonly Category[];
  /** The bytes of attachments in base 64, by their ids. */
  readonly files: Readonly<Record<string, string>>;
}

/** The demo: some 450 entries over two years around its fixed today. The same seed gives the same records. */
export function makeDemo(seed = 7): DemoData {
  const make = new EntryMaker('demo-');
  const chance = new Chance(seed);
  addShowcase(make);
  const week = { from: '2027-03-08', to: '2027-03-13' };
  addFiller(make, chance, dayAfter(TODAY, -365), 730, 390, week);
  addFiller(make, chance, '2027-03-01', 21, 16, week);
  addMess(make);
  const { entries } = make;
  const invitations = invitationsOf(entries);
  return { calendars, entries, todos, settings, presets, periodSets, people, invitations, categories, files };
}
