import type { GuestsMay, OwnAnswer } from '@/core/model/entry';
import type { Answer, ItipMethod, WaitsFor } from '@/core/model/invitation';
import type { SharedField } from '@/core/people/invitations/sharedFields';
import { plural } from './plural';

/** What guests may do, in words. */
export const MAY: Readonly<Record<GuestsMay, string>> = {
  change: 'change it',
  invite: 'invite others',
  'see-each-other': 'see each other',
  propose: 'propose other times',
};

/** What was answered to an invitation. */
export const OWN_ANSWER_WORDS: Readonly<Record<OwnAnswer, string>> = {
  'needs-action': 'not answered',
  accepted: 'yes',
  tentative: 'perhaps',
  declined: 'no',
};

/** Answers as they are pressed. */
export const ANSWER_WORDS: Readonly<Record<Answer, string>> = {
  accepted: 'Yes',
  tentative: 'Perhaps',
  declined: 'No',
};

const FIELDS: Readonly<Record<SharedField, string>> = {
  title: 'title',
  start: 'time',
  end: 'time',
  recurrence: 'dates',
  location: 'place',
  notes: 'notes',
  url: 'link',
  status: 'status',
  conferences: 'online meeting',
  priority: 'importance',
  guestsMay: 'what guests may do',
};

const SUBJECTS: Readonly<Record<ItipMethod, (title: string) => string>> = {
  REQUEST: (title) => `Invitation: ${title}`,
  REPLY: (title) => `Answer: ${title}`,
  CANCEL: (title) => `Called off: ${title}`,
  COUNTER: (title) => `Another time: ${title}`,
  DECLINECOUNTER: (title) => `The time stays: ${title}`,
  REFRESH: (title) => `How does it stand? ${title}`,
  ADD: (title) => `A further date: ${title}`,
};

