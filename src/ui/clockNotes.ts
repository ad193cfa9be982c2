import { unclearTime } from '@/core/change/settleTimes';
import type { EventTime } from '@/core/model/eventTime';
import { localString } from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';
import { timeText } from './dates';
import { words } from './words';

/** What is to be said of a time that a clock change skips or doubles, and what can be taken instead. */
export interface ClockNote {
  readonly text: string;
  readonly instead: { readonly label: string; readonly time: EventTime } | undefined;
}

/** The note on a time, or undefined where there is nothing to say. */
export function clockNote(time: EventTime): ClockNote | undefined {
  const unclear = unclearTime(time);
  if (!unclear || time.kind !== 'zoned') return undefined;
  const said = timeText(wallOf(time));
  if (unclear.kind === 'skipped') {
    const becomes = timeText(unclear.becomes);
    return {
      text: words.clock.skipped(said, becomes),
      instead: {
        label: words.clock.take(becomes),
        time: { ...time, local: localString(unclear.becomes) },
      },
    };
  }
  return {
    text: words.clock.repeated(said),
    // Only in a zone without the change can the second be told from the first (RFC 5545 3.3.5).
    instead: {
      label: words.clock.second(said),
      time: { kind: 'zoned', local: localString(unclear.second), zone: 'UTC' },
    },
  };
}
