import type { Occurrence } from '../schedule/occurrence';
import { busyKindOf, isSettled, standingOf } from '../schedule/standing';

/** What of an occurrence its look follows from. */
export type Seen = Pick<Occurrence, 'availability' | 'status'> &
  Partial<Pick<Occurrence, 'colour' | 'categories' | 'ownAnswer' | 'isOutlined' | 'isDone'>>;

/** How an occurrence looks wherever it is drawn: on cards, in bars, on paper. */
export interface Appearance {
  /** Its own colour, else that of its first category that has one, else its calendar's. */
  readonly colour: string;
  /** What its availability makes of its ground: taken (busy or away), tentative, or free. What is called off takes nothing. */
  readonly paper: 'taken' | 'tentative' | 'free';
  /** Whether its outline is dashed: it may come to be. */
  readonly isDashed: boolean;
  readonly isAway: boolean;
  /** Whether its title is struck through: it is called off, was declined, or what it is time for is done. */
  readonly isStruck: boolean;
}

/** The colour that an occurrence has in place of its calendar's, if it has one. */
export const ownColourOf = (
  { colour, categories }: Partial<Pick<Occurrence, 'colour' | 'categories'>>,
  categoryColours: ReadonlyMap<string, string>,
): string | undefined =>
  colour ??
  (categoryColours.size === 0
    ? undefined
    : categories?.map((name) => categoryColours.get(name)).find((found) => found !== undefined));

/**
 * What the availability of an occurrence makes of its ground. An invitation that was not answered, or declined, is an outline alone,
 * and so is a colleague's time that stands over one's own.
 */
export function paperOf(seen: Seen): Appearance['paper'] {
  if (seen.isOutlined || seen.ownAnswer === 'needs-action') return 'free';
  const kind = busyKindOf(seen);
  return kind === undefined ? 'free' : kind === 'tentative' ? 'tentative' : 'taken';
}

/** How an occurrence of a calendar looks. */
export const appearanceOf = (
  occurrence: Seen,
  calendarColour: string | undefined,
  categoryColours: ReadonlyMap<string, string>,
): Appearance => ({
  colour: ownColourOf(occurrence, categoryColours) ?? calendarColour ?? 'slate',
  paper: paperOf(occurrence),
  isDashed: standingOf(occurrence) === 'tentative' || occurrence.ownAnswer === 'needs-action',
  isAway: occurrence.availability === 'away',
  isStruck: isSettled(occurrence),
});
