import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/entry';
import type { PeriodSet } from '@/core/model/periodSet';
import type { Settings } from '@/core/model/settings';
import type { ViewPreset } from '@/core/model/viewPreset';
import { dayAfter, EntryMaker } from './entryMaker';
import { addFiller } from './filler';
import { periodSets, presets } from './looks';
import { Chance } from './random';
import { calendars, settings, TODAY } from './scenario';
import { addShowcase } from './showcase';

/** The records that a demo begins with. */
export interface DemoData {
  readonly calendars: readonly Calendar[];
  readonly entries: readonly CalendarEvent[];
  readonly settings: Settings;
  readonly presets: readonly ViewPreset[];
  readonly periodSets: readonly PeriodSet[];
}

/** The demo: some 450 entries over two years around its fixed today. The same seed gives the same records. */
export function makeDemo(seed = 7): DemoData {
  const make = new EntryMaker('demo-');
  const chance = new Chance(seed);
  addShowcase(make);
  const week = { from: '2027-03-08', to: '2027-03-13' };
  addFiller(make, chance, dayAfter(TODAY, -365), 730, 390, week);
  addFiller(make, chance, '2027-03-01', 21, 16, week);
  return { calendars, entries: make.entries, settings, presets, periodSets };
}
