import { type ReactNode, Suspense } from 'react';
import { Linking, Pressable, StyleSheet, View } from 'react-native';
import { daysBy } from '@/core/change/moveEntry';
import { eventAt, masterOf, targetOfKey, type Target } from '@/core/change/target';
import { FORM_FIELDS, isChoice, rowOf } from '@/core/fields/eventFields';
import { isReadOnly, type Calendar } from '@/core/model/calendar';
import { type CalendarEvent, isEvent, type Recurrence } from '@/core/model/entry';
import { isOpenable } from '@/core/model/link';
import type { EventTime } from '@/core/model/eventTime';
import { reminderKey } from '@/core/model/reminder';
import { remindersOf } from '@/core/reminders/dueTimes';
import { DAY, MINUTE, parseDate } from '@/core/time/civil';
import { instantOf, ownZone, unknownZone, wallOf } from '@/core/time/eventTime';
import { cityOf, instantToWall } from '@/core/time/zones';
import { useCommands, workspace } from '@/features/workspace';
import { useSettings, useSnapshot } from '@/store';
import { dayText, lengthText, shortDayText, timeRangeText, timeText } from '@/ui/dates';
import { AppIcon } from '@/ui/icons/AppIcon';
import type { IconName } from '@/ui/icons/paths';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { MarkedLine } from '@/ui/primitives/MarkedLine';
import { StickyActions } from '@/ui/primitives/StickyActions';
import { useTheme } from '@/ui/theme/theme';
import { space } from '@/ui/theme/tokens';
import { recurrenceText } from '@/ui/recurrenceText';
import { choiceWord } from '@/ui/choiceWords';
import { reminderText } from '@/ui/reminderText';
import { words } from '@/ui/words';
import { entryMore, todoPanel } from './laterPanels';

/** The selected entry: what it says, and what can be done with it. */
export function EntryPanel({
  occurrenceKey,
  onOpen,
}: {
  occurrenceKey: string;
  onOpen: (key: string) => void;
}) {
  const { homeZone } = useSettings();
  const state = useSnapshot((snapshot) => snapshot.state);
  const commands = useCommands();
  const target = targetOfKey(occurrenceKey);
  if (state.entries.get(target.entryId)?.kind === 'todo')
    return (
      <Suspense fallback={null}>
        <todoPanel.Later todoKey={occurrenceKey} />
      </Suspense>
    );
  const event = eventAt(state, target, { ...commands.context(), newId: () => occurrenceKey });
  if (!event) return null;
  const calendar = state.calendars.get(event.calendarId);
  const master = masterOf(state, target);
  const series = master && isEvent(master) ? master : undefined;
  const recurrence = series?.recurrence;
  const originalDay = target.recurrenceKey === undefined ? undefined : parseDate(target.recurrenceKey);
  const movedFrom =
    recurrence?.skipDaysOff && originalDay !== Math.floor(wallOf(event.start) / DAY)
      ? originalDay
      : undefined;
  return (
    <View style={styles.panel}>
      <MarkedLine
        calendar={calendar}
        text={[calendar?.name, ...chosenWords(event)].filter(Boolean).join(' · ')}
      />
      <TitleText>{event.title || words.entry.noTitle}</TitleText>
      <When event={event} zone={homeZone} />
      {recurrence && series ? (
        <SeriesLine
          recurrence={recurrence}
          series={series}
          event={event}
          target={target}
          movedFrom={movedFrom}
        />
      ) : null}
      {event.location ? (
        <Line icon="map-marker-outline" label={words.fields.location}>
          <Pressable role="button" onPress={() => workspace.showPlace(event.location)}>
            <AppText style={styles.link}>{event.location}</AppText>
          </Pressable>
        </Line>
      ) : null}
      {event.url ? <LinkLine event={event} /> : null}
      {event.travel ? <TravelLine event={event} zone={homeZone} /> : null}
      <RemindersLine event={event} calendar={calendar} zone={homeZone} />
      {event.categories.length > 0 ? (
        <Line icon="tag-outline" label={words.fields.categories}>
          <AppText>{event.categories.join(', ')}</AppText>
        </Line>
      ) : null}
      {FURTHER.map((name) =>
        event[name] ? (
          <Line key={name} icon="tag-outline" label={words.fields[name]}>
            <AppText>{String(event[name])}</AppText>
          </Line>
        ) : null,
      )}
      {event.notes ? (
        <Line icon="note-text-outline" label={words.desk.notes}>
          <AppText>{event.notes}</AppText>
        </Line>
      ) : null}
      <PanelActions calendar={calendar} onOpen={onOpen} occurrenceKey={occurrenceKey} target={target} />
      <Suspense fallback={null}>
        <entryMore.Later occurrenceKey={occurrenceKey} target={target} event={event} />
      </Suspense>
    </View>
  );
}

