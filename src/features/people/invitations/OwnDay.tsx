import { StyleSheet, View } from 'react-native';
import { ownBusy } from '@/core/people/busy/ownBusy';
import { DAY } from '@/core/time/civil';
import { instantToWall, startOfDay } from '@/core/time/zones';
import { useDays, useSettings } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { invitationWords } from '@/ui/words/invitations';
import { peopleWords } from '@/ui/words/people';
import { AvailabilityLanes } from '../find/AvailabilityLanes';
import { rangesOverlap } from '@/core/time/eventTime';

const said = invitationWords.own;

/** The day of mine around a time, and what that would overlap. */
export function OwnDay({
  start,
  end,
  exceptEntryIds,
}: {
  /** Instants, half-open. */
  start: number;
  end: number;
  /** What it is itself. */
  exceptEntryIds: readonly string[];
}) {
  const { homeZone, workingPattern, homeLabel } = useSettings();
  const day = Math.floor(instantToWall(homeZone, start) / DAY);
  const { answer } = useDays(day, day + 1, { withoutCancelled: true });
  const occurrences = (answer?.occurrences ?? []).filter(
    ({ entryId, allDay }) => !exceptEntryIds.includes(entryId) && !allDay,
  );
  const busy = ownBusy(occurrences);
  const overlapping = busy.filter((span) => rangesOverlap(span, { start, end }));
  const titles = overlapping.map(({ title }) => title || words.entry.noTitle);
  return (
    <View style={styles.day}>
      <AvailabilityLanes
        day={day}
        lanes={[
          {
            id: 'own',
            name: peopleWords.you,
            mark: peopleWords.you.slice(0, 2).toUpperCase(),
            hue: 'pine',
            place: homeLabel ?? '',
            zone: homeZone,
            workingPattern,
            busy,
            known: { start: startOfDay(homeZone, day), end: startOfDay(homeZone, day + 1) },
          },
        ]}
        proposed={{ start, end }}
      />
      {answer ? (
        <AppText size="small" tone={titles.length > 0 ? 'accent' : 'quiet'} role="status">
          {titles.length > 0 ? said.overlaps(titles.join(', ')) : said.overlapsNothing}
        </AppText>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ day: { gap: space(1) } });
