import { StyleSheet, View } from 'react-native';
import { ROAD_SPEED, travelProposals } from '@/core/places/travelMinutes';
import { DAY } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { useDays, useSettings, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { placeWords } from '@/ui/words/places';

const said = placeWords.travel;

interface TravelProposalsProps {
  place: string;
  /** When one has to be there: an instant. */
  at: number;
  /** The entry that is written. */
  entryId: string | undefined;
  onTake: (there: number, back: number) => void;
}

/** Ways to a place that are known or can be guessed, each with what it is known from. Nothing where nothing is. */
export function TravelProposals({ place, at, entryId, onTake }: TravelProposalsProps) {
  const entries = useSnapshot(({ state }) => state.entries);
  const { homeZone } = useSettings();
  const day = Math.floor(instantToWall(homeZone, at) / DAY);
  const { answer } = useDays(day, day + 1);
  const before = (answer?.occurrences ?? [])
    .filter(
      (occurrence) =>
        !occurrence.allDay &&
        occurrence.location !== '' &&
        occurrence.entryId !== entryId &&
        occurrence.end <= at,
    )
    .sort((a, b) => b.end - a.end)[0];
  const proposals = travelProposals(entries, place, before?.location);
  if (proposals.length === 0) return null;
  return (
    <View role="group" aria-label={said.proposed} testID="travel-proposals" style={styles.part}>
      {proposals.map(({ there, back, reason }) => (
        <View key={JSON.stringify(reason)} style={styles.row}>
          <Button
            label={`${said.length(there, back)}, ${said.reason(reason, ROAD_SPEED)}`}
            shown={said.length(there, back)}
            onPress={() => onTake(there, back)}
          />
          <AppText size="small" tone="quiet" figures style={styles.reason}>
            {said.reason(reason, ROAD_SPEED)}
          </AppText>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: space(1) },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: space(2) },
  reason: { flexShrink: 1, flexGrow: 1, flexBasis: 160 },
});