/** The texts of the form that have no line of their own. */
const FURTHER = FORM_FIELDS.filter((name) => rowOf(name).form!.kind === 'text' && name !== 'location');

/** Where it leads to. */
function LinkLine({ event }: { event: CalendarEvent }) {
  return (
    <Line icon="link-variant" label={words.fields.url}>
      {isOpenable(event.url) ? (
        <Pressable role="link" onPress={() => void Linking.openURL(event.url)}>
          <AppText style={styles.link}>{event.url}</AppText>
        </Pressable>
      ) : (
        <AppText>{event.url}</AppText>
      )}
    </Line>
  );
}

/** When one is reminded of it, and whether that is as usual in its calendar. */
function RemindersLine({
  event,
  calendar,
  zone,
}: {
  event: CalendarEvent;
  calendar: Calendar | undefined;
  zone: string;
}) {
  const reminders = remindersOf(event, calendar?.usualReminders);
  if (reminders.length === 0) return null;
  return (
    <Line icon="bell-outline" label={words.reminder.label}>
      {reminders.map((reminder) => (
        <AppText key={reminderKey(reminder)}>{reminderText(reminder, zone)}</AppText>
      ))}
      {event.reminders ? null : (
        <AppText size="small" tone="quiet">
          {words.reminder.asUsual(calendar?.name ?? '')}
        </AppText>
      )}
    </Line>
  );
}

/** When one leaves for it and is back. */
function TravelLine({ event, zone }: { event: CalendarEvent; zone: string }) {
  const { there = 0, back = 0 } = event.travel ?? {};
  const at = (time: EventTime, minutes: number) =>
    timeText(instantToWall(zone, instantOf(time, zone) + minutes * MINUTE));
  return (
    <Line icon="flag-outline" label={words.editor.travel}>
      {there > 0 ? (
        <AppText figures>{words.travel.leave(at(event.start, -there), lengthText(there * MINUTE))}</AppText>
      ) : null}
      {back > 0 ? (
        <AppText figures>{words.travel.back(at(event.end, back), lengthText(back * MINUTE))}</AppText>
      ) : null}
    </Line>
  );
}

/** What can be done with an entry. */
function PanelActions({
  calendar,
  onOpen,
  occurrenceKey,
  target,
}: {
  calendar: Calendar | undefined;
  onOpen: (key: string) => void;
  occurrenceKey: string;
  target: Target;
}) {
  const commands = useCommands();
  return (
    <StickyActions>
      {isReadOnly(calendar) ? (
        <AppText size="small" tone="quiet">
          {words.calendars.closed(calendar?.name ?? '', calendar?.feed !== undefined)}
        </AppText>
      ) : (
        <>
          <Button kind="primary" label={words.actions.edit} onPress={() => onOpen(occurrenceKey)} />
          <Button label={words.actions.copy} onPress={() => void commands.copy(target, daysBy(0))} />
          <Button label={words.actions.bin} onPress={() => void commands.bin([occurrenceKey])} />
        </>
      )}
    </StickyActions>
  );
}

