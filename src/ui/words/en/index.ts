import { changesWords } from './changes';
import { entriesWords } from './entries';
import { findingWords } from './finding';
import { calendarsWords } from './calendars';
import { viewsWords } from './views';

/** Every word of the interface, in English. Another language is another folder of this shape. */
export const en = {
  product: 'Orderly Week',
  initials: 'OW',
  places: {
    plan: 'Plan',
    tidy: 'Tidy',
    people: 'People',
    todos: 'To-dos',
    setup: 'Setup',
    navigation: 'Places',
    counted: (place: string, count: number) => `${place}, ${count} found`,
  },
  actions: {
    save: 'Save',
    cancel: 'Cancel',
    close: 'Close',
    edit: 'Edit',
    copy: 'Copy',
    bin: 'Bin',
    undo: 'Undo',
    redo: 'Redo',
    more: 'More',
    add: 'Add',
    remove: 'Remove',
    retry: 'Try again',
    dismiss: 'Dismiss',
    restore: 'Bring back',
    allFields: 'All fields',
    show: 'Show',
  },
  keys: {
    refusals: {
      'days-move-sideways': 'Whole days move with Alt and the arrows left and right.',
      'days-stretch-sideways': 'Whole days stretch with Alt, Shift and the arrows left and right.',
      'hours-stretch-upright': 'Hours stretch with Alt, Shift and the arrows up and down.',
    },
    title: 'Keys',
    show: 'Keys',
    list: {
      views: 'Views, in the order of the switch',
      steps: 'Step back, step forward',
      today: 'Today',
      line: 'Write an entry',
      search: 'Search',
      next: 'Next 7 days, next 4 weeks',
      goto: 'Go to a day',
      filter: 'Filter',
      preset: 'Apply a preset',
      open: 'Open the entry',
      move: 'Move the entry by a grid step or a day',
      stretch: 'Stretch or shrink the entry',
      slots: 'Go from entry to entry, and over free time from slot to slot; Enter drafts there',
      jump: 'Go from entry to entry',
      select: 'Add the entry to the selection',
      lasso: 'Over free time: select all that it goes over',
      bin: 'Put in the bin',
      undo: 'Undo, redo',
      escape: 'Let go, close',
      help: 'This list',
    },
  },
  dates: {
    noDate: (example: string) => `This is no date yet. Write it like ${example}.`,
    noTime: (example: string) => `This is no time yet. Write it like ${example}.`,
    pickDay: (field: string) => `${field}: pick a day`,
    pickTime: (field: string) => `${field}: pick a time`,
    months: 'Months',
    nextMonth: 'Next month',
    previousMonth: 'Previous month',
  },
  opening: 'Opening your calendar',
  notFound: {
    title: 'There is no such page',
    text: 'The address may be mistyped. Your entries are where they were.',
    go: 'Go to Plan',
  },
  ...viewsWords,
  ...findingWords,
  ...entriesWords,
  ...changesWords,
  ...calendarsWords,
} as const;

/** What a catalogue holds, in whatever words. */
type Catalogue<Part> = Part extends (...given: infer Given) => infer Said
  ? (...given: Given) => Said extends string ? string : Said
  : Part extends string
    ? string
    : { readonly [Name in keyof Part]: Catalogue<Part[Name]> };
/**
 * The shape of a language.
 *
 * @public
 */
export type Words = Catalogue<typeof en>;
