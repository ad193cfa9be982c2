import { StyleSheet, View } from 'react-native';
import { MINUTE } from '@/core/time/civil';
import { timeText } from '@/ui/dates';
import { SelectField } from '@/ui/primitives/PlatformField';
import { peopleWords as said } from '@/ui/words/people';

/** Minutes of the day that something begins and ends within; undefined for any. */
export interface Hours {
  readonly earliest: number | undefined;
  readonly latest: number | undefined;
}

const EDGES = ['earliest', 'latest'] as const;
/** The times that are offered. */
const CLOCKS = Array.from({ length: 29 }, (_, index) => 6 * 60 + index * 30);

/** Not before, and not after, some time of the day. */
export function WithinHours({
  hours,
  onChange,
}: {
  hours: Hours;
  onChange: (changes: Partial<Hours>) => void;
}) {
  return EDGES.map((edge) => (
    <View key={edge} style={styles.field}>
      <SelectField
        label={said[edge]}
        value={String(hours[edge] ?? '')}
        options={[
          { value: '', label: said.anyTime },
          ...CLOCKS.map((minute) => ({ value: String(minute), label: timeText(minute * MINUTE) })),
        ]}
        onChange={(value) => onChange({ [edge]: value === '' ? undefined : Number(value) })}
        testID={`find-${edge}`}
      />
    </View>
  ));
}

const styles = StyleSheet.create({
  field: { minWidth: 120, flexGrow: 1, flexBasis: 120, maxWidth: 200 },
});
