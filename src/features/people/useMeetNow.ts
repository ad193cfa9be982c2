import { useRouter } from 'expo-router';
import { targetCalendar } from '@/core/change/calendarChanges';
import { lengthOfNew } from '@/core/change/calendarDefaults';
import { blankFields } from '@/core/change/eventFields';
import type { Person } from '@/core/model/person';
import { guestOf } from '@/core/people/guests';
import { MINUTE } from '@/core/time/civil';
import { zonedAt } from '@/core/time/eventTime';
import { useCommands } from '@/features/workspace';
import { useOpenStore, useSettings } from '@/store';
import { offerWords } from '@/ui/words/offers';
import { and, peopleWords } from '@/ui/words/people';
import { ownMeeting } from './OnlineField';

/** A meeting begins on the last five minutes, in milliseconds. */
const STEP = 5 * MINUTE;

/**
 * Starts an online meeting with somebody: an entry from now on with a room of its own, which opens. Whether they are told is asked as
 * after any entry with guests.
 */
export function useMeetNow(): (people: readonly Person[]) => void {
  const { store } = useOpenStore();
  const settings = useSettings();
  const { create, context, refuse } = useCommands();
  const router = useRouter();
  return (people) => {
    const calendar = targetCalendar(store.getSnapshot().state, new Set());
    if (!calendar) return refuse(offerWords.noCalendar);
    const start = Math.floor(context().now / STEP) * STEP;
    const end = start + lengthOfNew(calendar, settings) * MINUTE;
    const [from, until] = [start, end].map((instant) => zonedAt(instant, settings.homeZone));
    const guests = people.filter(({ addresses }) => addresses.length > 0);
    const meeting = ownMeeting();
    const made = create({
      ...blankFields(calendar.id, from!, until!),
      title: peopleWords.meetingWith(and(guests.map(({ name }) => name.split(' ')[0]!))),
      attendees: guests.map((person) => guestOf(person, true)),
      conferences: [meeting],
    });
    if (!made) return;
    window.open(meeting.uri, '_blank', 'noopener');
    router.navigate({ pathname: '/', params: { view: 'day' } });
  };
}
