import {
  calendar,
  context,
  date,
  event,
  person,
  series,
  stateWith,
  zoned,
} from '../../../../testing/samples';
import { applyPatch } from '@/core/change/patch';
import {
  renewAddress,
  saveShare,
  settleAddresses,
  type ShareFields,
} from '@/core/change/sharing/shareChanges';
import { takeHandIn } from '@/core/change/sharing/takeHandIn';
import { seenUid } from '@/core/interchange/published/publishedEvents';
import type { CalendarEvent } from '@/core/model/entry';
import type { HandIn } from '@/core/model/handIn';
import { groupShareId } from '@/core/model/share';
import type { State } from '@/core/model/state';
import { wallToInstant } from '@/core/time/zones';
import { parseLocal } from '@/core/time/civil';
import { accessOf } from './access';
import { allowedIn, sharedParts } from './sharedParts';

const tobias = person('Tobias Rask', { id: 'tobias', groups: ['Survey', 'Office'] });
const salma = person('Salma Wray', { id: 'salma', groups: [] });
const FENNICK = 'Europe/Lisbon';

const withPeople = (...events: CalendarEvent[]): State => {
  const state = stateWith(...events);
  return {
    ...state,
    people: new Map([tobias, salma].map((each) => [each.id, each])),
    calendars: new Map([
      ...state.calendars,
      ['feed', calendar({ id: 'feed', name: 'Keeper rota', mark: 'KR', order: 3, readOnly: true })],
    ]),
  };
};
const shared = (state: State, id: string, fields: Partial<ShareFields>): State =>
  applyPatch(state, saveShare(state, id, id, { depths: {}, mayChange: [], ...fields }, context()));
const seen = (state: State, who = tobias) =>
  [...accessOf(state, who).calendars].map(([id, { depth, mayChange }]) => [id, depth, mayChange]);

describe('what somebody may see', () => {
  test('nothing, before anything is said', () => {
    expect(seen(withPeople())).toEqual([]);
  });

  test('of several groups the one that lets them see most counts; what is said of them alone goes before', () => {
    let state = shared(withPeople(), groupShareId('Survey'), {
      depths: { meetings: 'busy', desk: 'titles' },
    });
    state = shared(state, groupShareId('Office'), {
      depths: { meetings: 'titles' },
      mayChange: ['meetings'],
    });
    expect(seen(state)).toEqual([
      ['meetings', 'titles', true],
      ['desk', 'titles', false],
    ]);
    expect(seen(state, salma)).toEqual([]);
    state = shared(state, tobias.id, { depths: { meetings: 'nothing', desk: 'everything' } });
    expect(seen(state)).toEqual([['desk', 'everything', false]]);
  });

  test('who sees only taken time can change nothing, and nobody changes what can’t be changed here', () => {
    const state = shared(withPeople(), tobias.id, {
      depths: { meetings: 'busy', feed: 'everything' },
      mayChange: ['meetings', 'feed'],
    });
    expect(seen(state)).toEqual([
      ['meetings', 'busy', false],
      ['feed', 'everything', false],
    ]);
  });

  test('who acts for one sees all; one at a time does', () => {
    let state = shared(withPeople(), tobias.id, { acting: 'all' });
    expect(seen(state)).toEqual([
      ['meetings', 'everything', true],
      ['desk', 'everything', true],
      ['feed', 'everything', false],
    ]);
    expect(accessOf(state, tobias).withPrivate).toBe(true);
    state = shared(state, salma.id, { acting: 'open' });
    expect(accessOf(state, salma).withPrivate).toBe(false);
    expect(seen(state)).toEqual([]);
  });
});

