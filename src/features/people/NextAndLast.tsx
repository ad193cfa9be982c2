import { Pressable, StyleSheet, View } from 'react-native';
import type { Subject } from '@/core/people/entriesWith';
import type { Occurrence } from '@/core/schedule/occurrence';
import { DAY, MINUTE } from '@/core/time/civil';
import { useReveal } from '@/features/workspace';
import { useCalendars, useEngineAnswer, useNow, useSettings } from '@/store';
import { shortDayText, timeRangeText } from '@/ui/dates';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Mark } from '@/ui/primitives/Mark';
import { sizes, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

interface NextAndLastProps {
  /** With whom, or where. */
  who: Subject;
  /** Over what is next and what was last, and what is said where there is neither. */
  titles: { readonly next: string; readonly last: string; readonly nothing: string };
  /** Done before an entry of the list is shown. */
  onShow?: () => void;
}

/** What is next with somebody or at a place, and what was last. */
export function NextAndLast({ who, titles, onShow }: NextAndLastProps) {
  const { homeZone, workingPattern } = useSettings();
  const calendars = useCalendars();
  const now = Math.floor(useNow() / MINUTE) * MINUTE;
  const { data } = useEngineAnswer([
    'entriesWith',
    who,
    {
      zone: homeZone,
      workingPattern,
      unlistedCalendarIds: calendars.filter(({ unlisted }) => unlisted).map(({ id }) => id),
      ways: [],
    },
    now,
  ]);
  if (!data) return null;
  if (data.next.length === 0 && data.last.length === 0)
    return <AppText tone="quiet">{titles.nothing}</AppText>;
  return (
    <>
      <Rows title={titles.next} occurrences={data.next} onShow={onShow} />
      <Rows title={titles.last} occurrences={data.last} onShow={onShow} />
    </>
  );
}

function Rows({
  title,
  occurrences,
  onShow,
}: {
  title: string;
  occurrences: readonly Occurrence[];
  onShow: (() => void) | undefined;
}) {
  const calendars = useCalendars();
  const reveal = useReveal();
  if (occurrences.length === 0) return null;
  return (
    <View style={styles.rows} role="group" aria-label={title}>
      <TitleText level={3} size="body">
        {title}
      </TitleText>
      {occurrences.map((occurrence) => {
        const calendar = calendars.find(({ id }) => id === occurrence.calendarId);
        const when = `${shortDayText(Math.floor(occurrence.startWall / DAY))}${
          occurrence.allDay ? '' : `, ${timeRangeText(occurrence.startWall, occurrence.endWall)}`
        }`;
        return (
          <Pressable
            key={occurrence.key}
            role="button"
            onPress={() => {
              onShow?.();
              reveal(occurrence.key);
            }}
            style={styles.entry}
          >
            {calendar ? <Mark small mark={calendar.mark} colour={calendar.colour} /> : null}
            <View style={styles.grow}>
              <AppText numberOfLines={1}>{occurrence.title || words.entry.noTitle}</AppText>
              <AppText size="small" tone="quiet" figures>
                {when}
              </AppText>
            </View>
          </Pressable>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  grow: { flex: 1, minWidth: 0 },
  rows: { gap: space(1) },
  entry: { flexDirection: 'row', alignItems: 'center', gap: space(2), minHeight: sizes.target },
});
