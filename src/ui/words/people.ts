import type { StateNow } from '@/core/people/busy/stateNow';
import type { GapReason, MeetingWay } from '@/core/people/gaps/gapQuery';
import { plural } from './plural';

/** How the reasons of a proposal are written: names, and clocks. */
export interface GapFormats {
  readonly name: (id: string) => string;
  /** Whose something is: theirs, or the person's own. */
  readonly whose: (id: string) => string;
  readonly place: (id: string) => string;
  readonly clock: (minute: number) => string;
}

/** Names in a row, with an “and” before the last. */
export const and = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)!}`;

const count = (number: number): string =>
  ['none', 'one', 'two', 'three', 'four', 'five', 'six'][number] ?? String(number);

/** Why a proposal is a good one, or what speaks against it. */
export function reasonText(reason: GapReason, { name, whose, place, clock }: GapFormats): string {
  const names = 'ids' in reason ? and(reason.ids.map(name)) : '';
  switch (reason.kind) {
    case 'all-free':
      return reason.count === 1
        ? 'you are free'
        : reason.count === 2
          ? 'both free'
          : `all ${count(reason.count)} free`;
    case 'missing':
      return `without ${names}`;
    case 'optional-missing':
      return `${names} can’t come, and need not`;
    case 'tentative':
      return `over something tentative (${names})`;
    case 'unknown':
      return `not known of ${names}`;
    case 'lunch-lost':
      return `no lunch for ${names}`;
    case 'lunch-kept':
      return 'nobody loses their lunch';
    case 'their-clock':
      return `${name(reason.id)} ${clock(reason.minute)}${reason.days === 0 ? '' : reason.days > 0 ? ' the next day' : ' the day before'} in ${place(reason.id)}`;
    case 'after-away':
      return `after ${whose(reason.id)} time away`;
    case 'in-person':
      return `all in ${reason.place}`;
    case 'online':
      return reason.place === '' ? 'online' : `online: ${names} not in ${reason.place}`;
    case 'room':
      return `${name(reason.id)} has ${plural(reason.seats, 'seat')}`;
    case 'no-room':
      return 'no room is free';
    case 'stretches-kept':
      return 'no long stretch is cut';
  }
}

/** The words of People: they come with the place. */
export const peopleWords = {
  title: 'People',
  find: 'Name, role, place or group',
  findLabel: 'Find somebody',
  add: 'Add somebody',
  none: 'Nobody is here yet. Take over the office’s directory, open a file of cards, or add somebody.',
  noneFound: 'Nobody is called that.',
  colleagues: 'Colleagues',
  rooms: 'Rooms',
  kinds: { colleague: 'Colleague', room: 'Room' },
  directory: 'Take over the directory',
  directoryAbout:
    'The directory is a made-up stand-in that ships with the server: its people and their times are invented.',
  openCards: 'Open cards (.vcf)',
  saveCards: 'Save cards',
  cardsName: 'people.vcf',
  taken: (added: number, merged: number) =>
    `${plural(added, 'new one', 'new ones')}, ${plural(merged, 'one filled up', 'filled up')}`,
  nothingNew: 'Nothing new: all of them are here already.',
  unreadable: (many: number) => `${plural(many, 'line', 'lines')} could not be read`,
  away: 'The directory is out of reach. What was read before is shown.',
  select: (name: string) => `Choose ${name}`,
  findTime: (many: number) => (many === 0 ? 'Find a time' : `Find a time with ${many}`),
  chooseSome: 'Choose who is to be there.',
  merge: (many: number) => `Make ${many} one`,
  remove: 'Take out',
  edit: 'Change',
  close: 'Close',
  save: 'Save',
  fields: {
    name: 'Name',
    kind: 'Kind',
    addresses: 'E-mail addresses',
    addressesHint: 'One after the other, with commas; the first is the one that is written to.',
    role: 'Role',
    place: 'Place',
    zone: 'Time zone',
    noZone: 'As mine',
    groups: 'Groups',
    groupsHint: 'With commas between them.',
    seats: 'Seats',
    equipment: 'Equipment',
    notes: 'Notes',
  },
  problems: {
    name: 'A name is missing.',
    address: (text: string) => `“${text}” is no address.`,
    seats: 'Seats are a whole number.',
  },
  newTitle: 'Somebody new',
  editTitle: (name: string) => `Change ${name}`,
  theirTime: (time: string, place: string) => `${time} in ${place}`,
  depths: {
    busy: 'Lets you see when they are busy',
    titles: 'Lets you see what they are at',
    everything: 'Lets you see everything',
  },
  readAt: (when: string) => `read ${when}`,
  notRead: 'Busy times are not known.',
  answersAfter: (length: string, isLate: boolean) =>
    isLate ? `Answers late, after ${length} as a rule` : `Answers after ${length} as a rule`,
  silentTo: (count: number) => plural(count, 'invitation without an answer', 'invitations without an answer'),
  next: 'Next with them',
  last: 'Last with them',
  nothingWith: 'Nothing with them.',
  today: 'Today',
  findTitle: 'Find a time',
  showInPlan: 'Show in Plan',
  with: 'With',
  optional: (name: string) => `${name} need not come`,
  required: (name: string) => `${name} has to come`,
  informed: (name: string) => `${name} is told of it`,
  takeOut: (name: string) => `Leave ${name} out`,
  length: 'How long',
  when: 'Within',
  repeats: 'How often',
  every: { 0: 'Once', 1: 'Each week', 2: 'Every other week' } as Readonly<Record<0 | 1 | 2, string>>,
  firstDate: (day: string) => `from ${day}`,
  suitsDates: (suits: number, dates: number) =>
    suits === dates ? `suits all of the next ${dates}` : `suits ${suits} of the next ${dates}`,
  exception: (day: string, names: string) =>
    names === '' ? `not on ${day}: a day off` : `not on ${day}: without ${names}`,
  unknownDates: (count: number) => `not known yet of ${plural(count, 'date')}`,
  earliest: 'Not before',
  latest: 'Not after',
  anyTime: 'Any time',
  weeks: { '1': 'A week', '2': 'Two weeks', '4': 'Four weeks' },
  way: 'How',
  ways: { either: 'As it fits', 'in-person': 'In person', online: 'Online' } satisfies Record<
    MeetingWay,
    string
  >,
  also: 'With',
  switches: { pause: 'A break around it', tentative: 'Also over tentative', room: 'A room' },
  proposals: 'Times that suit',
  looking: 'Looking for a time …',
  failed: 'A time could not be looked for just now.',
  retry: 'Try again',
  noneSuits: 'No time suits all of them. Try more weeks, a shorter time, or fewer who have to come.',
  cursor: 'Another time over the lanes',
  cursorHint: 'Press or drag over the lanes for another time; it is said who is in its way.',
  suitsAll: 'Everybody can come then.',
  hindered: (name: string, state: string) => `${name}: ${state}`,
  findFor: (title: string) => `A time for “${title}”`,
  findAnother: 'Find a time',
  moveThere: 'Move it there',
  invite: 'Invite …',
  inviteLabel: (when: string) => `Invite them at this time: ${when}`,
  meetingWith: (names: string) => `Meeting with ${names}`,
  take: 'Take this time',
  takeLabel: (when: string) => `Take this time: ${when}`,
  best: 'best',
  days: 'How well days suit',
  dayFit: (day: string, share: number) =>
    share <= 0 ? `${day}: nothing fits` : `${day}: ${Math.round(share * 100)} % of the day is open`,
  laneLabel: (name: string, parts: readonly string[]) =>
    `${name}: ${parts.length > 0 ? parts.join(', ') : 'nothing is taken'}`,
  you: 'You',
  yourself: 'you',
  yours: 'your',
  theirs: (name: string) => `${name}’s`,
  busyKinds: { busy: 'busy', tentative: 'tentative', away: 'away' },
  unknown: 'not known',
  stateNow: ({ kind, title }: StateNow, until: string): string => {
    const what =
      title ??
      {
        busy: 'Busy',
        tentative: 'Tentative',
        away: 'Away',
        free: 'Free',
        'not-working': 'Not at work',
        unknown: '',
      }[kind];
    return until === '' ? what : `${what} until ${until}`;
  },
  freeTimes: {
    open: 'My free times as text',
    title: 'My free times',
    days: 'Days',
    nextDays: (count: number) => `The next ${plural(count, 'day')}`,
    atLeast: 'At least',
    zone: 'On the clock of',
    overTentative: 'Also what is tentative',
    none: 'Nothing is free then. Try more days, or shorter times.',
    asText: 'As text',
    text: (lines: readonly string[], city: string) =>
      lines.length === 0 ? '' : `I am free (times in ${city}):\n${lines.join('\n')}`,
    copy: 'Copy',
    copied: 'Copied.',
    subject: 'When I am free',
    send: (count: number) => `Send to ${count}`,
    sent: (count: number) => `On the way to ${count}`,
  },
  guests: {
    title: 'People',
    add: 'Add somebody',
    notSent: 'Nothing goes out before you say so: you are asked when the entry is kept.',
    typed: (text: string) => `Add ${text}`,
    remove: (name: string) => `Leave ${name} out`,
    optional: 'need not come',
    required: 'has to come',
    answers: {
      'NEEDS-ACTION': 'no answer yet',
      ACCEPTED: 'yes',
      DECLINED: 'no',
      TENTATIVE: 'perhaps',
      DELEGATED: 'handed on',
    } as Readonly<Record<string, string>>,
  },
} as const;