describe('addresses', () => {
  let made = 0;
  const secret = () => String(++made).padStart(22, 's');
  const settled = (state: State): State => {
    const patch = settleAddresses(state, secret, context());
    return patch ? applyPatch(state, patch) : state;
  };

  test('each who sees something has one of their own, who joins a group, too; who sees nothing has none', () => {
    let state = settled(shared(withPeople(), groupShareId('Survey'), { depths: { meetings: 'busy' } }));
    const first = state.shares.get(tobias.id)!.address!;
    expect(state.shares.has(salma.id)).toBe(false);
    expect(settleAddresses(state, secret, context())).toBeUndefined();
    state = settled({
      ...state,
      people: new Map(state.people).set(salma.id, { ...salma, groups: ['Survey'] }),
    });
    expect(state.shares.get(salma.id)!.address!.token).not.toBe(first.token);
    expect(state.shares.get(tobias.id)!.address).toEqual(first);
    state = settled(shared(state, groupShareId('Survey'), {}));
    expect([...state.shares.keys()]).toEqual([]);
    // What is served no more is taken off the server, whenever that is in reach.
    expect(state.withdrawals.get(first.token)).toEqual({
      id: first.token,
      key: first.key,
      kind: 'published',
    });
    expect(state.withdrawals.size).toBe(2);
  });

  test('it can be made anew, and goes with its owner', () => {
    let state = settled(shared(withPeople(), tobias.id, { depths: { meetings: 'busy' } }));
    const { token } = state.shares.get(tobias.id)!.address!;
    state = applyPatch(state, renewAddress(state, tobias.id, 'Tobias Rask', secret, context())!);
    expect([...state.withdrawals.keys()]).toEqual([token]);
    expect(state.shares.get(tobias.id)!.address!.token).not.toBe(token);
    expect(renewAddress(state, salma.id, 'Salma Wray', secret, context())).toBeUndefined();
    const people = new Map(state.people);
    people.delete(tobias.id);
    const gone = settled({ ...state, people });
    expect(gone.shares.get(tobias.id)).toEqual({
      id: tobias.id,
      depths: { meetings: 'busy' },
      mayChange: [],
    });
    expect(gone.withdrawals.size).toBe(2);
    // Taken back, he sees what he saw, at an address of its own.
    const back = settled({ ...gone, people: state.people });
    expect(gone.withdrawals.has(back.shares.get(tobias.id)!.address!.token)).toBe(false);
    expect(seen(back)).toEqual([['meetings', 'busy', false]]);
  });
});

describe('a calendar’s parts', () => {
  test('a date that went to another calendar stands there alone, and not in its series', () => {
    const weekly = series('FREQ=WEEKLY;COUNT=3', { id: 'weekly' });
    const moved = event({
      id: 'moved',
      seriesId: 'weekly',
      recurrenceId: zoned('2027-03-16T14:00'),
      calendarId: 'desk',
    });
    const state = shared(withPeople(weekly, moved), tobias.id, {
      depths: { meetings: 'titles', desk: 'busy' },
    });
    const parts = sharedParts(state, accessOf(state, tobias));
    expect(parts.map(({ events, elsewhere, level }) => [events, elsewhere, level])).toEqual([
      [[weekly], [moved], 'titles'],
      [[moved], [], 'busy'],
    ]);
    expect(allowedIn(state, accessOf(state, tobias))).toBeUndefined();
    const open = shared(state, tobias.id, { depths: { meetings: 'titles' }, mayChange: ['meetings'] });
    expect(allowedIn(open, accessOf(open, tobias))).toEqual({
      calendars: [{ id: 'meetings', name: 'Meetings' }],
      changeable: [seenUid(weekly, 'titles')],
    });
  });
});