/** How an entry repeats, and how it differs from its series. */
function SeriesLine({
  recurrence,
  series,
  event,
  target,
  movedFrom,
}: {
  recurrence: Recurrence;
  series: CalendarEvent;
  event: CalendarEvent;
  target: Target;
  movedFrom: number | undefined;
}) {
  return (
    <Line icon="autorenew" label={words.desk.repeats}>
      <AppText>{recurrenceText(recurrence, series.start)}</AppText>
      {event.seriesId !== undefined && target.recurrenceKey === undefined ? (
        <AppText size="small" tone="quiet">
          {words.entry.changed}
        </AppText>
      ) : null}
      {movedFrom === undefined ? null : (
        <AppText size="small" tone="quiet">
          {words.series.movedFrom(shortDayText(movedFrom))}
        </AppText>
      )}
      <Button
        label={words.series.open}
        onPress={() => workspace.showSeries(series.id)}
        style={styles.series}
      />
    </Line>
  );
}

/** What the entry says by choices: how it counts, and what differs from what is usual. */
const chosenWords = (event: CalendarEvent): string[] =>
  FORM_FIELDS.filter(isChoice).flatMap((name) => {
    const { form, initial } = rowOf(name);
    if (name !== 'availability' && event[name] === initial) return [];
    const word = choiceWord(name, form!.typed(event[name]) as string);
    return [form!.isNamed ? `${words.fields[name]}: ${word}` : word];
  });

function When({ event, zone }: { event: CalendarEvent; zone: string }) {
  const allDay = event.start.kind === 'date';
  const start = instantToWall(zone, instantOf(event.start, zone));
  const end = instantToWall(zone, instantOf(event.end, zone));
  const first = Math.floor(start / DAY);
  const last = Math.max(first, Math.ceil(end / DAY) - 1);
  const elsewhere = (name: string | undefined) => (name === zone ? undefined : name);
  const own = elsewhere(ownZone(event.start));
  const ownEnd = elsewhere(ownZone(event.end));
  const unknown = unknownZone(event.start) ?? unknownZone(event.end);
  return (
    <Line icon="clock-outline" label={words.editor.when}>
      <AppText>{last > first ? `${dayText(first)} – ${dayText(last)}` : dayText(first)}</AppText>
      {allDay ? null : (
        <AppText figures>
          <AppText weight="700" figures>
            {timeRangeText(start, end)}
          </AppText>
          {` · ${lengthText(instantOf(event.end, zone) - instantOf(event.start, zone))}`}
        </AppText>
      )}
      {own || ownEnd ? (
        <AppText size="small" tone="quiet" figures>
          {[
            own &&
              words.entry.inZone(timeText(instantToWall(own, instantOf(event.start, zone))), cityOf(own)),
            ownEnd && ownEnd !== own
              ? words.entry.until(timeText(instantToWall(ownEnd, instantOf(event.end, zone))), cityOf(ownEnd))
              : '',
          ]
            .filter(Boolean)
            .join(', ')}
        </AppText>
      ) : null}
      {unknown === undefined ? null : (
        <AppText size="small" tone="error">
          {words.entry.unknownZone(unknown, cityOf(zone))}
        </AppText>
      )}
      {event.start.kind === 'floating' ? (
        <AppText size="small" tone="quiet">
          {words.editor.floating}
        </AppText>
      ) : null}
    </Line>
  );
}

function Line({ icon, label, children }: { icon: IconName; label: string; children: ReactNode }) {
  const { colours } = useTheme();
  return (
    <View style={styles.line} role="group" aria-label={label}>
      <View style={styles.icon}>
        <AppIcon name={icon} size={20} color={colours.quietInk} />
      </View>
      <View style={styles.shrink}>{children}</View>
    </View>
  );
}

const styles = StyleSheet.create({
  panel: { gap: space(3) },
  shrink: { flexShrink: 1 },
  line: { flexDirection: 'row', gap: space(3) },
  icon: { width: 20, flexShrink: 0 },
  link: { textDecorationLine: 'underline' },
  series: { alignSelf: 'flex-start', marginTop: space(1), minHeight: 36 },
});
