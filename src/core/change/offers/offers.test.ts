import { context, eventsIn, person, stateWith } from '../../../../testing/samples';
import { applyPatch } from '@/core/change/patch';
import type { State } from '@/core/model/state';
import { slotsWithin } from '@/core/people/freeTimes/slots';
import { MINUTE } from '@/core/time/civil';
import { bookChosen, endOffer, makeOffer, offerSent, renewOffer, takeChosen } from './offerChanges';

const AT = context();
const HOUR = 60 * MINUTE;
const NINE = Date.UTC(2027, 2, 10, 9);
const salma = person('Salma Wray', { id: 'salma', addresses: ['salma.wray@fennick.example'] });
const wording = () => ({ subject: 'Boat plans', text: 'Come' });
const base: State = { ...stateWith(), people: new Map([[salma.id, salma]]) };
const fields = {
  title: 'Boat plans',
  calendarId: 'meetings',
  zone: 'America/Halifax',
  expires: NINE + 48 * HOUR,
  address: { token: 't'.repeat(32), key: 'k'.repeat(32), since: 0 },
  times: [NINE + 5 * HOUR, NINE].map((start) => ({ start, end: start + HOUR })),
  isHeld: true,
};
const offered = (more: Partial<typeof fields> = {}): State =>
  applyPatch(base, makeOffer(base, { ...fields, ...more }, AT));
const idOf = (state: State): string => [...state.offers.keys()][0]!;
const chosen = { start: NINE, name: 'Salma', address: 'salma.wray@fennick.example', at: 0 };
const titles = (state: State) => eventsIn(state).map(({ title, availability }) => [title, availability]);

test('offered times are held as tentative, one each, or not at all', () => {
  expect(titles(offered())).toEqual([
    ['Boat plans', 'tentative'],
    ['Boat plans', 'tentative'],
  ]);
  expect(titles(offered({ isHeld: false }))).toEqual([]);
});

test('the one that is chosen is entered with its guest, and the others are let go', () => {
  const before = offered();
  const taken = takeChosen(before, idOf(before), chosen, AT)!;
  const after = applyPatch(before, taken.patch);
  expect(titles(after)).toEqual([['Boat plans', 'busy']]);
  const [event] = after.entries.values();
  expect(event!.attendees).toMatchObject([
    {
      address: 'mailto:salma.wray@fennick.example',
      parameters: { cn: 'Salma Wray', role: 'REQ-PARTICIPANT' },
    },
  ]);
  expect(after.bin.size).toBe(1);
  expect(takeChosen(after, idOf(after), chosen, AT)).toBeUndefined();
  expect(takeChosen(before, idOf(before), { ...chosen, start: NINE + 1 }, AT)).toBeUndefined();
});

test('without holds it is entered all the same; what somebody made of a hold is not touched', () => {
  const plain = offered({ isHeld: false });
  expect(titles(applyPatch(plain, takeChosen(plain, idOf(plain), chosen, AT)!.patch))).toEqual([
    ['Boat plans', 'busy'],
  ]);
  const before = offered();
  const entries = new Map(
    [...before.entries].map(([id, entry]) => [
      id,
      { ...entry, title: 'Mine now', availability: 'busy' as const },
    ]),
  );
  const other = { ...before, entries };
  const after = applyPatch(other, takeChosen(other, idOf(other), chosen, AT)!.patch);
  expect(titles(after)).toEqual([
    ['Mine now', 'busy'],
    ['Mine now', 'busy'],
    ['Boat plans', 'busy'],
  ]);
});

test('who chose is invited, by an own address; without one it is entered alone', () => {
  const before = offered();
  const alone = applyPatch(before, bookChosen(before, idOf(before), chosen, wording, AT)!);
  expect(alone.letters.size).toBe(0);
  const settings = before.settings.get('settings')!;
  const own = {
    ...settings,
    addresses: { email: 'juna.marsh@fennick.example', name: 'Juna Marsh' },
  } as typeof settings;
  const withAddress = { ...before, settings: new Map([['settings', own]]) };
  const after = applyPatch(withAddress, bookChosen(withAddress, idOf(before), chosen, wording, AT)!);
  expect([...after.letters.values()]).toMatchObject([
    { direction: 'out', method: 'REQUEST', to: ['salma.wray@fennick.example'] },
  ]);
});

test('an offer that ends lets go of what it held', () => {
  const before = offered();
  const after = applyPatch(before, endOffer(before, idOf(before), AT)!);
  expect(titles(after)).toEqual([]);
  expect(after.offers.size).toBe(0);
  expect(after.withdrawals.get(fields.address.token)).toMatchObject({ kind: 'offers' });
});

test('times of a length are cut from free ones, on quarters of an hour', () => {
  const minutes = (from: number, until: number) => ({
    start: NINE + from * MINUTE,
    end: NINE + until * MINUTE,
  });
  expect(slotsWithin([minutes(5, 130)], 30)).toEqual([minutes(15, 45), minutes(45, 75), minutes(75, 105)]);
  expect(slotsWithin([minutes(0, 130)], 50)).toEqual([minutes(0, 50), minutes(60, 110)]);
  expect(slotsWithin([minutes(0, 20)], 30)).toEqual([]);
});

test('one that was taken back and is there again is handed over at another address', () => {
  const before = offered();
  const sent = applyPatch(before, offerSent(before, idOf(before), AT)!);
  expect(sent.offers.get(idOf(sent))!.isSent).toBe(true);
  let made = 0;
  const again = applyPatch(
    sent,
    renewOffer(sent, idOf(sent), () => `${++made}`.padStart(22, 's'), AT)!,
  );
  const offer = again.offers.get(idOf(again))!;
  expect(offer.isSent).toBeUndefined();
  expect(offer.address.token).not.toBe(fields.address.token);
});
