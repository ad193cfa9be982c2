import { plural } from './plural';

/** "20 min", "3 h", "40 days". */
const spanText = (minutes: number): string =>
  minutes < 120
    ? `${minutes} min`
    : minutes < 2880
      ? `${Math.round(minutes / 60)} h`
      : plural(Math.round(minutes / 1440), 'day');

/** The words of reminders as they are written, and as they come: with the parts that do so. */
export const reminderWords = {
  another: 'Another reminder',
  add: 'Add a reminder',
  quick: 'When to remind',
  other: 'Another time…',
  edit: (text: string) => `Change the reminder ${text}`,
  remove: (text: string) => `Remove the reminder ${text}`,
  ownOnes: 'Its own',
  backToUsual: (calendar: string) => `As usual in ${calendar} again`,
  usual: 'Usual reminders',
  usualHint: 'For entries that have none of their own.',
  usualTimed: 'Of timed entries',
  usualWholeDays: 'Of whole days',
  tooMany: (most: number) => `An entry has room for ${most} reminders.`,
  form: {
    title: 'Reminder',
    kind: 'Comes',
    kinds: { offset: 'Before or after', 'time-of-day': 'At a time of day', fixed: 'At a moment' },
    amount: 'How long',
    unit: 'Unit',
    units: { minutes: 'minutes', hours: 'hours', days: 'days', weeks: 'weeks' },
    anchor: 'Counted from',
    anchors: {
      'before-start': 'before the start',
      'after-start': 'after the start',
      'before-end': 'before the end',
      'after-end': 'after the end',
      'before-leaving': 'before leaving',
    },
    dueAnchors: {
      'before-start': 'before it can begin',
      'after-start': 'after it can begin',
      'before-end': 'before it is due',
      'after-end': 'after it is due',
      'before-leaving': 'before leaving',
    },
    daysBefore: 'Days before',
    time: 'Time',
    date: 'Date',
    by: 'By',
    wrongAmount: (most: number) => `A whole number from 0 to ${most}.`,
    noMoment: 'Say a date and a time.',
  },
  due: {
    dueAt: (when: string) => `due ${when}`,
    today: 'today',
    done: 'Done',
    doneOf: (title: string) => `${title}: done`,
    leaveNow: 'leave now',
    leaveIn: (minutes: number) => `leave in ${spanText(minutes)}`,
    snooze: 'Put off',
    snoozeOf: (title: string) => `Put off ${title}`,
    snoozes: {
      '5': 'For 5 minutes',
      '10': 'For 10 minutes',
      '30': 'For 30 minutes',
      'before-start': 'Until 5 minutes before',
      leaving: 'Until it is time to leave',
      tomorrow: 'Until work starts tomorrow',
    },
    dismissOf: (title: string) => `Dismiss ${title}`,
    openOf: (title: string) => `Show ${title}`,
    join: 'Join',
    joinOf: (title: string) => `Join ${title}`,
    toCome: 'Still to come',
    over: 'Over by now',
    more: (count: number) => `and ${count} more`,
    less: 'Show the first only',
    further: (count: number) => `Show ${count} more`,
    passed: (count: number) =>
      `${plural(count, 'earlier one')} came while nobody looked, and can’t be listed.`,
    title: (count: number, name: string) => `(${count}) ${name}`,
  },
  startsIn: (minutes: number) =>
    minutes > 0 ? `in ${spanText(minutes)}` : minutes === 0 ? 'now' : `${spanText(-minutes)} ago`,
  allow: 'Show reminders as notifications, too',
  allowed: 'Reminders also show as notifications of this browser.',
  denied: 'This browser does not allow notifications; reminders show on the page.',
  dismissAll: 'Dismiss all',
} as const;

/** The words of the settings of reminders: they come with Setup. */
export const reminderSettingWords = {
  heard: 'How reminders are heard',
  sound: 'Sounds',
  quiet: 'Quiet hours',
  onlyWork: 'Only in working hours',
  except: 'Heard at any time',
  heldBack: 'What falls due while it is quiet comes afterwards, as one list.',
  from: 'Quiet from',
  to: 'Quiet until',
  noTime: 'This is not a time. It is not kept yet.',
  same: 'It ends as it begins. It is not kept yet.',
} as const;

/** The words of the way there and back as it is written. */
export const travelWords = {
  there: 'Way there, minutes',
  back: 'Way back, minutes',
  leaveAt: (time: string) => `Leave ${time}.`,
  homeAt: (time: string) => `Back ${time}.`,
  wrong: (most: number) => `Minutes: a whole number from 0 to ${most}.`,
} as const;
