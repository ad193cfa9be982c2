import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { AVAILABILITIES, type Availability } from '@/core/model/entry';
import { isFilterEmpty } from '@/core/schedule/entryFilter';
import { HOURS_BY, type HoursQuery } from '@/core/tidy/hours/hoursQuery';
import { stepsFor, type TidyLook } from '@/core/tidy/tidyLook';
import { usePlanAddress, workspace } from '@/features/workspace';
import { Button } from '@/ui/primitives/Button';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { SelectField } from '@/ui/primitives/PlatformField';
import { ToggleRow } from '@/ui/primitives/ToggleRow';
import { space, WIDE } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { hoursWords as said } from '@/ui/words/hours';
import { tidyWords } from '@/ui/words/tidy';
import { SpanFields } from '../TidyTools';
import type { useTidyAddress } from '../useTidyAddress';

/** Free time is none that is taken. */
const COUNTABLE = AVAILABILITIES.filter((value) => value !== 'free');

interface HoursToolsProps {
  look: TidyLook;
  show: ReturnType<typeof useTidyAddress>['show'];
  query: HoursQuery;
  counted: readonly Availability[];
  setCounted: (values: readonly Availability[]) => void;
}

/** What is asked: which time, told apart by what, over which columns, and what counts. */
export function HoursTools({ look, show, query, counted, setCounted }: HoursToolsProps) {
  const { width } = useWindowDimensions();
  const { address } = usePlanAddress();
  const isFiltered = address.hidden.length > 0 || !isFilterEmpty(address.filter);
  const steps = stepsFor(query.range.end - query.range.first);
  return (
    <View style={styles.tools}>
      <View style={styles.span}>
        <SpanFields look={look} show={show} />
        <Button
          icon={isFiltered ? 'filter' : 'filter-outline'}
          iconOnly={width < WIDE}
          label={tidyWords.filter}
          selected={isFiltered}
          onPress={() => workspace.openSheet('filter')}
        />
      </View>
      <View style={styles.field}>
        <SelectField
          label={said.by}
          value={look.by}
          options={HOURS_BY.map((value) => ({ value, label: said.bys[value] }))}
          onChange={(value) =>
            show({ by: HOURS_BY.find((by) => by === value) ?? look.by }, { quietly: true })
          }
          testID="hours-by"
        />
      </View>
      {steps.length > 1 ? (
        <ChoiceRow
          label={said.step}
          choices={steps.map((value) => ({ value, label: said.steps[value] }))}
          value={query.step}
          onChange={(step) => show({ step }, { quietly: true })}
        />
      ) : null}
      <ToggleRow
        label={said.counts}
        choices={COUNTABLE.map((value) => ({ value, label: words.entry.availability[value] }))}
        values={counted}
        onChange={setCounted}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  tools: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'flex-end',
    columnGap: space(4),
    rowGap: space(2),
  },
  span: { flexDirection: 'row', alignItems: 'center', gap: space(2), flexGrow: 1, maxWidth: 420 },
  field: { minWidth: 140 },
});
