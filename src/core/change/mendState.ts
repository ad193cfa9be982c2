import { withKnownZones } from '../model/knownZones';
import type { State } from '../model/state';
import { proposeColour, proposeMark } from './calendarChanges';
import { type Change, type ChangeContext, makePatch, type Patch, put } from './patch';

/** What was mended. */
export interface Mended {
  /** How many calendars were missing, and were made anew for the entries that name them. */
  readonly calendars: number;
  /** The home zone that is not known here. */
  readonly unknownZone: string | undefined;
}

/**
 * Makes whole what data that was damaged, or comes from elsewhere, lacks: calendars that entries name and that are not
 * there, and settings whose zones are not known here. Undefined if nothing is missing.
 * @param context its zone takes the place of an unknown home zone
 * @param name what calendars are called whose names are lost
 */
export function mendState(
  state: State,
  context: ChangeContext,
  name: string,
): { readonly patch: Patch; readonly mended: Mended } | undefined {
  const changes: Change[] = [];
  const missing = new Set<string>();
  for (const { calendarId } of state.entries.values())
    if (!state.calendars.has(calendarId)) missing.add(calendarId);
  const known = [...state.calendars.values()];
  for (const id of missing) {
    const number = known.length - state.calendars.size + 1;
    const calendar = {
      id,
      name: missing.size > 1 ? `${name} ${number}` : name,
      description: '',
      colour: proposeColour(known.map(({ colour }) => colour)),
      mark: proposeMark(
        name,
        known.map(({ mark }) => mark),
      ),
      order: Math.max(0, ...known.map(({ order }) => order)) + 1,
      created: context.now,
      modified: context.now,
    };
    known.push(calendar);
    changes.push(put(state, 'calendars', calendar));
  }
  const settings = state.settings.get('settings');
  const settled = settings && withKnownZones(settings, context.zone);
  if (settled && settled !== settings) changes.push(put(state, 'settings', settled));
  if (changes.length === 0) return undefined;
  return {
    patch: makePatch(context, { what: 'restored', count: changes.length }, changes, 'closed-calendars'),
    mended: {
      calendars: missing.size,
      unknownZone: settled?.homeZone === settings?.homeZone ? undefined : settings?.homeZone,
    },
  };
}
