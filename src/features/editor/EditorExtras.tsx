import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Attachment } from '@/core/model/attachment';
import type { Colour } from '@/core/model/colour';
import { AttachmentList, type PickedFiles } from '@/features/attachments';
import { HuePicker } from '@/features/calendars';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { exchangeWords } from '@/ui/words/exchange';

const said = exchangeWords.colour;

/** A colour of the entry's own, and its files. */
export function EditorExtras({
  colour,
  onColour,
  attachments,
  pending,
  onAdd,
  onRemove,
}: {
  colour: Colour | undefined;
  onColour: (colour: Colour | undefined) => void;
  attachments: readonly Attachment[];
  pending: ReadonlyMap<string, string>;
  onAdd: (picked: PickedFiles) => void;
  onRemove: (id: string) => void;
}) {
  const [isOpen, setIsOpen] = useState(colour !== undefined);
  return (
    <>
      <View style={styles.part}>
        <AppText size="small" tone="quiet">
          {said.own}
        </AppText>
        {isOpen ? (
          <HuePicker
            label={said.own}
            colour={colour}
            mark=""
            none={{ label: said.asCalendar, onPress: () => onColour(undefined) }}
            onChange={onColour}
          />
        ) : (
          <Button
            icon="palette-outline"
            label={`${said.own}: ${said.asCalendar}`}
            shown={said.asCalendar}
            style={styles.start}
            onPress={() => setIsOpen(true)}
          />
        )}
      </View>
      <View style={styles.part}>
        <AppText size="small" tone="quiet">
          {exchangeWords.attachments.title}
        </AppText>
        <AttachmentList attachments={attachments} pending={pending} onAdd={onAdd} onRemove={onRemove} />
      </View>
    </>
  );
}

const styles = StyleSheet.create({
  part: { gap: space(1) },
  start: { alignSelf: 'flex-start' },
});
