import { useRef } from 'react';
import { Pressable, ScrollView, StyleSheet, type View } from 'react-native';
import type { EntryLineDraft, OtherReading, UnderstoodPart } from '@/core/entryline/parseEntryLine';
import type { Calendar } from '@/core/model/calendar';
import { AppIcon } from '@/ui/icons/AppIcon';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { type Anchor, anchorOf } from '@/ui/primitives/Popover';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { otherText, type PartShown, partsShown } from './partText';

/** What was understood, part by part: each opens its own small picker, and another meaning of it is a press away. */
export function UnderstoodChips({
  draft,
  calendar,
  viewZone,
  zoneName,
  others,
  completions,
  onOpen,
  onOther,
  onComplete,
  onFull,
}: {
  draft: EntryLineDraft;
  calendar: Calendar;
  viewZone: string;
  zoneName: string;
  others: readonly OtherReading[];
  /** Names that the last word may be the beginning of, and the line with each. */
  completions: readonly { readonly name: string; readonly line: string }[];
  onOpen: (part: UnderstoodPart, anchor: Anchor) => void;
  onOther: (other: OtherReading) => void;
  onComplete: (line: string) => void;
  onFull: () => void;
}) {
  const { colours } = useTheme();
  return (
    <ScrollView
      horizontal
      showsHorizontalScrollIndicator={false}
      role="group"
      aria-label={words.line.understood}
      contentContainerStyle={styles.chips}
    >
      <AppText weight="700" numberOfLines={1} style={styles.title} testID="understood-title">
        {draft.title || words.entry.noTitle}
      </AppText>
      {completions.map(({ name, line }) => (
        <Pressable
          key={name}
          role="button"
          aria-label={words.line.complete(name)}
          testID="complete-guest"
          onPress={() => onComplete(line)}
          style={[styles.chip, styles.other, { borderColor: colours.accent }]}
        >
          <AppText size="small">{name}</AppText>
        </Pressable>
      ))}
      {partsShown(draft, { calendar, viewZone, zoneName }).flatMap((shown) => [
        <PartChip key={shown.part} {...shown} said={draft.said.includes(shown.part)} onOpen={onOpen} />,
        ...others
          .filter(({ part }) => part === shown.part)
          .map((other) => (
            <Pressable
              key={`${other.pattern} ${other.choice}`}
              role="button"
              aria-label={words.line.takeOther(otherText(other))}
              testID={`other-${other.part}`}
              onPress={() => onOther(other)}
              style={[styles.chip, styles.other, { borderColor: colours.accent }]}
            >
              <AppText size="small" figures>
                {words.line.or(otherText(other))}
              </AppText>
            </Pressable>
          )),
      ])}
      <Button kind="quiet" label={words.line.full} onPress={onFull} />
    </ScrollView>
  );
}

/** A part that was understood, or filled in. */
function PartChip({
  text,
  said,
  part,
  icon,
  onOpen,
}: PartShown & { said: boolean; onOpen: (part: UnderstoodPart, anchor: Anchor) => void }) {
  const { colours } = useTheme();
  const chip = useRef<View>(null);
  const label = words.line.correct(words.line.parts[part], said ? text : `${text}, ${words.line.filledIn}`);
  return (
    <Pressable
      ref={chip}
      role="button"
      aria-label={label}
      aria-haspopup="dialog"
      testID={`understood-${part}`}
      onPress={() => onOpen(part, anchorOf(chip.current))}
      style={[
        styles.chip,
        {
          backgroundColor: said ? colours.accentTint : colours.card,
          borderColor: said ? colours.accent : colours.line,
        },
      ]}
    >
      <AppIcon name={icon} size={14} color={said ? colours.ink : colours.quietInk} />
      <AppText
        size="small"
        figures
        numberOfLines={1}
        tone={said ? 'ink' : 'quiet'}
        weight={said ? '700' : '400'}
        style={styles.text}
      >
        {text}
      </AppText>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  chips: { gap: space(2), alignItems: 'center', paddingVertical: space(1) },
  title: { maxWidth: 220 },
  chip: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(1),
    borderWidth: hairline,
    borderRadius: corner,
    minHeight: 40,
    paddingHorizontal: space(2),
  },
  text: { maxWidth: 240 },
  other: { borderStyle: 'dashed' },
});
