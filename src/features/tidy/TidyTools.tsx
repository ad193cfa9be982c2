import { type ReactNode, useEffect, useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { isFilterEmpty } from '@/core/schedule/entryFilter';
import { SPANS, type TidyLook } from '@/core/tidy/tidyLook';
import { usePlanAddress, workspace } from '@/features/workspace';
import { rangeText } from '@/ui/dates';
import { filterText } from '@/ui/filterText';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { SelectField } from '@/ui/primitives/PlatformField';
import { TextField } from '@/ui/primitives/TextField';
import { space, WIDE } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { tidyWords } from '@/ui/words/tidy';
import { useSpan } from './useSpan';
import type { useTidyAddress } from './useTidyAddress';

/** So long nothing is typed before it is looked for, in milliseconds. */
const QUIET = 120;

interface TidyToolsProps {
  look: TidyLook;
  show: ReturnType<typeof useTidyAddress>['show'];
  problems: readonly string[];
  onTable: () => void;
  presets: ReactNode;
}

/** What the table is narrowed by: words, a time, Plan's filter; and how it looks. */
export function TidyTools({ look, show, problems, onTable, presets }: TidyToolsProps) {
  const { width } = useWindowDimensions();
  const { address } = usePlanAddress();
  const wide = width >= WIDE;
  const off = address.hidden.length;
  const isFiltered = off > 0 || !isFilterEmpty(address.filter);
  const only = [...filterText(address.filter), off > 0 ? words.filter.calendarsOff(off) : ''].filter(Boolean);
  return (
    <View style={styles.tools}>
      <View style={styles.row}>
        <FindField isAlone={!wide} find={look.find} onFind={(find) => show({ find }, { quietly: true })} />
        <SpanFields look={look} show={show} />
        <Button
          icon={isFiltered ? 'filter' : 'filter-outline'}
          iconOnly={!wide}
          label={tidyWords.filter}
          selected={isFiltered}
          onPress={() => workspace.openSheet('filter')}
        />
        <Button
          icon="view-week-outline"
          iconOnly={!wide}
          label={tidyWords.columns}
          onPress={onTable}
          testID="table-sheet"
        />
        {presets}
      </View>
      {only.length > 0 ? (
        <AppText size="small" tone="quiet" testID="tidy-filter">
          {words.filter.only(only.join(' · '))}
        </AppText>
      ) : null}
      {problems.length > 0 ? (
        <AppText role="status" size="small" tone="error">
          {tidyWords.problems(problems.join(', '))}
        </AppText>
      ) : null}
    </View>
  );
}

/** Words and operators, as in the search; what is typed is looked for when it rests. */
function FindField({
  find,
  onFind,
  isAlone,
}: {
  find: string;
  onFind: (find: string) => void;
  /** Whether it has a line to itself. */
  isAlone: boolean;
}) {
  const [typed, setTyped] = useState(find);
  const [seen, setSeen] = useState(find);
  // What changes elsewhere (a step back) stands here, too.
  if (seen !== find) {
    setSeen(find);
    setTyped(find);
  }
  useEffect(() => {
    if (typed === find) return;
    const timer = setTimeout(() => onFind(typed), QUIET);
    return () => clearTimeout(timer);
  }, [typed, find, onFind]);
  return (
    <View style={[styles.find, isAlone ? styles.alone : null]}>
      <TextField
        label={tidyWords.findLabel}
        hideLabel
        value={typed}
        placeholder={tidyWords.find}
        onChangeText={setTyped}
        testID="tidy-find"
      />
    </View>
  );
}

/** The time that the table is about, and steps to the one before and after. */
export function SpanFields({ look: { span }, show }: Pick<TidyToolsProps, 'look' | 'show'>) {
  const { to } = usePlanAddress();
  const { days, beside, rule } = useSpan(span);
  const step = (by: 1 | -1) => to({ day: beside(by) });
  return (
    <View style={styles.span}>
      {days ? <Button icon="arrow-left" iconOnly label={tidyWords.back} onPress={() => step(-1)} /> : null}
      <View style={styles.select}>
        <SelectField
          label={tidyWords.span}
          hideLabel
          value={span}
          options={SPANS.filter((value) => value !== 'period' || rule).map((value) => ({
            value,
            label:
              value === span && days ? rangeText(days.first, days.end - 1, true) : tidyWords.spans[value],
          }))}
          onChange={(value) => show({ span: SPANS.find((known) => known === value) ?? span })}
          testID="span"
        />
      </View>
      {days ? <Button icon="arrow-right" iconOnly label={tidyWords.forward} onPress={() => step(1)} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  tools: { gap: space(1), zIndex: 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: space(2) },
  find: { flexGrow: 3, flexShrink: 1, flexBasis: 130 },
  alone: { flexBasis: '100%' },
  // The dates of a month fit at this width; the tools beside it keep to one line with it.
  span: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(1),
    flexGrow: 1,
    flexShrink: 1,
    flexBasis: 244,
  },
  select: { flexGrow: 1, flexBasis: 110, minWidth: 0 },
});
