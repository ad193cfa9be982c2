import { StyleSheet, View } from 'react-native';
import { isFilterEmpty } from '@/core/schedule/entryFilter';
import type { TidyLook } from '@/core/tidy/tidyLook';
import { usePlanAddress, workspace } from '@/features/workspace';
import { filterText } from '@/ui/filterText';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { checkWords as said } from '@/ui/words/checks';
import { tidyWords } from '@/ui/words/tidy';
import { SpanFields } from '../TidyTools';
import type { useTidyAddress } from '../useTidyAddress';

const AMONG = ['all', 'table'] as const;

interface ChecksToolsProps {
  look: TidyLook;
  show: ReturnType<typeof useTidyAddress>['show'];
}

/** What the checks look through: everything, or what the table shows, with what narrows that. */
export function ChecksTools({ look, show }: ChecksToolsProps) {
  const { address } = usePlanAddress();
  const off = address.hidden.length;
  const isFiltered = off > 0 || !isFilterEmpty(address.filter);
  const only = [
    look.find,
    ...filterText(address.filter),
    off > 0 ? words.filter.calendarsOff(off) : '',
  ].filter(Boolean);
  return (
    <View style={styles.tools}>
      <ChoiceRow
        label={said.among}
        hideLabel
        choices={AMONG.map((value) => ({ value, label: said.amongs[value] }))}
        value={look.among}
        onChange={(among) => show({ among }, { quietly: true })}
      />
      {look.among === 'table' ? (
        <>
          <View style={styles.span}>
            <SpanFields look={look} show={show} />
            <Button
              icon={isFiltered ? 'filter' : 'filter-outline'}
              iconOnly
              label={tidyWords.filter}
              selected={isFiltered}
              onPress={() => workspace.openSheet('filter')}
            />
          </View>
          {only.length > 0 ? (
            <AppText size="small" tone="quiet">
              {words.filter.only(only.join(' · '))}
            </AppText>
          ) : null}
        </>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  tools: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: space(4),
    rowGap: space(2),
  },
  span: { flexDirection: 'row', alignItems: 'center', gap: space(2), flexGrow: 1, maxWidth: 420 },
});
