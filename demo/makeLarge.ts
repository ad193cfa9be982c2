import { files } from './attachments';
import { dayAfter, EntryMaker } from './entryMaker';
import { addFiller, addSeries } from './filler';
import { periodSets, presets } from './looks';
import type { DemoData } from './makeDemo';
import { people } from './people';
import { Chance } from './random';
import { calendars, categories, settings, TODAY } from './scenario';
import { addShowcase } from './showcase';
import { todos } from './todos';

/** The set to measure on: 20,000 entries, 2,000 of them series, over five years. */
export function makeLarge(seed = 11, entries = 20_000, series = 2_000): DemoData {
  const make = new EntryMaker('large-');
  const chance = new Chance(seed);
  const first = dayAfter(TODAY, -3 * 365);
  const days = 5 * 365;
  addShowcase(make);
  addSeries(make, chance, first, days, series - make.entries.filter((entry) => entry.recurrence).length);
  addFiller(make, chance, first, days, entries - make.entries.length, { from: '', to: '' });
  return {
    calendars,
    entries: make.entries,
    todos,
    settings,
    presets,
    periodSets,
    people,
    invitations: [],
    categories,
    files,
  };
}
