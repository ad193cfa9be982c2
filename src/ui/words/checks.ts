import { checksInEnglish, noFixInEnglish, reasonInEnglish } from '@/core/tidy/checks/words/english';
import { plural } from './plural';

/** The words of the checks: they come with Tidy. */
export const checkWords = {
  checks: checksInEnglish,
  noFix: noFixInEnglish,
  reason: reasonInEnglish,
  looking: 'Looking for what should not be there …',
  failed: 'The checks could not be made just now.',
  retry: 'Try again',
  none: 'Nothing to tidy. The checks found nothing that should not be there.',
  noneLeft: 'Nothing is left: all that was found is dealt with or skipped.',
  left: (count: number) => `${plural(count, 'finding')} left`,
  skipped: (count: number) => `${count} skipped`,
  fine: (count: number) => `${count} fine as they are`,
  showSkipped: 'Show what was skipped',
  lookAgain: 'Look at those again',
  fixSafe: (count: number) => (count === 1 ? 'Fix the safe one' : `Fix ${count} safe ones`),
  fixAll: (count: number) => `Fix all ${count}`,
  fineAll: 'All are fine',
  more: (count: number) => `${count} more`,
  notListed: (count: number) => `${count} more when these are dealt with`,
  fix: 'Fix',
  keep: 'It is fine',
  open: 'Open',
  keys: 'Arrows walk, F fixes, K keeps it as it is, S skips it, Enter opens it.',
  fixTitle: (count: number) => `Fix ${plural(count, 'entry', 'entries')}`,
  fixIntro: 'What the findings propose, as it would be. Rows can be left out before it is done.',
  stepFor: (step: string, count: number) => `${step}: ${plural(count, 'entry', 'entries')}`,
} as const;
