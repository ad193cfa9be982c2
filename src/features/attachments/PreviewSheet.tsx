import { createElement, useEffect, useState } from 'react';
import { useWindowDimensions } from 'react-native';
import type { Attachment } from '@/core/model/attachment';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Sheet } from '@/ui/primitives/Sheet';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';
import { useAttachedFile } from './useAttachedFile';

const said = exchangeWords.attachments;

/** What kinds of file are shown here. */
export type PreviewKind = 'picture' | 'pdf' | 'text';

const LARGEST_TEXT = 200_000;

/** How a file can be shown; undefined if it can't. */
export function previewKind({ mediaType, size }: Attachment): PreviewKind | undefined {
  if (/^image\/(png|jpeg|gif|webp|avif|bmp|svg\+xml)$/.test(mediaType)) return 'picture';
  if (mediaType === 'application/pdf') return 'pdf';
  return mediaType.startsWith('text/') && size <= LARGEST_TEXT ? 'text' : undefined;
}

type Shown = { kind: 'reading' } | { kind: 'away' } | { kind: 'there'; address: string; text: string };

interface PreviewSheetProps {
  attachment: Attachment;
  pending?: ReadonlyMap<string, string>;
  onClose: () => void;
}

/** A picture, a document or a text, shown before it is saved. A picture runs no scripts, whatever it holds. */
export function PreviewSheet({ attachment, pending, onClose }: PreviewSheetProps) {
  const { height } = useWindowDimensions();
  const { read, save } = useAttachedFile(pending);
  const [shown, setShown] = useState<Shown>({ kind: 'reading' });
  const kind = previewKind(attachment);
  useEffect(() => {
    let address: string | undefined;
    let isWanted = true;
    void read(attachment).then(async (blob) => {
      if (!isWanted) return;
      if (!blob) return setShown({ kind: 'away' });
      const text = kind === 'text' ? await blob.text() : '';
      address = URL.createObjectURL(blob);
      setShown({ kind: 'there', address, text });
    });
    return () => {
      isWanted = false;
      if (address) URL.revokeObjectURL(address);
    };
  }, [read, attachment, kind]);
  const style = { width: '100%', maxHeight: height * 0.6, objectFit: 'contain' as const };
  return (
    <Sheet
      title={attachment.name}
      closeLabel={words.actions.close}
      onClose={onClose}
      footer={
        <Button
          icon="download-outline"
          label={said.save(attachment.name)}
          onPress={() => void save(attachment)}
        />
      }
    >
      <AppText size="small" tone="quiet" figures>
        {said.size(attachment.size)}
      </AppText>
      {shown.kind === 'away' ? (
        <AppText tone="error" role="alert">
          {said.away}
        </AppText>
      ) : null}
      {shown.kind === 'there' && kind === 'picture'
        ? createElement('img', { src: shown.address, alt: attachment.name, style })
        : null}
      {shown.kind === 'there' && kind === 'pdf'
        ? createElement('iframe', {
            src: shown.address,
            title: attachment.name,
            style: { width: '100%', height: height * 0.6, border: 0 },
          })
        : null}
      {shown.kind === 'there' && kind === 'text' ? (
        <AppText selectable figures>
          {shown.text}
        </AppText>
      ) : null}
    </Sheet>
  );
}
