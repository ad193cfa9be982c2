import { plural } from '../plural';

/** The words of calendars and of what is kept. */
export const calendarsWords = {
  calendars: {
    closed: (name: string, isFeed: boolean) =>
      isFeed
        ? `“${name}” is a feed: its entries are read only. Copy one to a calendar of yours to change it.`
        : `“${name}” is read only. Open it in Setup to change that.`,
    putAway: (name: string) => `“${name}” is put away: its entries are not in the views.`,
    listAgain: 'List it again',
    title: 'Calendars',
    none: 'There is no calendar yet. Make one, and entries have a place to go.',
    new: 'New calendar',
    edit: (name: string) => `Details of ${name}`,
    name: 'Name',
    description: 'Description',
    colour: 'Colour',
    mark: 'Mark',
    markHint: 'Two letters on every entry of the calendar.',
    otherColour: 'Another colour',
    target: 'New entries go here',
    makeTarget: 'Make it the target of new entries',
    entries: (count: number) => plural(count, 'entry', 'entries'),
    clashMark: (name: string) => `${name} has this mark already.`,
    clashColour: (name: string) => `${name} has this colour already.`,
    delete: 'Delete calendar',
    deleteTitle: (name: string) => `Delete ${name}?`,
    deleteText: (count: number) =>
      `Its ${plural(count, 'entry', 'entries')} can move to another calendar or go to the bin.`,
    deleteEmpty: 'It holds no entries.',
    moveTo: (name: string) => `Move them to ${name}`,
    toBin: 'Put them in the bin',
    confirmDelete: 'Delete',
    export: 'Save as file',
    nameMissing: 'Give it a name.',
    nameTaken: (name: string) => `There is a calendar “${name}” already: choose it above, or another name.`,
    markWrong: 'Two capital letters or digits.',
  },
  hues: {
    pine: 'Pine',
    harbour: 'Harbour',
    iris: 'Iris',
    plum: 'Plum',
    rose: 'Rose',
    rust: 'Rust',
    clay: 'Clay',
    amber: 'Amber',
    moss: 'Moss',
    lagoon: 'Lagoon',
    slate: 'Slate',
    cocoa: 'Cocoa',
  },
  data: {
    import: 'Import a file',
    importHint:
      'Calendar files (.ics), tables (.csv), several at once or in an archive (.zip). You can also drop them anywhere on the page.',
    saveFailed: 'The file could not be saved.',
    backupOffer: 'It is time for a backup: one file with everything, in case this browser loses its data.',
    backupSave: 'Save a backup',
    backupLater: 'Not now',
    exportAll: 'Save as file',
    drop: 'Drop the files here to import them',
    demoText: (day: string) => `These are the demo’s entries, and today is set to ${day}.`,
    startOwn: 'Start with an empty calendar',
    startOwnConfirm: 'This removes the demo’s calendars and entries. You can undo it.',
    homeZone: 'Home time zone',
  },
} as const;
