import { plural } from '../plural';

const takenBack = (count: number): string =>
  count > 1 ? `The last ${count} changes were taken back` : 'The last change was taken back';

/** What was done, undone, refused or failed, in words. */
export const changesWords = {
  changes: {
    title: 'Last changes',
    short: 'Changes',
    none: 'Nothing was changed yet.',
    justNow: 'just now',
    ago: (length: string) => `${length} ago`,
    wasUndone: 'undone',
    again: 'Do again',
    backTo: 'Back to before',
    undoTo: (what: string) => `Undo ${what}, and what came after it`,
    redoTo: (what: string) => `Do again: ${what}, and what came before it`,
  },
  plainStart: {
    asks: 'Orderly Week did not open the last times. It can open plainly: as a list of what can be read, which you can save.',
    open: 'Open plainly',
    usual: 'Open as usual',
    title: 'What can be read',
    holds: (entries: number, calendars: number) =>
      `${plural(entries, 'entry', 'entries')} in ${plural(calendars, 'calendar')}`,
    aside: (count: number) => `${plural(count, 'record')} could not be read`,
    save: 'Save a backup',
    saved: 'The backup is saved. It can be restored in Setup, in this browser or another.',
    failed: 'Nothing can be read here. The browser’s storage does not answer.',
    latest: (count: number) => `The latest ${count} by their start`,
  },
  partFailed: (name: string) => `${name} could not be shown.`,
  partFailedKept: 'Your entries are as they were, and what you wrote is kept.',
  summaries: {
    'todo-made': (_count: number, name: string) => `To-do “${name}” made`,
    'todo-done': (_count: number, name: string) => `“${name}” done`,
    'todo-open': (_count: number, name: string) => `“${name}” is open again`,
    'todos-timed': (count: number, name: string) =>
      count === 1 ? `“${name}” has a time` : `${plural(count, 'to-do')} have a time`,
    'todo-part': (_count: number, name: string) => `A part of “${name}” changed`,
    'entry-made': (_count: number, name: string) => `“${name}” made`,
    'entries-made': (count: number) => `${plural(count, 'entry', 'entries')} made`,
    'entry-changed': (_count: number, name: string) => `“${name}” changed`,
    'entry-moved': (_count: number, name: string) => `“${name}” moved`,
    'entries-moved': (count: number) => `${plural(count, 'entry', 'entries')} moved`,
    'entry-stretched': (_count: number, name: string) => `“${name}” has another length`,
    'entries-stretched': (count: number) => `${plural(count, 'entry', 'entries')} have another length`,
    'entry-to-calendar': (_count: number, name: string, into: string) => `“${name}” moved to ${into}`,
    'entry-copied': (_count: number, name: string) => `“${name}” copied`,
    'series-copied': (_count: number, name: string) => `Series “${name}” copied`,
    'occurrence-reset': (_count: number, name: string) => `“${name}” is as its series again`,
    'occurrence-brought-back': (_count: number, name: string) => `A date of “${name}” is back`,
    'entries-binned': (count: number, name: string) =>
      count === 1 ? `“${name}” is in the bin` : `${plural(count, 'entry', 'entries')} are in the bin`,
    'entries-batch': (count: number) => `${plural(count, 'entry', 'entries')} changed`,
    'entries-by-recipe': (count: number, name: string) =>
      `${plural(count, 'entry', 'entries')} changed by “${name}”`,
    'entries-reminded': (count: number) => `Reminders of ${plural(count, 'entry', 'entries')} changed`,
    'entries-to-calendar': (count: number, name: string) =>
      `${plural(count, 'entry', 'entries')} moved to ${name}`,
    'entries-restored': (count: number) => `${plural(count, 'entry', 'entries')} brought back`,
    'bin-emptied': (count: number) => `${plural(count, 'entry', 'entries')} removed from the bin`,
    'calendar-made': (_count: number, name: string) => `Calendar “${name}” made`,
    'calendar-changed': (_count: number, name: string) => `Calendar “${name}” changed`,
    'calendar-deleted': (_count: number, name: string) => `Calendar “${name}” deleted`,
    'calendar-restored': (count: number, name: string) =>
      `Calendar “${name}” is back, with ${plural(count, 'entry', 'entries')}`,
    'calendars-ordered': (_count: number, name: string) => `Calendar “${name}” has another place`,
    'calendars-merged': (count: number, name: string) =>
      `Calendar “${name}” merged, ${plural(count, 'entry', 'entries')} moved`,
    'calendar-published': (_count: number, name: string) => `Calendar “${name}” published`,
    'calendar-withdrawn': (_count: number, name: string) => `Calendar “${name}” is published no more`,
    'entry-duplicated': (_count: number, name: string) => `“${name}” is there twice`,
    'entries-copied-there': (count: number) => `${plural(count, 'entry', 'entries')} copied`,
    'entries-copied': (count: number, name: string) =>
      `${plural(count, 'entry', 'entries')} copied to ${name}`,
    'entry-again': (count: number, name: string) => `“${name}” again on ${plural(count, 'day')}`,
    'category-changed': (_count: number, name: string) => `Category “${name}” changed`,
    'categories-merged': (_count: number, name: string) => `Categories are one now, “${name}”`,
    'category-removed': (_count: number, name: string) => `Category “${name}” removed`,
    'attachments-removed': (count: number) => `${plural(count, 'file')} removed`,
    'note-kept': (_count: number, name: string) => `Your note on “${name}” is kept`,
    'feed-refreshed': (_count: number, name: string) => `${name} refreshed`,
    restored: (count: number) => `${plural(count, 'thing')} restored from the backup`,
    imported: (count: number, name: string) => `${plural(count, 'entry', 'entries')} imported into ${name}`,
    'settings-changed': () => 'Settings changed',
    'preset-saved': (_count: number, name: string) => `Preset “${name}” kept`,
    'presets-changed': (_count: number, name: string) => `Preset “${name}” has another place`,
    'preset-deleted': (_count: number, name: string) => `Preset “${name}” deleted`,
    'period-set-saved': (_count: number, name: string) => `Period set “${name}” kept`,
    'period-set-deleted': (_count: number, name: string) => `Period set “${name}” deleted`,
    'taken-back': () => 'An earlier change was taken back',
    'findings-fine': (count: number, name: string) =>
      count === 1 ? `Fine as it is: ${name}` : `${count} findings are fine as they are`,
    'findings-again': (count: number) => `${plural(count, 'finding')} looked at again`,
    'recipe-kept': (_count: number, name: string) => `Recipe “${name}” kept`,
    'recipe-removed': (_count: number, name: string) => `Recipe “${name}” removed`,
    'person-saved': (_count: number, name: string) => `${name} kept`,
    'people-added': (count: number) => `${plural(count, 'person or room', 'people and rooms')} taken over`,
    'people-merged': (count: number, name: string) => `${count} made one: ${name}`,
    'people-removed': (count: number, name: string) =>
      count === 1 ? `${name} taken out` : `${count} people and rooms taken out`,
    'busy-times-read': (count: number) => `Busy times read: ${count}`,
    'share-saved': (count: number, name: string) =>
      name === '' ? `Addresses for ${count}` : `What ${name} may see is kept`,
    'address-withdrawn': (count: number) => `${plural(count, 'address', 'addresses')} withdrawn`,
    'offer-made': (count: number, name: string) => `${plural(count, 'time')} offered for “${name}”`,
    'offer-ended': (_count: number, name: string) => `“${name}”: nothing is offered any more`,
    'offer-chosen': (_count: number, name: string, _into: string, by: string) =>
      `${by} chose a time for “${name}”`,
    'handed-in-added': (_count: number, name: string, _into: string, by: string) => `${by} added “${name}”`,
    'handed-in-changed': (_count: number, name: string, _into: string, by: string) =>
      `${by} changed “${name}”`,
    'handed-in-removed': (_count: number, name: string, _into: string, by: string) =>
      `${by} put “${name}” in the bin`,
    'handed-in-refused': (_count: number, _name: string, _into: string, by: string) =>
      `Something that ${by} wanted could not be done`,
    'guests-told': (count: number, name: string) => `“${name}”: ${count} told`,
    'nobody-told': (_count: number, name: string) => `“${name}”: nobody told`,
    'letter-read': (_count: number, name: string) => `Mail about “${name}”`,
    'letter-dismissed': (_count: number, name: string) => `“${name}” let be`,
    'letters-sent': (count: number) => `Letters sent: ${count}`,
    'invitation-answered': (_count: number, name: string) => `“${name}” answered`,
    'session-changed': () => 'Changed',
  },
  droppedChanges: (count: number) =>
    `${plural(count, 'changed occurrence')} had no place in it any more and ${count === 1 ? 'is' : 'are'} in the bin`,
  leftOut: (count: number) => `${count} could not be changed that way.`,
  undone: (what: string) => `Undone: ${what}`,
  redone: (what: string) => `Done again: ${what}`,
  undoneSeveral: (count: number) => `${plural(count, 'change')} undone`,
  redoneSeveral: (count: number) => `${plural(count, 'change')} done again`,
  nothingToUndo: 'There is nothing to undo.',
  nothingToRedo: 'There is nothing to do again.',
  refusals: {
    'rule-fixes-days':
      'The rule of this series names its days, so the series can’t move this way. Move just this one, or edit the series.',
    'unreadable-rule': 'The rule of this series can’t be read, so the series can’t be moved or divided.',
    'rule-not-divisible':
      'The rule of this series can’t be divided here. Change just this one, or every one.',
    'title-too-long': 'A title has room for 1000 characters. Nothing was changed.',
    'beyond-calendar': 'Dates reach to the year 9999 and no further.',
    'end-before-start': 'It would end before it starts.',
    'calendar-missing': 'The calendar is not there any more.',
    'entry-missing': 'The entry is not there any more. What you wrote is kept here.',
    'calendar-closed': 'Its calendar can’t be changed here.',
    'others-meeting': 'Somebody else invites to it.',
    'not-timed': 'It takes whole days and has no hours.',
    'no-such-zone': 'There is no such time zone.',
    'no-series': 'It is no series.',
    'series-without-end': 'The series has no end: say up to which day.',
    'too-many-dates': 'The series makes too many dates.',
    'fits-no-rule': 'No rule makes its day together with the others.',
    'no-date': 'It has no date.',
    'no-event': 'That is for events: this is a to-do.',
    'no-todo': 'That is for to-dos: this is an event.',
    'done-by-date': 'Each of its dates is done by itself.',
  },
  failures: {
    'no-room': 'There is no room for this in the browser. Nothing was added; everything before it is kept.',
    'storage-full': (count: number) =>
      `This browser has no room left. ${takenBack(count)}; everything before is kept.`,
    'storage-failed': (count: number) =>
      `${takenBack(count)}, since it could not be kept. Everything before is kept.`,
    setAside: (count: number) =>
      `${plural(count, 'record')} could not be read and ${count === 1 ? 'was' : 'were'} put aside, not deleted. Everything else is here.`,
    calendarsMade: (count: number) =>
      `${plural(count, 'calendar')} that entries name ${count === 1 ? 'was' : 'were'} missing and ${count === 1 ? 'is' : 'are'} there again.`,
    unknownHome: (zone: string) =>
      `Your home zone, “${zone}”, is not known here. This device’s takes its place; Setup has others.`,
    slow: 'The browser’s storage does not answer yet. Another tab of Orderly Week may hold it: close it, or load this page anew. Nothing is lost.',
    open: 'Your data could not be opened. Nothing was changed. If the browser keeps this address from storing data, as some do in private windows, allow site data for it; then try again.',
    newer:
      'Your data was written by a later version of Orderly Week. Load the page anew to get that version.',
  },
} as const;
