import { Pressable, StyleSheet, View } from 'react-native';
import type { CalendarEvent } from '@/core/model/entry';
import type { SeriesException } from '@/core/schedule/seriesExceptions';
import { DAY } from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';
import { dateText, shortDayText, timeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { seriesWords } from '@/ui/words/series';

/** In what a changed occurrence differs from its series: another day or time, or what else it says. */
function changeText(event: CalendarEvent, originalWall: number, series: CalendarEvent): string {
  const wall = wallOf(event.start);
  const sameDay = Math.floor(wall / DAY) === Math.floor(originalWall / DAY);
  const isTimed = event.start.kind !== 'date';
  const when =
    wall === originalWall
      ? ''
      : seriesWords.now(
          [sameDay ? '' : shortDayText(Math.floor(wall / DAY)), isTimed ? timeText(wall) : '']
            .filter(Boolean)
            .join(', '),
        );
  return [
    when,
    event.title === series.title ? '' : event.title,
    event.location === series.location ? '' : event.location,
    event.status === 'cancelled' ? words.entry.status.cancelled : '',
    event.recurrenceRange ? seriesWords.later : '',
  ]
    .filter(Boolean)
    .join(' · ');
}

function detailOf(exception: SeriesException, series: CalendarEvent): string {
  switch (exception.kind) {
    case 'changed':
      return changeText(exception.event, exception.wall, series);
    case 'day-off':
      return exception.shownWall === undefined
        ? seriesWords.omitted
        : seriesWords.moved(shortDayText(Math.floor(exception.shownWall / DAY)));
    case 'left-out':
    case 'further':
      return '';
  }
}

/** One date that is not as its series says: pressed, the view goes there; beside it, what can be done with it. */
export function ExceptionRow({
  exception,
  series,
  onGo,
  action,
}: {
  exception: SeriesException;
  series: CalendarEvent;
  onGo: (wall: number, key?: string) => void;
  action?: { label: string; shown: string; onPress: () => void };
}) {
  const { colours } = useTheme();
  const day = Math.floor(exception.wall / DAY);
  const detail = detailOf(exception, series);
  const shownWall =
    exception.kind === 'changed'
      ? wallOf(exception.event.start)
      : exception.kind === 'day-off'
        ? (exception.shownWall ?? exception.wall)
        : exception.wall;
  const isStruck =
    exception.kind === 'left-out' || (exception.kind === 'day-off' && exception.shownWall === undefined);
  return (
    <View style={[styles.row, { borderColor: colours.line }]}>
      <Pressable
        role="button"
        aria-label={[seriesWords.go(dateText(day)), detail].filter(Boolean).join(', ')}
        onPress={() => onGo(shownWall, exception.kind === 'changed' ? exception.event.id : undefined)}
        style={styles.text}
      >
        <AppText figures tone={isStruck ? 'quiet' : 'ink'} style={isStruck ? styles.struck : null}>
          {dateText(day)}
        </AppText>
        {detail ? (
          <AppText size="small" tone="quiet" figures>
            {detail}
          </AppText>
        ) : null}
      </Pressable>
      {action ? <Button label={action.label} shown={action.shown} onPress={action.onPress} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    minHeight: sizes.touchTarget + 4,
    borderBottomWidth: hairline,
  },
  text: { flex: 1, minHeight: sizes.target, justifyContent: 'center' },
  struck: { textDecorationLine: 'line-through' },
});
