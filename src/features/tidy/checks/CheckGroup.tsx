import { StyleSheet, View } from 'react-native';
import type { CheckName, Finding } from '@/core/tidy/checks/finding';
import type { Calendar } from '@/core/model/calendar';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { checkWords } from '@/ui/words/checks';
import { type FindingDeed, FindingRow } from './FindingRow';

interface CheckGroupProps {
  check: CheckName;
  /** Those that are shown, and how many there are in all; and of these how many are not listed. */
  shown: readonly Finding[];
  count: number;
  notListed: number;
  fixable: number;
  tabbableId: string | undefined;
  reasonOf: (finding: Finding) => string;
  calendarOf: (finding: Finding) => Calendar | undefined;
  onFocus: (id: string) => void;
  onDo: (deed: FindingDeed, finding: Finding) => void;
  onMore: (check: CheckName) => void;
  onFixAll: (check: CheckName) => void;
  onKeepAll: (check: CheckName) => void;
}

/** What one check found. */
export function CheckGroup({
  check,
  shown,
  count,
  notListed,
  fixable,
  tabbableId,
  reasonOf,
  calendarOf,
  onFocus,
  onDo,
  onMore,
  onFixAll,
  onKeepAll,
}: CheckGroupProps) {
  const { colours } = useTheme();
  const { name, about } = checkWords.checks[check];
  // What holds for all of them is said once.
  const noFix = fixable === 0 ? shown[0]?.noFix : undefined;
  return (
    <View
      role="group"
      aria-label={name}
      testID={`check-${check}`}
      style={[styles.group, { borderColor: colours.line, backgroundColor: colours.card }]}
    >
      <View style={styles.head}>
        <View style={styles.names}>
          <TitleText level={2} size="large">
            {`${name} · ${count + notListed}`}
          </TitleText>
          <AppText size="small" tone="quiet">
            {noFix ? `${about} ${checkWords.noFix[noFix]}` : about}
          </AppText>
        </View>
        <View style={styles.deeds}>
          {fixable > 1 ? (
            <Button
              label={`${checkWords.fixAll(fixable)}: ${name}`}
              shown={checkWords.fixAll(fixable)}
              onPress={() => onFixAll(check)}
            />
          ) : null}
          {count > 1 ? (
            <Button
              kind="quiet"
              label={`${checkWords.fineAll}: ${name}`}
              shown={checkWords.fineAll}
              onPress={() => onKeepAll(check)}
            />
          ) : null}
        </View>
      </View>
      <View role="list" aria-label={name}>
        {shown.map((finding) => (
          <FindingRow
            key={finding.id}
            finding={finding}
            reason={reasonOf(finding)}
            calendar={calendarOf(finding)}
            noFix={noFix ? undefined : finding.noFix}
            isTabbable={finding.id === tabbableId}
            onFocus={onFocus}
            onDo={onDo}
          />
        ))}
      </View>
      {shown.length < count ? (
        <Button
          kind="quiet"
          label={`${checkWords.more(count - shown.length)}: ${name}`}
          shown={checkWords.more(count - shown.length)}
          onPress={() => onMore(check)}
        />
      ) : notListed > 0 ? (
        <AppText size="small" tone="quiet" style={styles.rest}>
          {checkWords.notListed(notListed)}
        </AppText>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  group: { borderWidth: hairline, borderRadius: corner },
  head: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: space(2), padding: space(3) },
  names: { flexGrow: 1, flexShrink: 1, flexBasis: 200 },
  deeds: { flexDirection: 'row', marginLeft: 'auto' },
  rest: { padding: space(3) },
});
