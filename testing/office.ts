import { series, stateWith } from './samples';
import type { CalendarUser } from '@/core/model/calendarUser';
import type { CalendarEvent } from '@/core/model/entry';
import type { Letter } from '@/core/model/invitation';
import type { State } from '@/core/model/state';
import type { Audience } from '@/core/people/invitations/telling';
import { entriesOfUid } from '@/core/change/invitations/entriesOfUid';
import { receiveLetter } from '@/core/change/invitations/receiveLetter';
import { tellGuests } from '@/core/change/invitations/tellGuests';
import { applyPatch, type ChangeContext, type Patch } from '@/core/change/patch';
import { UnitOfWork } from '@/core/change/unitOfWork';

export const JUNA = 'juna.marsh@fennick.example';
export const SALMA = 'salma.wray@fennick.example';
export const TOBIAS = 'tobias.rask@fennick.example';
export const UID = 'round@fennick.example';

let ids = 0;
let clock = Date.UTC(2027, 1, 1, 12);
export const officeContext = (): ChangeContext => ({
  now: (clock += 1000),
  newId: () => `id-${++ids}`,
  zone: 'Europe/Lisbon',
});
export const wording = () => ({ subject: 'Works round', text: 'Works round' });
export const guest = (address: string): CalendarUser => ({
  address: `mailto:${address}`,
  parameters: { role: 'REQ-PARTICIPANT', partstat: 'NEEDS-ACTION', rsvp: 'TRUE' },
});

/** Somebody's calendar, with the letters that wait to go out of it. */
export class Office {
  state: State;
  constructor(
    readonly address: string,
    ...events: CalendarEvent[]
  ) {
    const state = stateWith(...events);
    const settings = state.settings.get('settings')!;
    this.state = {
      ...state,
      settings: new Map([
        ['settings', { ...settings, addresses: { email: address, phone: '', name: address } }],
      ]),
    };
  }
  do(patch: Patch | undefined): boolean {
    if (patch) this.state = applyPatch(this.state, patch);
    return patch !== undefined;
  }
  /** Takes the letters that wait to go out. */
  posted(): Letter[] {
    const out = [...this.state.letters.values()].filter(({ direction }) => direction === 'out');
    this.state = {
      ...this.state,
      letters: new Map([...this.state.letters].filter(([, { direction }]) => direction === 'in')),
    };
    return out;
  }
  receive({ id, from, subject, text, calendar }: Letter) {
    const received = receiveLetter(this.state, { id, from, subject, text, calendar }, officeContext());
    this.do(received.patch);
    return received;
  }
  get events(): CalendarEvent[] {
    return entriesOfUid(this.state, UID);
  }
  put(...events: CalendarEvent[]): void {
    const work = new UnitOfWork(this.state, officeContext());
    for (const each of events) work.put('entries', each);
    this.do(work.patch({ what: 'entry-changed', count: 1 }));
  }
  remove(...events: CalendarEvent[]): void {
    const work = new UnitOfWork(this.state, officeContext());
    for (const each of events) work.remove('entries', each.id);
    this.do(work.patch({ what: 'entries-binned', count: 1 }));
  }
  tell(audience: Audience = 'all'): boolean {
    return this.do(tellGuests(this.state, UID, { audience, comment: '' }, wording, officeContext()));
  }
}

export const round = (guests: CalendarUser[] = [guest(SALMA), guest(TOBIAS)]): CalendarEvent =>
  series('FREQ=WEEKLY;COUNT=6', { id: 'round', uid: UID, title: 'Works round', attendees: guests });

/** Carries all letters that wait, to whom they are addressed. */
export function carry(...offices: Office[]): void {
  for (let again = true; again;) {
    again = false;
    for (const office of offices)
      for (const letter of office.posted())
        for (const other of offices)
          if (letter.to.includes(other.address)) {
            other.receive(letter);
            again = true;
          }
  }
}
