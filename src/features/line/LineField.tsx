import { type Ref, useEffect, useRef, useState } from 'react';
import { StyleSheet, TextInput, useWindowDimensions, View } from 'react-native';
import type { SaidPart } from '@/core/entryline/parseEntryLine';
import type { Calendar } from '@/core/model/calendar';
import { AppIcon } from '@/ui/icons/AppIcon';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Mark } from '@/ui/primitives/Mark';
import { useTheme } from '@/ui/theme/theme';
import { corner, fontFamilies, fontSizes, hairline, sizes, space, WIDE } from '@/ui/theme/tokens';
import { webProps, webStyle } from '@/ui/web';
import { words } from '@/ui/words';
import { TintedLine } from './TintedLine';

/** The lines of a pasted text; none where it is one line. */
const linesOf = (text: string): string[] => {
  const lines = text
    .split(/\r\n|\n|\r/)
    .map((line) => line.trim())
    .filter(Boolean);
  return lines.length > 1 ? lines : [];
};

/** The longest line that is read as it is typed, in UTF-16 units. */
export const LONGEST_LINE = 2000;

interface LineActions {
  onWrite: (line: string) => void;
  onSave: () => void;
  onFull: () => void;
}

/** Enter saves, Shift and Enter opens all fields, Escape clears the line and then lets it be. */
function pressedKey(event: KeyboardEvent, line: string, { onWrite, onSave, onFull }: LineActions): void {
  if (!(event.target instanceof HTMLInputElement)) return;
  if (event.key === 'Enter') {
    event.preventDefault();
    if (event.shiftKey) onFull();
    else onSave();
  } else if (event.key === 'Escape') {
    event.stopPropagation();
    if (line) onWrite('');
    else event.target.blur();
  }
}

/** Hears of pasted lines, and of how far the field has scrolled: React Native's views hear of neither. */
function usePasteAndScroll(onPasteLines: (lines: readonly string[]) => void) {
  const [scrolled, setScrolled] = useState(0);
  const box = useRef<View>(null);
  useEffect(() => {
    const element = box.current as unknown as HTMLElement;
    const paste = (event: ClipboardEvent) => {
      const lines = linesOf(event.clipboardData?.getData('text') ?? '');
      if (lines.length === 0) return;
      event.preventDefault();
      onPasteLines(lines);
    };
    const scroll = (event: Event) => {
      if (event.target instanceof HTMLInputElement) setScrolled(event.target.scrollLeft);
    };
    element.addEventListener('paste', paste);
    element.addEventListener('scroll', scroll, true);
    return () => {
      element.removeEventListener('paste', paste);
      element.removeEventListener('scroll', scroll, true);
    };
  }, [onPasteLines]);
  return { box, scrolled };
}

/** The field of the line: what was understood is tinted in it, and where it goes stands beside it. */
export function LineField({
  line,
  spans,
  calendar,
  onWrite,
  onSave,
  onFull,
  onPasteLines,
  ref,
}: LineActions & {
  line: string;
  spans: readonly SaidPart[];
  calendar: Calendar | undefined;
  onPasteLines: (lines: readonly string[]) => void;
  ref: Ref<TextInput>;
}) {
  const { colours } = useTheme();
  const { box, scrolled } = usePasteAndScroll(onPasteLines);
  return (
    <View
      ref={box}
      {...webProps({
        dataSet: { ring: 'line' },
        onKeyDownCapture: (event) => pressedKey(event, line, { onWrite, onSave, onFull }),
      })}
      style={[styles.line, { backgroundColor: colours.card, borderColor: colours.primary }]}
    >
      <AppIcon name="pencil-outline" size={20} color={colours.quietInk} />
      <View style={styles.field}>
        {line ? <TintedLine line={line} spans={spans} scrolled={scrolled} /> : null}
        <TextInput
          ref={ref}
          aria-label={words.line.label}
          placeholder={words.line.placeholder}
          placeholderTextColor={colours.quietInk}
          value={line}
          maxLength={LONGEST_LINE}
          testID="entry-line"
          onChangeText={onWrite}
          {...webProps({ dataSet: { bare: 'input' } })}
          style={[
            styles.input,
            webStyle({ outlineStyle: 'none', position: 'relative', zIndex: 1 }),
            { color: colours.ink },
          ]}
        />
      </View>
      {calendar ? <Target calendar={calendar} /> : null}
      {line ? <Button kind="primary" label={words.line.save} onPress={onSave} /> : null}
    </View>
  );
}

/** The calendar that it goes into: by its mark, and by its name where there is room. */
function Target({ calendar }: { calendar: Calendar }) {
  const { width } = useWindowDimensions();
  return (
    <View aria-label={words.line.into(calendar.name)} role="img" style={styles.target}>
      <Mark mark={calendar.mark} colour={calendar.colour} />
      {width >= WIDE ? (
        <AppText size="small" tone="quiet" numberOfLines={1}>
          {calendar.name}
        </AppText>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    borderWidth: hairline,
    borderRadius: corner,
    minHeight: sizes.entryLine,
    paddingHorizontal: space(3),
  },
  field: { flex: 1, minWidth: 60 },
  input: {
    height: sizes.target,
    fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.large,
  },
  target: { flexDirection: 'row', alignItems: 'center', gap: space(1), maxWidth: 160 },
});
