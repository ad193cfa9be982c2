import type { Calendar, Publication, PublishedLevel } from '@/core/model/calendar';
import type { State } from '@/core/model/state';
import { writtenDaysOff } from '@/features/interchange';
import { calendarFiles } from '@/store';

async function ask(method: 'PUT' | 'DELETE', token: string, body: object): Promise<number> {
  try {
    const response = await fetch(`/api/published/${token}`, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    return response.status;
  } catch {
    return 0;
  }
}

/** A calendar's entries as the file that others get at a level. */
export function publishedText(
  state: State,
  calendar: Pick<Calendar, 'id' | 'name'>,
  level: PublishedLevel,
  now: number,
): Promise<string> {
  const events = [...state.entries.values()].filter(({ calendarId }) => calendarId === calendar.id);
  const ids = new Set(events.map(({ id }) => id));
  const elsewhere = [...state.entries.values()].filter(
    ({ calendarId, seriesId }) => calendarId !== calendar.id && seriesId !== undefined && ids.has(seriesId),
  );
  return calendarFiles().publish(events, elsewhere, calendar.name, level, writtenDaysOff(state, events, now));
}

/** What the server made of a push: its address may have been withdrawn for good. */
export type Pushed = 'done' | 'withdrawn' | 'failed';

/** Sends what is published of a calendar to the server. */
export async function pushCalendar(
  state: State,
  calendar: Pick<Calendar, 'id' | 'name'>,
  publication: Publication,
  now: number,
): Promise<Pushed> {
  if (withdrawnHere.has(publication.token)) return 'withdrawn';
  const text = await publishedText(state, calendar, publication.level, now);
  const zone = state.settings.get('settings')?.homeZone ?? 'UTC';
  const { token, key } = publication;
  const status = await ask('PUT', token, { key, name: calendar.name, zone, text });
  return status === 204 ? 'done' : status === 410 ? 'withdrawn' : 'failed';
}

/** Addresses that this page has withdrawn, or is about to. */
const withdrawnHere = new Set<string>();

/** Takes a published calendar off the server; whether it is gone. */
export async function withdraw({ token, key }: Publication): Promise<boolean> {
  withdrawnHere.add(token);
  const isGone = (await ask('DELETE', token, { key })) === 204;
  if (!isGone) withdrawnHere.delete(token);
  return isGone;
}

/** Takes a calendar off the server if it is published; whether nothing of it is there any more. */
export const withdrawn = async ({ publication }: Calendar): Promise<boolean> =>
  publication === undefined || (await withdraw(publication));
