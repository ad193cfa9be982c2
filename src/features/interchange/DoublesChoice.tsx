import { StyleSheet, View } from 'react-native';
import { DOUBLE_CHOICES, type DoubleChoice } from '@/core/change/importEntries';
import { DAY } from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';
import { useSnapshot } from '@/store';
import { shortDayText, timeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { SelectField } from '@/ui/primitives/PlatformField';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { importingWords } from '@/ui/words/importing';
import type { Doubles } from './useDoubles';

const SHOWN = 12;
const said = importingWords;
const choices = DOUBLE_CHOICES.map((value) => ({ value, label: said.choices[value] }));

/** The entries that are here already, with the choice for all and for each. */
export function DoublesChoice({ doubles }: { doubles: Doubles }) {
  const { colours } = useTheme();
  const state = useSnapshot((snapshot) => snapshot.state);
  const { found, choice, chooseAll, choiceOf, choose } = doubles;
  if (found.length === 0) return null;
  return (
    <View style={[styles.part, { borderColor: colours.line }]} testID="import-doubles">
      <AppText weight="700" tone="accent">
        {said.doubles(found.length)}
      </AppText>
      <ChoiceRow label={said.doublesChoice} choices={choices} value={choice} onChange={chooseAll} />
      {found.slice(0, SHOWN).map(({ double, one }) => {
        const other = state.entries.get(double.otherId);
        const wall = wallOf(one.start);
        return (
          <View key={one.id} style={styles.double}>
            <View style={styles.text}>
              <AppText weight="500" numberOfLines={1}>
                {one.title || words.entry.noTitle}
              </AppText>
              <AppText size="small" tone="quiet" numberOfLines={2} figures>
                {[
                  shortDayText(Math.floor(wall / DAY)),
                  one.start.kind === 'date' ? '' : timeText(wall),
                  double.by === 'uid' ? said.sameUid : said.sameTime,
                  state.calendars.get(other?.calendarId ?? '')?.name ?? '',
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </AppText>
            </View>
            <View style={styles.choice}>
              <SelectField
                label={said.oneChoice}
                value={choiceOf(one.id)}
                options={choices}
                onChange={(value) => choose(one.id, value as DoubleChoice)}
              />
            </View>
          </View>
        );
      })}
      {found.length > SHOWN ? <AppText tone="quiet">{said.moreDoubles(found.length - SHOWN)}</AppText> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: space(2), borderTopWidth: hairline, paddingTop: space(3) },
  double: { flexDirection: 'row', alignItems: 'flex-end', gap: space(3) },
  text: { flex: 1, minWidth: 0 },
  choice: { width: 150 },
});
