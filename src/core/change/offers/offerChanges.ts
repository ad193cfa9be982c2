import { type CalendarEvent, type Entry, isEvent } from '../../model/entry';
import { type ChosenTime, type Offer, Offer as OfferSchema, type OfferedTime } from '../../model/offer';
import type { State } from '../../model/state';
import { guestOf } from '../../people/guests';
import { personOfAddress } from '../../people/peopleInOrder';
import { zonedAt } from '../../time/eventTime';
import { toBin } from '../binChanges';
import { blankFields, createEvent, withFields } from '../eventFields';
import type { Wording } from '../invitations/letters';
import { tellGuests } from '../invitations/tellGuests';
import { applyPatch, type ChangeContext, makePatch, type Patch, put } from '../patch';
import { UnitOfWork } from '../unitOfWork';
import { touched } from '../versions';
import { withdrawal } from '../withdrawals';

/** What a person says of an offer. */
export interface OfferFields extends Pick<Offer, 'title' | 'calendarId' | 'zone' | 'expires' | 'address'> {
  readonly times: readonly Pick<OfferedTime, 'start' | 'end'>[];
  /** Whether each time is held meanwhile by a tentative entry. */
  readonly isHeld: boolean;
}

/** Offers times to choose one of, and holds them where that is wanted. Its times are kept by their starts. */
export function makeOffer(state: State, fields: OfferFields, context: ChangeContext): Patch {
  const { times, isHeld, ...said } = fields;
  const held = [...times]
    .sort((a, b) => a.start - b.start)
    .map(({ start, end }): { time: OfferedTime; event?: CalendarEvent } => {
      if (!isHeld) return { time: { start, end } };
      const blank = blankFields(said.calendarId, zonedAt(start, context.zone), zonedAt(end, context.zone));
      const event = createEvent({ ...blank, title: said.title, availability: 'tentative' }, context);
      return { time: { start, end, entryId: event.id }, event };
    });
  const offer = OfferSchema.parse({
    ...said,
    id: context.newId(),
    times: held.map(({ time }) => time),
    made: context.now,
  });
  return makePatch(context, { what: 'offer-made', count: times.length, name: offer.title }, [
    put(state, 'offers', offer),
    ...held.flatMap(({ event }) => (event ? [put(state, 'entries', event)] : [])),
  ]);
}

/** Puts the entries that hold the times of an offer in the bin, but for one: as far as nobody made anything else of them. */
function letHeldGo(
  state: State,
  work: UnitOfWork,
  offer: Offer,
  context: ChangeContext,
  kept?: string,
): void {
  for (const { entryId } of offer.times) {
    const entry = entryId === undefined || entryId === kept ? undefined : state.entries.get(entryId);
    if (entry && isHold(entry, offer)) work.add(toBin(state, entry, context));
  }
}

const isHold = (entry: Entry, offer: Offer): entry is CalendarEvent =>
  isEvent(entry) &&
  entry.availability === 'tentative' &&
  entry.title === offer.title &&
  !entry.attendees?.length;

/** The offer is over: what was held is let go. Undefined where it is not there. */
export function endOffer(state: State, id: string, context: ChangeContext): Patch | undefined {
  const offer = state.offers.get(id);
  if (!offer) return undefined;
  const work = new UnitOfWork(state, context);
  letHeldGo(state, work, offer, context);
  work.remove('offers', offer.id);
  work.add([withdrawal(state, offer.address, 'offers')]);
  return work.patch({ what: 'offer-ended', count: 1, name: offer.title });
}

/**
 * One of the times was chosen: it is entered, with who chose it as a guest who has to come, and what else was held is let go.
 * Undefined for an offer of which one was chosen before, and for a time that was not offered.
 * @returns the patch, and the UID of the entry, whose guest is to be told
 */
export function takeChosen(
  state: State,
  id: string,
  chosen: ChosenTime,
  context: ChangeContext,
): { readonly patch: Patch; readonly uid: string } | undefined {
  const offer = state.offers.get(id);
  const time = offer?.times.find(({ start }) => start === chosen.start);
  if (!offer || !time || offer.chosen || !state.calendars.has(offer.calendarId)) return undefined;
  const person = personOfAddress(state.people.values(), chosen.address);
  const guest = guestOf(
    { kind: 'colleague', name: person?.name ?? chosen.name, addresses: [chosen.address] },
    true,
  );
  const hold = time.entryId === undefined ? undefined : state.entries.get(time.entryId);
  const [start, end] = [time.start, time.end].map((instant) => zonedAt(instant, context.zone));
  const work = new UnitOfWork(state, context);
  const kept = hold !== undefined && isHold(hold, offer) ? hold : undefined;
  const fields = { start: start!, end: end!, availability: 'busy' as const, attendees: [guest] };
  const event = kept
    ? touched(withFields(kept, fields), context)
    : createEvent({ ...blankFields(offer.calendarId, start!, end!), ...fields, title: offer.title }, context);
  work.put('entries', event);
  letHeldGo(state, work, offer, context, event.id);
  work.put('offers', { ...offer, chosen });
  return {
    uid: event.uid,
    patch: work.patch({ what: 'offer-chosen', count: 1, name: offer.title, by: chosen.name }),
  };
}

/**
 * What `takeChosen` does, with the invitation that goes to who chose: whoever offered has asked for that. Without an address of one's
 * own it is entered alone.
 */
export function bookChosen(
  state: State,
  id: string,
  chosen: ChosenTime,
  wording: Wording,
  context: ChangeContext,
): Patch | undefined {
  const taken = takeChosen(state, id, chosen, context);
  if (!taken) return undefined;
  const entered = applyPatch(state, taken.patch);
  const told = tellGuests(entered, taken.uid, { audience: 'all', comment: '' }, wording, context);
  const work = new UnitOfWork(state, context);
  work.add(taken.patch.changes);
  work.add(told?.changes ?? []);
  return work.patch(taken.patch.summary);
}

/** Gives an offer another address, to be handed over anew. */
export function renewOffer(
  state: State,
  id: string,
  newSecret: () => string,
  context: ChangeContext,
): Patch | undefined {
  const offer = state.offers.get(id);
  if (!offer) return undefined;
  const { isSent: _, ...rest } = offer;
  const address = { token: newSecret(), key: newSecret(), since: context.now };
  return makePatch(context, { what: 'offer-made', count: offer.times.length, name: offer.title }, [
    put(state, 'offers', { ...rest, address }),
  ]);
}

/** The server has the offer. */
export function offerSent(state: State, id: string, context: ChangeContext): Patch | undefined {
  const offer = state.offers.get(id);
  if (!offer || offer.isSent) return undefined;
  return makePatch(context, { what: 'offer-made', count: offer.times.length, name: offer.title }, [
    put(state, 'offers', { ...offer, isSent: true }),
  ]);
}
