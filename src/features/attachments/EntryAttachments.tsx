import { useMemo } from 'react';
import { fieldsSeenAt, todoFieldsSeenAt } from '@/core/change/entryChanges';
import type { Target } from '@/core/change/target';
import { isReadOnly } from '@/core/model/calendar';
import type { Entry } from '@/core/model/entry';
import { failureText, useCommands } from '@/features/workspace';
import { useOpenStore, useSnapshot } from '@/store';
import { AttachmentList } from './AttachmentList';
import type { PickedFiles } from './pickedFiles';

/** The files of an entry on the desk: added and removed at once, with undo. */
export function EntryAttachments({ target, entry }: { target: Target; entry: Entry }) {
  const { store } = useOpenStore();
  const commands = useCommands();
  const calendar = useSnapshot(({ state }) => state.calendars.get(entry.calendarId));
  const attachments = entry.attachments ?? [];
  const { kind } = entry;
  const act = useMemo(() => {
    const change = (next: (now: Pick<Entry, 'attachments'>) => Entry['attachments']): Promise<boolean> => {
      const { state } = store.getSnapshot();
      if (kind === 'todo') {
        const now = todoFieldsSeenAt(state, target, commands.context());
        return now
          ? commands.changeTodo(target, { ...now, attachments: next(now) }, now)
          : Promise.resolve(false);
      }
      const now = fieldsSeenAt(state, target, commands.context());
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
  }, [store, commands, target, kind]);
  const isClosed = isReadOnly(calendar);
  if (isClosed && attachments.length === 0) return null;
  return (
    <AttachmentList
      attachments={attachments}
      {...(isClosed ? {} : { onAdd: act.add, onRemove: act.remove })}
    />
  );
}
