import { useMemo } from 'react';
import { fieldsSeenAt } from '@/core/change/entryChanges';
import type { Target } from '@/core/change/target';
import { isReadOnly } from '@/core/model/calendar';
import type { CalendarEvent, EventFields } from '@/core/model/entry';
import { failureText, useCommands } from '@/features/workspace';
import { useOpenStore, useSnapshot } from '@/store';
import { AttachmentList } from './AttachmentList';
import type { PickedFiles } from './pickedFiles';

/** The files of an entry on the desk: added and removed at once, with undo. */
export function EntryAttachments({ target, event }: { target: Target; event: CalendarEvent }) {
  const { store } = useOpenStore();
  const commands = useCommands();
  const calendar = useSnapshot(({ state }) => state.calendars.get(event.calendarId));
  const attachments = event.attachments ?? [];
  const act = useMemo(() => {
    const change = (next: (now: EventFields) => CalendarEvent['attachments']) => {
      const now = fieldsSeenAt(store.getSnapshot().state, target, commands.context());
      return now ? commands.change(target, { ...now, attachments: next(now) }, now) : Promise.resolve(false);
    };
    return {
      async add({ attachments: more, files }: PickedFiles): Promise<void> {
        const failure = await store.files.write(files);
        if (failure) return commands.refuse(failureText(failure));
        const isKept = await change((now) => [...(now.attachments ?? []), ...more]);
        if (!isKept) await store.files.remove(files.keys());
      },
      remove: (id: string) =>
        void change((now) => {
          const rest = now.attachments?.filter((attachment) => attachment.id !== id) ?? [];
          return rest.length > 0 ? rest : undefined;
        }),
    };
  }, [store, commands, target]);
  const isClosed = isReadOnly(calendar);
  if (isClosed && attachments.length === 0) return null;
  return (
    <AttachmentList
      attachments={attachments}
      {...(isClosed ? {} : { onAdd: act.add, onRemove: act.remove })}
    />
  );
}
