import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Ribbon } from '@/core/layout/ribbons';
import type { Calendar } from '@/core/model/calendar';
import { timeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Mark } from '@/ui/primitives/Mark';
import { useTheme } from '@/ui/theme/theme';
import { corner, focusWidth, hairline, sizes, space } from '@/ui/theme/tokens';
import { webProps, webStyle } from '@/ui/web';
import { words } from '@/ui/words';
import { usePaper } from './usePaper';
import { useGhost } from './ghost';
import { DRAFT_KEY } from './withDraft';
import { occurrenceLabel } from './occurrenceLabel';

interface RibbonCardProps {
  ribbon: Ribbon;
  columnWidth: number;
  calendar: Calendar | undefined;
  selected: boolean;
  /** Whether it is being written: dashed, and nothing to press where it is new. */
  isDraft?: boolean;
  tabbable: boolean;
  faded?: boolean;
  /** Where its first row begins, in pixels. */
  top?: number;
}

/** A narrower one bears its mark alone. */
const LEAST_TITLED = 62;

/** An all-day or long entry above the hours, over all its days; an end without a corner goes on. */
export const RibbonCard = memo(function RibbonCard({
  ribbon,
  columnWidth,
  calendar,
  selected,
  isDraft = false,
  tabbable,
  faded = false,
  top = 1,
}: RibbonCardProps) {
  const { occurrence, row, from, to, continuesBefore, continuesAfter } = ribbon;
  const { colours } = useTheme();
  const colour = calendar?.colour ?? 'slate';
  const { tones, paper } = usePaper()(occurrence, colour);
  const lifted = useGhost(({ ghost }) => ghost?.key === occurrence.key && !ghost.copy);
  const width = Math.max(8, (to - from) * columnWidth - 3);
  const time = occurrence.allDay ? '' : `${timeText(occurrence.startWall)} `;
  return (
    <View
      {...(occurrence.key === DRAFT_KEY
        ? { 'aria-hidden': true, testID: 'ghost' }
        : {
            role: 'button' as const,
            'aria-label': occurrenceLabel(occurrence, calendar),
            'aria-pressed': selected,
            tabIndex: tabbable ? (0 as const) : (-1 as const),
            testID: 'ribbon',
            ...webProps({
              dataSet: {
                key: occurrence.key,
                ends: `${continuesBefore ? '' : 'start'} ${continuesAfter ? '' : 'end'}`,
              },
            }),
          })}
      style={[
        styles.ribbon,
        webStyle({ cursor: 'grab', userSelect: 'none', touchAction: 'pan-x pan-y' }),
        paper,
        {
          top: row * sizes.ribbon + top,
          left: from * columnWidth + 1,
          width,
          opacity: lifted ? 0.35 : faded ? 0.6 : 1,
        },
        continuesBefore ? styles.openLeft : null,
        continuesAfter ? styles.openRight : null,
        isDraft ? { borderColor: colours.accent, borderWidth: focusWidth, borderStyle: 'dashed' } : null,
        selected ? { borderColor: colours.accent, borderWidth: focusWidth, borderStyle: 'solid' } : null,
      ]}
    >
      <Mark small mark={calendar?.mark ?? ''} colour={colour} ticked={selected} />
      {width < LEAST_TITLED ? null : (
        <AppText
          size="small"
          weight="700"
          colour={tones.ink}
          numberOfLines={1}
          style={[styles.title, occurrence.status === 'cancelled' ? styles.struck : null]}
        >
          {time}
          {occurrence.title || (isDraft ? words.plan.newDraft : words.entry.noTitle)}
          {occurrence.availability === 'tentative' ? ' ?' : ''}
          {occurrence.availability === 'away' ? ` · ${words.entry.away}` : ''}
        </AppText>
      )}
    </View>
  );
});

const styles = StyleSheet.create({
  ribbon: {
    position: 'absolute',
    height: sizes.ribbon - 3,
    borderWidth: hairline,
    borderRadius: corner,
    flexDirection: 'row',
    alignItems: 'center',
    overflow: 'hidden',
  },
  title: { flex: 1, paddingHorizontal: space(1), lineHeight: 18 },
  struck: { textDecorationLine: 'line-through' },
  openLeft: { borderTopLeftRadius: 0, borderBottomLeftRadius: 0 },
  openRight: { borderTopRightRadius: 0, borderBottomRightRadius: 0 },
});
