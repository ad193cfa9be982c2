/** The words of the page of a series: they come with it. */
export const seriesWords = {
  next: 'Next dates',
  ended: 'There are no more dates.',
  kinds: {
    changed: 'Changed',
    'left-out': 'Left out',
    'day-off': 'On days off',
    further: 'Further dates',
  },
  noExceptions: 'Every date is as the series says.',
  setBack: 'Set back',
  setBackNamed: (day: string) => `Set the occurrence of ${day} back to its series`,
  bringBack: 'Bring back',
  bringBackNamed: (day: string) => `Bring the occurrence of ${day} back`,
  go: (day: string) => `Go to ${day}`,
  now: (when: string) => `now ${when}`,
  later: 'and the later ones',
  omitted: 'left out',
  moved: (day: string) => `moved to ${day}`,
  editAll: 'Edit the series',
  more: (count: number) => `and ${count} more`,
} as const;