/** The words of invitations: they come with People. */
export const invitationWords = {
  relayAbout:
    'Mail goes through a made-up relay that ships with the server: nothing leaves it, and colleagues answer by themselves.',
  subject: (method: ItipMethod, title: string) => SUBJECTS[method](title),
  letter: (what: string, when: string, where: string, words: string) =>
    [what, when, where, words].filter(Boolean).join('\n'),
  answerLetter: (answer: Answer, words: string) => [ANSWER_WORDS[answer], words].filter(Boolean).join('. '),
  fields: (fields: readonly SharedField[]) => [...new Set(fields.map((field) => FIELDS[field]))].join(', '),
  tell: {
    action: 'Tell the guests …',
    first: 'Invite them …',
    titles: {
      invited: (title: string) => `Invite to “${title}”`,
      changed: (title: string) => `Tell the guests of “${title}”`,
      'called-off': (title: string) => `Call off “${title}”`,
    },
    title: 'Title',
    changed: (what: string) => `New: ${what}.`,
    asked: 'They are asked to answer again.',
    added: (names: string) => `Invited now: ${names}.`,
    removed: (names: string) => `No longer invited: ${names}.`,
    who: 'Whom to tell',
    all: (count: number) => `All ${count}`,
    touched: (names: string) => `Only those whom it touches: ${names}`,
    words: 'Words that go along',
    goesAlong:
      'Title, time, place, notes and link go along. Categories, reminders, files and the calendar stay with you.',
    send: (count: number) => `Send to ${count}`,
    nobody: 'Tell nobody',
    later: 'Later',
    own: 'Your address',
    ownName: 'Your name',
    ownAbout: 'Guests see who invites them, and answer to this address.',
    ownWrong: 'This is no address.',
    untold: 'The guests do not know this yet.',
    untoldFirst: 'Nobody has been invited yet.',
  },
  guests: {
    heardNothing: 'not told yet',
    outdated: (answer: string) => `said ${answer} to an earlier time`,
    opened: 'has seen it',
    delivered: 'has not seen it',
    refused: 'there is no such address',
    said: (answer: string, when: string) => `${answer}, ${when}`,
    remind: (count: number) => `Remind ${count} who ${count === 1 ? 'is' : 'are'} silent`,
    may: 'Guests may',
    theirs: (name: string) => `${name} invites, and chooses who comes.`,
    information: 'for information',
  },
  own: {
    title: 'Your answer',
    from: (name: string) => `${name} invites you`,
    answered: (answer: string) => `You said ${answer}.`,
    again: 'It has changed since you answered:',
    fromTo: (field: string, from: string, to: string) => `${field}: ${from} → ${to}`,
    calledOff: (name: string) => `${name} has called it off.`,
    leave: 'Take it out of the calendar',
    scope: 'For',
    scopes: { this: 'Just this one', every: 'Every one' },
    withWords: 'With words',
    words: 'Words with the answer',
    passOn: 'Invite somebody else',
    passOnTo: 'Choose a colleague',
    otherTime: 'Another time …',
    otherTimeTitle: 'Propose another time',
    propose: 'Propose it',
    proposed: (when: string) => `You proposed ${when}.`,
    proposalDeclined: (words: string) =>
      words === '' ? 'The time stays as it is.' : `The time stays as it is: ${words}`,
    behind: 'A message in between did not arrive.',
    ask: 'Ask how it stands',
    overlaps: (titles: string) => `Overlaps ${titles}`,
    overlapsNothing: 'Nothing of yours is in the way.',
  },
  waits: {
    title: 'Waits for you',
    none: 'Nothing waits for you.',
    look: 'Look for mail',
    looking: 'Looking for mail …',
    out: (count: number) => `${plural(count, 'letter')} on the way out`,
    away: 'The mail relay is out of reach. What you send is kept, and goes when it is back.',
    noAddress: 'Before mail can come, say which address is yours.',
    invitation: (name: string) => `${name} invites you`,
    calledOff: (name: string) => `${name} has called it off`,
    behind: 'A message in between did not arrive',
    untold: 'The guests do not know the last change',
    reasons: {
      proposal: (name: string) => `${name} proposes another time`,
      stranger: (name: string) => `${name} answers, and was not invited`,
      refresh: (name: string) => `${name} asks how it stands`,
      forged: (name: string) => `Not believed: it comes from ${name || 'elsewhere'}, and says otherwise`,
      'unknown-entry': (name: string) => `${name} answers to an entry that is not here`,
    } satisfies Record<WaitsFor, (name: string) => string>,
    open: (title: string) => `Open ${title}`,
    takeTime: 'Take this time',
    keepTime: 'Keep the time',
    admit: 'Invite them, too',
    send: 'Send it to them',
    dismiss: 'Let it be',
    showInPlan: 'Show in Plan',
    cameIn: (count: number) => `${plural(count, 'letter')} came`,
  },
  online: {
    title: 'Online',
    add: 'Add an online meeting',
    remove: 'Without this meeting',
    about: 'The room is a made-up stand-in on the server.',
    join: 'Join now',
    open: 'Open the meeting',
    startNow: 'Meet online now',
  },
  settings: {
    about: 'How others know you, and what becomes of invitations.',
    name: 'Your name',
    email: 'Your address',
    emailWrong: 'This is no address.',
    save: 'Save',
    trace: 'Declined invitations stay, struck through',
    online: 'Every entry with people has an online meeting',
  },
  fromMail: {
    open: 'An entry from a mail',
    title: 'An entry from a mail',
    from: (name: string) => `From ${name}, who becomes its guest.`,
    entryTitle: 'Title',
    words: 'The words of the mail',
    zone: 'Its times are on the clock of',
    times: 'Times in it',
    noTimes: 'No time was found in it. The draft begins in the next hour.',
    files: (count: number) => `${plural(count, 'file')} will be attached.`,
    file: 'file',
    go: 'Make a draft',
  },
  files: {
    taken: (count: number) => `${plural(count, 'invitation or answer', 'invitations and answers')} read`,
    known: 'It says nothing new.',
    waits: 'It waits for you in People.',
  },
} as const;
