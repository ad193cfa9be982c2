import { StyleSheet, View } from 'react-native';
import type { TableSums } from '@/core/tidy/table/tableQuery';
import { MINUTE } from '@/core/time/civil';
import { lengthText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { tidyWords } from '@/ui/words/tidy';

const said = tidyWords.sums;

/** How many rows come to how many hours, in words. */
export function sumsText({ entries, occurrences, minutesOnce, minutesEach, wholeDays }: TableSums): string[] {
  return [
    said.entries(entries),
    occurrences > entries ? said.rows(occurrences) : '',
    minutesOnce === undefined || minutesOnce === 0 ? '' : said.once(lengthText(minutesOnce * MINUTE)),
    minutesEach === undefined || minutesEach === minutesOnce
      ? ''
      : said.each(lengthText(minutesEach * MINUTE)),
    wholeDays > 0 ? said.days(wholeDays) : '',
  ].filter(Boolean);
}

/** What all rows come to; on a phone in one line, the least of it cut. */
export function SumsLine({ sums, isShort }: { sums: TableSums; isShort: boolean }) {
  const { colours } = useTheme();
  return (
    <View
      role="status"
      testID="table-sums"
      style={[styles.line, { borderColor: colours.line, backgroundColor: colours.page }]}
    >
      {(isShort ? [sumsText(sums).join(' · ')] : sumsText(sums)).map((text) => (
        <AppText key={text} size="small" tone="quiet" figures numberOfLines={1} style={styles.text}>
          {text}
        </AppText>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  text: { flexShrink: 1 },
  line: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    columnGap: space(4),
    paddingHorizontal: space(3),
    paddingVertical: space(2),
    borderTopWidth: hairline,
  },
});
