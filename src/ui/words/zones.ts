/** The words of the zones in Setup: they come with them. */
export const zoneWords = {
  homeLabel: 'Name of the home zone',
  railsHint: 'Further columns of hours beside the days, three at the most.',
  railOf: (label: string) => `Column of hours for ${label}`,
  addRail: 'Add a column of hours',
  removeRail: (label: string) => `Remove the column for ${label}`,
  first: 'Move to the front',
  label: (city: string) => `Name for ${city}`,
} as const;
