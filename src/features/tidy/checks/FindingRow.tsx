import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Finding, NoFixReason } from '@/core/tidy/checks/finding';
import type { Calendar } from '@/core/model/calendar';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Mark } from '@/ui/primitives/Mark';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { checkWords } from '@/ui/words/checks';

/** What can be done with a finding. */
export type FindingDeed = 'fix' | 'keep' | 'skip' | 'open';

interface FindingRowProps {
  finding: Finding;
  reason: string;
  /** Why nothing is proposed, where that is not said for all. */
  noFix: NoFixReason | undefined;
  /** Of what it is about first. */
  calendar: Calendar | undefined;
  /** Whether the Tab key leads to it. */
  isTabbable: boolean;
  onFocus: (id: string) => void;
  onDo: (deed: FindingDeed, finding: Finding) => void;
}

/** A finding: why it is one, and what can be done with it. */
export const FindingRow = memo(function FindingRow({
  finding,
  reason,
  noFix,
  calendar,
  isTabbable,
  onFocus,
  onDo,
}: FindingRowProps) {
  const { colours } = useTheme();
  return (
    <View
      role="listitem"
      tabIndex={isTabbable ? 0 : -1}
      testID="finding"
      {...webProps({ dataSet: { finding: finding.id } })}
      onFocus={() => onFocus(finding.id)}
      style={[styles.row, { borderColor: colours.line }]}
    >
      {calendar ? <Mark small mark={calendar.mark} colour={calendar.colour} /> : null}
      <View style={styles.words}>
        <AppText figures>{reason}</AppText>
        {noFix ? (
          <AppText size="small" tone="quiet">
            {checkWords.noFix[noFix]}
          </AppText>
        ) : null}
      </View>
      <View style={styles.deeds}>
        {finding.fix ? (
          <Button
            label={`${checkWords.fix}: ${reason}`}
            shown={checkWords.fix}
            onPress={() => onDo('fix', finding)}
          />
        ) : null}
        <Button
          kind="quiet"
          label={`${checkWords.keep}: ${reason}`}
          shown={checkWords.keep}
          onPress={() => onDo('keep', finding)}
        />
        <Button
          kind="quiet"
          label={`${checkWords.open}: ${reason}`}
          shown={checkWords.open}
          onPress={() => onDo('open', finding)}
        />
      </View>
    </View>
  );
});

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: space(3),
    rowGap: space(1),
    paddingVertical: space(1),
    paddingHorizontal: space(3),
    borderTopWidth: hairline,
  },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 240, paddingVertical: space(1) },
  deeds: { flexDirection: 'row', flexWrap: 'wrap', marginLeft: 'auto' },
});
