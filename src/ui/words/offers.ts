import { plural } from './plural';

/** The words of times that somebody may choose one of. */
export const offerWords = {
  title: 'Let them choose a time',
  about:
    'A page at a secret address, where one of the times is booked with one press: it is entered here, and the invitation goes out by itself.',
  name: 'What it is about',
  firstName: 'Meeting',
  choose: 'Choose some of your free times.',
  chosen: (count: number) => `${plural(count, 'time')} chosen`,
  most: (most: number) => `${most} at the most.`,
  hold: 'Hold them as tentative until one is chosen',
  openFor: 'Open for',
  daysOpen: { '2': 'Two days', '7': 'A week', '14': 'Two weeks' },
  make: 'Make the page',
  noCalendar: 'There is no calendar that it could be entered in.',
  offers: 'Times that you offer',
  until: (when: string) => `until ${when}`,
  notThere: 'The server does not have it yet: it is out of reach.',
  address: 'Secret address',
  open: 'Open',
  letGo: 'Take it back',
  chose: (name: string, when: string) => `${name} chose ${when}.`,
  close: 'Let be',
  over: (title: string) => `Nobody chose a time for “${title}”. What was held is free again.`,
};
