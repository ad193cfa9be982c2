import type { Summary } from '@/core/change/patch';
import { MINUTE } from '@/core/time/civil';
import type { FilesFailure } from '@/store';
import { lengthText } from '@/ui/dates';
import { words } from '@/ui/words';

/** What a patch did, in words. */
export function summaryText({ what, count, name, dropped, left, into, by }: Summary): string {
  const said = words.summaries[what](count, name || words.entry.noTitle, into ?? '', by ?? '');
  const further = [dropped ? words.droppedChanges(dropped) : '', left ? words.leftOut(left) : ''];
  return [said, ...further.filter(Boolean)].join('. ');
}

/** How long ago something was done, in words. Instants in milliseconds. */
export const agoText = (at: number, now: number): string =>
  now - at < MINUTE ? words.changes.justNow : words.changes.ago(lengthText(now - at));

/** Why files or a change were not kept, in words. */
export const failureText = (failure: FilesFailure): string =>
  failure === 'no-room' ? words.failures['no-room'] : words.failures['storage-failed'](1);