describe('what somebody hands in', () => {
  const round = event({ id: 'round', title: 'Works round', calendarId: 'meetings' });
  const weekly = series('FREQ=WEEKLY;COUNT=4', { id: 'weekly', title: 'Rota call', calendarId: 'meetings' });
  const dentist = event({ id: 'dentist', title: 'Dentist', classification: 'private' });
  const mine = event({ id: 'mine', title: 'Orders', calendarId: 'desk' });
  const base = shared(withPeople(round, weekly, dentist, mine), tobias.id, {
    depths: { meetings: 'titles', desk: 'titles' },
    mayChange: ['meetings'],
  });
  const at = (local: string) => wallToInstant(FENNICK, parseLocal(`${local}:00`));
  const entry = { title: 'Lens survey', date: '2027-03-11', from: '10:00', until: '11:30', place: 'Skerry' };
  const add: HandIn = { id: 'one', at: 0, kind: 'add', calendarId: 'meetings', entry };
  const take = (state: State, handIn: HandIn) => {
    const taken = takeHandIn(state, tobias, handIn, context());
    return { taken, after: taken ? applyPatch(state, taken.patch) : state };
  };
  const refusalOf = (handIn: HandIn, state = base) => {
    const { taken, after } = take(state, handIn);
    expect(after.entries).toEqual(state.entries);
    return taken && 'refused' in taken ? taken.refused : undefined;
  };
  const targetOf = (head: CalendarEvent, start: number) => ({ uid: seenUid(head, 'titles'), start });

  test('an entry is added, once', () => {
    const { taken, after } = take(base, add);
    const made = [...after.entries.values()].find(({ title }) => title === 'Lens survey');
    expect(made).toMatchObject({
      calendarId: 'meetings',
      location: 'Skerry',
      start: zoned('2027-03-11T10:00'),
      end: zoned('2027-03-11T11:30'),
    });
    expect(taken!.patch.summary).toMatchObject({ what: 'handed-in-added', by: 'Tobias Rask' });
    expect(takeHandIn(after, tobias, add, context())).toBeUndefined();
  });

  test('without hours it takes the day; over midnight it ends on the next', () => {
    const { from: _, until: __, ...whole } = entry;
    const { after } = take(base, { ...add, entry: whole });
    expect([...after.entries.values()].at(-1)).toMatchObject({
      start: date('2027-03-11'),
      end: date('2027-03-12'),
    });
    const night = take(base, { ...add, entry: { ...entry, from: '22:00', until: '01:00' } }).after;
    expect([...night.entries.values()].at(-1)).toMatchObject({ end: zoned('2027-03-12T01:00') });
  });

  test('one date of a series is changed, and only that', () => {
    const target = targetOf(weekly, at('2027-03-16T14:00'));
    const { after } = take(base, { id: 'two', at: 0, kind: 'change', target, entry });
    const changed = [...after.entries.values()].filter(({ seriesId }) => seriesId === 'weekly');
    expect(changed).toMatchObject([{ title: 'Lens survey', start: zoned('2027-03-11T10:00') }]);
    expect(after.entries.get('weekly')!.title).toBe('Rota call');
  });

  test('an entry keeps its own clock where it is kept on another', () => {
    const abroad = {
      ...round,
      start: zoned('2027-03-09T15:00', 'Europe/Oslo'),
      end: zoned('2027-03-09T16:00', 'Europe/Oslo'),
    };
    const state = { ...base, entries: new Map(base.entries).set('round', abroad) };
    const target = targetOf(round, at('2027-03-09T14:00'));
    const { after } = take(state, { id: 'two', at: 0, kind: 'change', target, entry });
    expect(after.entries.get('round')!.start).toEqual(zoned('2027-03-11T11:00', 'Europe/Oslo'));
  });

  test('an entry is taken out: it is in the bin', () => {
    const target = targetOf(round, at('2027-03-09T14:00'));
    const { after } = take(base, { id: 'three', at: 0, kind: 'remove', target });
    expect(after.entries.has('round')).toBe(false);
    expect(after.bin.get('round')!.entry.title).toBe('Works round');
  });

  test('what may not be done is not done, and said', () => {
    const change = (target: { uid: string; start: number }): HandIn => ({
      id: 'x',
      at: 0,
      kind: 'change',
      target,
      entry,
    });
    expect(refusalOf({ ...add, calendarId: 'desk' })).toBe('not-allowed');
    expect(refusalOf({ ...add, calendarId: 'gone' })).toBe('not-allowed');
    expect(refusalOf(add, shared(base, tobias.id, {}))).toBe('not-allowed');
    // Nobody changes what they do not see, see as taken time alone, or see under another name.
    for (const event of [mine, dentist])
      expect(refusalOf(change(targetOf(event, at('2027-03-09T14:00'))))).toBe('changed-meanwhile');
    expect(refusalOf(change({ uid: round.uid, start: at('2027-03-09T14:00') }))).toBe('changed-meanwhile');
    expect(refusalOf(change(targetOf(round, at('2027-03-09T15:00'))))).toBe('changed-meanwhile');
    const { taken, after } = take(base, { ...add, calendarId: 'desk' });
    expect(taken).toMatchObject({ refused: 'not-allowed' });
    expect(takeHandIn(after, tobias, { ...add, calendarId: 'desk' }, context())).toBeUndefined();
  });

  test('a date that is private, or went to another calendar, is not changed by way of its series', () => {
    const target = targetOf(weekly, at('2027-03-16T14:00'));
    const exception = event({
      id: 'exception',
      seriesId: 'weekly',
      uid: weekly.uid,
      recurrenceId: zoned('2027-03-16T14:00'),
      start: zoned('2027-03-16T14:00'),
      end: zoned('2027-03-16T15:00'),
    });
    for (const fields of [{ classification: 'private' as const }, { calendarId: 'desk' }]) {
      const entries = new Map(base.entries).set('exception', { ...exception, ...fields });
      expect(refusalOf({ id: 'x', at: 0, kind: 'change', target, entry }, { ...base, entries })).toBe(
        'changed-meanwhile',
      );
    }
  });

  test('who acts with private entries changes these, too', () => {
    const state = shared(base, tobias.id, { acting: 'all' });
    const target = { uid: dentist.uid, start: at('2027-03-09T14:00') };
    const { after } = take(state, { id: 'four', at: 0, kind: 'change', target, entry });
    expect(after.entries.get('dentist')).toMatchObject({ title: 'Lens survey', classification: 'private' });
  });
});
