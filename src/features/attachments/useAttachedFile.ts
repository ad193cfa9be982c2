import { useMemo } from 'react';
import type { Attachment } from '@/core/model/attachment';
import { saveFile } from '@/features/interchange';
import { useCommands } from '@/features/workspace';
import { useOpenStore } from '@/store';
import { exchangeWords } from '@/ui/words/exchange';
import { blobOf } from './pickedFiles';

/** Reads the bytes of an attachment, and saves them as a file. */
export function useAttachedFile(pending?: ReadonlyMap<string, string>) {
  const { store } = useOpenStore();
  const { refuse } = useCommands();
  return useMemo(() => {
    const read = async ({ id, mediaType }: Attachment): Promise<Blob | undefined> => {
      const text = pending?.get(id) ?? (await store.files.read(id));
      return text === undefined ? undefined : blobOf(text, mediaType);
    };
    return {
      read,
      async save(attachment: Attachment): Promise<void> {
        const blob = await read(attachment);
        if (blob) saveFile(attachment.name, blob, attachment.mediaType);
        else refuse(exchangeWords.attachments.away);
      },
    };
  }, [store, refuse, pending]);
}
