import { useRouter } from 'expo-router';
import { eventAt, targetOfKey } from '@/core/change/target';
import type { CalendarEvent } from '@/core/model/entry';
import { MINUTE } from '@/core/time/civil';
import { instantOf } from '@/core/time/eventTime';
import { useCommands, useReveal, useWorkspace, workspace } from '@/features/workspace';
import { useSettings, useSnapshot } from '@/store';
import { words } from '@/ui/words';

/** That a time is looked for what is being written. */
export const DRAFT = 'draft';

/** What a time is looked for, where it is there already. */
export interface Subject {
  readonly title: string;
  readonly minutes: number;
  /** What takes no time beside it: itself. */
  readonly entryIds: readonly string[];
  readonly move: (times: Pick<CalendarEvent, 'start' | 'end'>, date: string) => void;
}

/** What a time is looked for: an entry, an occurrence, or what is being written. */
export function useSubject(about: string | undefined): Subject | undefined {
  const router = useRouter();
  const reveal = useReveal();
  const commands = useCommands();
  const { homeZone } = useSettings();
  const editing = useWorkspace((state) => state.editing);
  const state = useSnapshot((snapshot) => snapshot.state);
  const minutesOf = ({ start, end }: Pick<CalendarEvent, 'start' | 'end'>): number =>
    Math.max(5, Math.round((instantOf(end, homeZone) - instantOf(start, homeZone)) / MINUTE));
  if (about === undefined) return undefined;
  if (about === DRAFT)
    return editing
      ? {
          title: editing.fields.title || words.entry.noTitle,
          minutes: minutesOf(editing.fields),
          entryIds: editing.target ? [editing.target.entryId] : [],
          move: (times, date) => {
            workspace.goOn({ fields: { ...editing.fields, ...times }, typed: undefined, changed: true });
            router.navigate({ pathname: '/', params: { date } });
          },
        }
      : undefined;
  const event = eventAt(state, targetOfKey(about), { ...commands.context(), newId: () => about });
  return (
    event && {
      title: event.title || words.entry.noTitle,
      minutes: minutesOf(event),
      entryIds: [event.id, event.seriesId ?? ''],
      move: (times) => void commands.setFields(about, times).then((isMoved) => isMoved && reveal(about)),
    }
  );
}
