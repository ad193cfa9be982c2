/** What the records of a collection are called, as a sentence begins. */
const kinds: Record<string, string> = {
  calendars: 'Calendar',
  entries: 'Entry',
  bin: 'Deleted entry',
  categories: 'Category',
  ownNotes: 'Note',
  settings: 'Settings',
  presets: 'Preset',
  periodSets: 'Period set',
  recipes: 'Recipe',
  reminded: 'Reminder that came',
  sessions: 'What this device remembers',
};

/** The words of Setup: they come with it. */
export const setupWords = {
  index: 'Sections of Setup',
  licences: 'What this is built with, and its licences',
  sections: {
    calendars: 'Calendars',
    categories: 'Categories',
    periods: 'Periods',
    files: 'Files',
    backup: 'Backup',
    attachments: 'Attached files',
    working: 'Working pattern',
    reminders: 'Reminders',
    general: 'General',
    demo: 'Demo data',
    aside: 'Set aside',
  },
  working: {
    hint: 'The hours that Plan keeps open, and that a day’s load is measured by.',
    places: { office: 'In the office', home: 'At home', travel: 'On the road', off: 'Not worked' },
    placeOf: (day: string) => `Where ${day} is worked`,
    from: (day: string, number: number) => `${day}, hours ${number} from`,
    to: (day: string, number: number) => `${day}, hours ${number} to`,
    add: 'More hours',
    addTo: (day: string) => `More hours on ${day}`,
    removeHours: (day: string, number: number) => `Remove hours ${number} of ${day}`,
    same: (day: string) => `${day}’s hours on every working day`,
    problems: {
      backwards: 'These hours end before they begin. They are not kept yet.',
      overlap: 'Some hours overlap. They are not kept yet.',
      time: 'A time is missing. It is not kept yet.',
    },
    exceptions: 'Days that differ',
    exceptionsNone: 'A day with other hours, in another place, or not worked at all.',
    addDay: 'Add a day',
    date: 'Date',
    removeDay: (day: string) => `Remove ${day}`,
  },
  aside: {
    more: (count: number) => `Show more of ${count}`,
    none: 'Everything that is kept here can be read and shown.',
    hint: 'These could not be read or shown in whole. Nothing of them is lost: each can be seen, saved, mended or thrown away.',
    unreadable: 'It can’t be read.',
    reasons: {
      'too-many-dates':
        'It makes more dates than can be shown: only its start is. Give it an end, or fewer dates.',
      unreadable: 'Its times or its rule can’t be read, so it is shown nowhere.',
      'no-answer': 'Nothing was answered while it was there, so it is shown nowhere.',
    },
    item: (collection: string | undefined, name: string | undefined) =>
      collection === undefined
        ? 'A part that is no record'
        : `${kinds[collection] ?? 'A record'}${name === undefined ? '' : ` “${name}”`}`,
    see: 'See',
    seeOf: (name: string) => `See ${name}`,
    openOf: (title: string) => `Edit ${title}`,
    saveOf: (title: string) => `Save ${title} as a file`,
    binOf: (title: string) => `Put ${title} in the bin`,
    binAll: (count: number) => `Put all ${count} in the bin`,
    text: 'As it is kept',
    mend: 'Mend it',
    mendHint: 'Put right what can’t be read, and it takes its place again.',
    partHint: 'This is left over from something that was damaged. It can be saved as a file.',
    still: (reason: string) => `It still can’t be read: ${reason}`,
    throwAway: 'Throw away',
    forGood: 'Throw away for good',
  },
  general: {
    colours: 'Colours',
    schemes: { system: 'As the system', light: 'Light', dark: 'Dark' },
    clock: 'Times are written',
    clocks: {
      usual: (time: string) => `As usual here (${time})`,
      h23: '0:00 to 23:59',
      h12: '12:00 am to 11:59 pm',
    },
    length: 'Length of new entries',
  },
} as const;
