/** Words of the small window. */
export const smallWords = {
  whole: 'Whole calendar',
  now: (until: string) => `now, until ${until}`,
  in: (length: string) => `in ${length}`,
  nothingNext: 'Nothing more within a week.',
  today: 'Today',
  entriesOf: (day: string) => `Entries of ${day}`,
  none: 'Nothing on this day.',
  month: 'Month',
  monthBefore: 'The month before',
  monthAfter: 'The month after',
  backToToday: 'Back to today',
  booked: (day: string, booked: string) => (booked ? `${day}, ${booked} booked` : day),
  failed: 'The entries could not be read.',
  again: 'Try again',
} as const;
