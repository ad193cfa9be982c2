import { plural } from './plural';

/** The words of backups: they come with the section that makes and reads them. */
export const backupWords = {
  setAside: (count: number) => `${plural(count, 'record')} that could not be read`,
  persists: 'This browser keeps your data also where room on the device is short.',
  noDrafts:
    'This browser gives the page no room for drafts: what is half written is gone when the page is closed. Allow site data for this address, and it stays.',
  persistsNot:
    'This browser may clear your data where room on the device is short. A backup now and then is worth having.',
  hint: 'One file with everything: calendars, entries, the bin, settings, presets and attached files. It stays where you save it.',
  save: 'Save a backup',
  restore: 'Restore a backup',
  last: (text: string) => `Last saved ${text}`,
  never: 'None was saved from this browser yet.',
  previewTitle: 'Restore a backup',
  of: (text: string) => `Saved ${text}`,
  mode: 'How',
  modes: { replace: 'Replace everything', add: 'Add what is missing' },
  modeHints: {
    replace: 'Everything becomes as it was in the backup. What is here now and not in it goes.',
    add: 'What is not here comes in. What is here stays as it is, settings too.',
  },
  effect: (added: number, changed: number, removed: number) =>
    [
      added > 0 ? `${added} added` : '',
      changed > 0 ? `${changed} changed` : '',
      removed > 0 ? `${removed} removed` : '',
    ]
      .filter(Boolean)
      .join(', '),
  collections: {
    calendars: 'Calendars',
    entries: 'Entries',
    bin: 'Bin',
    categories: 'Category colours',
    ownNotes: 'Own notes',
    settings: 'Settings',
    presets: 'Presets',
    periodSets: 'Period sets',
    recipes: 'Recipes',
    fineFindings: 'Findings that are fine',
    people: 'People and rooms',
    invitations: 'Invitations',
    shares: 'Who sees what',
    offers: 'Offered times',
  },
  files: (count: number) => plural(count, 'attached file'),
  nothing: 'Nothing would change: everything in this backup is here.',
  problems: (count: number) => `${plural(count, 'record')} could not be read and would be left out`,
  problem: (collection: string, name: string, field: string) =>
    `${collection}: “${name}”${field ? `, of which “${field}” can’t be read` : ''}`,
  go: 'Restore',
  undo: 'One press takes it back.',
} as const;
