/** The most dates that a series may make for one question: one that makes more is held back. */
const MOST_OF_A_SERIES = 40_000;
/** The most that all series together may make before those that make many are held back. */
const MOST_OF_A_QUESTION = 100_000;
/** So few may any series make, whatever others have taken. */
const MODEST = 2_000;

/** How many dates the series of one question may make, so that it is answered whatever they are. */
export class Budget {
  private left = MOST_OF_A_QUESTION;

  /** How many the next series may make. */
  get most(): number {
    return Math.max(MODEST, Math.min(MOST_OF_A_SERIES, this.left));
  }

  spend(dates: number): void {
    this.left -= dates;
  }
}
