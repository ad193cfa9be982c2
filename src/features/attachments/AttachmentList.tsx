import { type ReactNode, type RefObject, Suspense, useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Attachment } from '@/core/model/attachment';
import { chooseFiles } from '@/features/interchange';
import { useCommands } from '@/features/workspace';
import { AppIcon } from '@/ui/icons/AppIcon';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, focusWidth, hairline, space } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { exchangeWords } from '@/ui/words/exchange';
import { LARGEST_ATTACHMENT, type PickedFiles, readPicked } from './pickedFiles';
import { previewKind, PreviewSheet } from './PreviewSheet';
import { useAttachedFile } from './useAttachedFile';

const said = exchangeWords.attachments;

interface AttachmentListProps {
  attachments: readonly Attachment[];
  /** The bytes of files that are not kept yet. */
  pending?: ReadonlyMap<string, string>;
  onAdd?: (picked: PickedFiles) => Promise<void> | void;
  onRemove?: (id: string) => void;
}

/** The files of an entry; more come by choosing, dropping or pasting. Without `onAdd` they can be seen only. */
export function AttachmentList({ attachments, pending, onAdd, onRemove }: AttachmentListProps) {
  const { colours } = useTheme();
  const { refuse } = useCommands();
  const box = useRef<View>(null);
  const [isOver, setIsOver] = useState(false);
  const [isReading, setIsReading] = useState(false);
  const [shown, setShown] = useState<Attachment | null>(null);
  const { save } = useAttachedFile(pending);

  const add = useRef<(files: readonly File[]) => Promise<void>>(async () => undefined);
  useEffect(() => {
    add.current = async (files) => {
      if (!onAdd || files.length === 0) return;
      if (files.some(({ size }) => size > LARGEST_ATTACHMENT)) return refuse(said.tooLarge);
      setIsReading(true);
      try {
        await onAdd(await readPicked(files));
      } finally {
        setIsReading(false);
      }
    };
  });
  const takes = onAdd !== undefined;
  useEffect(() => {
    if (!takes) return;
    const onPaste = (event: ClipboardEvent) => {
      const files = [...(event.clipboardData?.files ?? [])];
      if (files.length === 0) return;
      event.preventDefault();
      void add.current(files);
    };
    window.addEventListener('paste', onPaste);
    return () => window.removeEventListener('paste', onPaste);
  }, [takes]);
  useEffect(() => {
    const element = box.current as unknown as HTMLElement | null;
    if (!takes || !element) return;
    const onOver = (event: DragEvent) => {
      event.preventDefault();
      setIsOver(true);
    };
    const onLeave = () => setIsOver(false);
    const onDrop = (event: DragEvent) => {
      event.preventDefault();
      setIsOver(false);
      void add.current([...(event.dataTransfer?.files ?? [])]);
    };
    element.addEventListener('dragover', onOver);
    element.addEventListener('dragleave', onLeave);
    element.addEventListener('drop', onDrop);
    return () => {
      element.removeEventListener('dragover', onOver);
      element.removeEventListener('dragleave', onLeave);
      element.removeEventListener('drop', onDrop);
    };
  }, [takes]);

  return (
    <View
      ref={box}
      role="group"
      aria-label={said.title}
      testID="attachments"
      {...(takes ? webProps({ dataSet: { takesFiles: '' } }) : {})}
      style={[
        styles.list,
        isOver ? { borderColor: colours.accent, borderWidth: focusWidth, borderStyle: 'dashed' } : null,
      ]}
    >
      {attachments.map((attachment) => (
        <Row
          key={attachment.id}
          attachment={attachment}
          actions={
            <FileActions attachment={attachment} setShown={setShown} save={save} onRemove={onRemove} />
          }
        />
      ))}
      {takes ? <AddFiles isReading={isReading} add={add} isOver={isOver} /> : null}
      {shown ? (
        <Suspense fallback={null}>
          <PreviewSheet attachment={shown} pending={pending} onClose={() => setShown(null)} />
        </Suspense>
      ) : null}
    </View>
  );
}

/** The ways to add files. */
function AddFiles({
  isReading,
  add,
  isOver,
}: {
  isReading: boolean;
  add: RefObject<(files: readonly File[]) => Promise<void>>;
  isOver: boolean;
}) {
  return (
    <View style={styles.add}>
      <Button
        icon="paperclip"
        label={isReading ? said.reading : said.attach}
        disabled={isReading}
        onPress={() => void chooseFiles().then((files) => add.current(files))}
      />
      <AppText size="small" tone="quiet" style={styles.hint}>
        {isOver ? said.drop : said.hint}
      </AppText>
    </View>
  );
}

/** What can be done with a file. */
function FileActions({
  attachment,
  setShown,
  save,
  onRemove,
}: {
  attachment: Attachment;
  setShown: (shown: Attachment) => void;
  save: (attachment: Attachment) => Promise<void>;
  onRemove: ((id: string) => void) | undefined;
}) {
  return (
    <>
      {previewKind(attachment) ? (
        <Button
          icon="image-outline"
          iconOnly
          kind="quiet"
          label={said.preview(attachment.name)}
          onPress={() => setShown(attachment)}
        />
      ) : null}
      <Button
        icon="download-outline"
        iconOnly
        kind="quiet"
        label={said.save(attachment.name)}
        onPress={() => void save(attachment)}
      />
      {onRemove ? (
        <Button
          icon="close"
          iconOnly
          kind="quiet"
          label={said.remove(attachment.name)}
          onPress={() => onRemove(attachment.id)}
        />
      ) : null}
    </>
  );
}

function Row({ attachment, actions }: { attachment: Attachment; actions: ReactNode }) {
  const { colours } = useTheme();
  return (
    <View style={[styles.row, { borderColor: colours.line }]}>
      <AppIcon
        name={previewKind(attachment) === 'picture' ? 'image-outline' : 'file-outline'}
        size={20}
        color={colours.quietInk}
      />
      <View style={styles.text}>
        <AppText numberOfLines={1}>{attachment.name}</AppText>
        <AppText size="small" tone="quiet" figures>
          {said.size(attachment.size)}
        </AppText>
      </View>
      {actions}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: space(2), borderRadius: corner },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(1),
    paddingLeft: space(2),
    borderWidth: hairline,
    borderRadius: corner,
  },
  text: { flex: 1, minWidth: 0, paddingLeft: space(1) },
  add: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: space(2) },
  hint: { flex: 1, minWidth: 120 },
});
