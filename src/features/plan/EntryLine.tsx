import type { EventFields } from '@/core/model/entry';
import { memo, type Ref, useEffect, useImperativeHandle, useMemo, useRef, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, TextInput, useWindowDimensions, View } from 'react-native';
import { inCalendarZone, lengthOfNew } from '@/core/change/calendarDefaults';
import { blankFields } from '@/core/change/eventFields';
import type { EntryLineDraft, parseEntryLine, UnderstoodPart } from '@/core/entryline/parseEntryLine';
import type { NamedZone } from '@/core/entryline/parseEntryLine';
import { type Calendar, isReadOnly } from '@/core/model/calendar';
import type { Settings } from '@/core/model/settings';
import { DAY, MINUTE } from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';
import { allZones, cityOf } from '@/core/time/zones';
import { useCommands, useWorkspace, workspace } from '@/features/workspace';
import { useNowWall, useSettings } from '@/store';
import { lengthText, shortDayText, timeText } from '@/ui/dates';
import { AppIcon } from '@/ui/icons/AppIcon';
import type { IconName } from '@/ui/icons/paths';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Mark } from '@/ui/primitives/Mark';
import { useTheme } from '@/ui/theme/theme';
import { corner, fontFamilies, fontSizes, hairline, sizes, space, WIDE } from '@/ui/theme/tokens';
import { webProps, webStyle } from '@/ui/web';
import { recurrenceText } from '@/ui/recurrenceText';
import { words } from '@/ui/words';
import { zoneLabel } from '@/ui/zoneLabel';

export interface EntryLineHandle {
  focus: () => void;
}

type Parse = typeof parseEntryLine;

/** The zones that may stand behind a time: by the person's own names, and by all cities. */
const namedZones = (settings: Settings): NamedZone[] => [
  ...settings.zoneRails.map(({ label, zone }) => ({ name: label, zone })),
  ...(settings.homeLabel ? [{ name: settings.homeLabel, zone: settings.homeZone }] : []),
  ...allZones().map((zone) => ({ name: cityOf(zone), zone })),
  { name: 'GMT', zone: 'UTC' },
];

const importGrammar = (): Promise<Parse> =>
  import('@/core/entryline').then((module) => module.parseEntryLine);

interface EntryLineProps {
  selectedDay: number;
  /** The zone of the view, in which times are meant. */
  zone: string;
  calendars: readonly Calendar[];
  target: Calendar | undefined;
  /** Shows the draft in the view while it is typed. */
  onDraft: (fields: EventFields | null) => void;
  ref?: Ref<EntryLineHandle>;
}

/** One line of ordinary words makes an entry; what was understood is spelled out before it is saved. */
export const EntryLine = memo(function EntryLine({
  selectedDay,
  zone,
  calendars,
  target,
  onDraft,
  ref,
}: EntryLineProps) {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const settings = useSettings();
  const writable = useMemo(() => calendars.filter((each) => !isReadOnly(each)), [calendars]);
  const zones = useMemo(() => namedZones(settings), [settings]);
  const nowWall = useNowWall(zone);
  const { create } = useCommands();
  const text = useWorkspace((state) => state.line);
  const setText = workspace.writeLine;
  const [problem, setProblem] = useState('');
  const [parse, setParse] = useState<{ it: Parse } | null>(null);
  const input = useRef<TextInput>(null);
  useImperativeHandle(ref, () => ({ focus: () => input.current?.focus() }), []);

  useEffect(() => {
    void importGrammar().then((it) => setParse({ it }));
  }, []);

  const read = (parser: Parse) => {
    const parseFor = (calendar: Calendar | undefined) =>
      parser(text, {
        nowWall,
        zone,
        selectedDay,
        defaultLength: lengthOfNew(calendar, settings) * MINUTE,
        calendars: writable,
        weekStart: settings.weekStart,
        zones,
      });
    const first = parseFor(target);
    const calendar = writable.find(({ id }) => id === first.calendarId) ?? target;
    // The calendar that the line names may have a length of its own.
    const draft =
      calendar?.defaultLengthMinutes === target?.defaultLengthMinutes ? first : parseFor(calendar);
    const fields = calendar && {
      ...blankFields(
        calendar.id,
        inCalendarZone(draft.start, calendar, zone),
        inCalendarZone(draft.end, calendar, zone),
      ),
      title: draft.title,
      location: draft.location,
      ...(draft.recurrence ? { recurrence: draft.recurrence } : {}),
    };
    return { draft, calendar, fields: fields ?? null };
  };
  const said = text.trim() && parse ? read(parse.it) : null;
  const draft = said?.draft ?? null;
  const calendar = said?.calendar ?? target;
  const fields = said?.fields ?? null;
  // The view shows the draft as it is typed; equal fields are shown once.
  const shown = JSON.stringify(fields);
  useEffect(() => onDraft(JSON.parse(shown) as EventFields | null), [shown, onDraft]);

  const clear = () => {
    setText('');
    setProblem('');
  };
  const save = async () => {
    // Who types before the grammar has arrived waits for it, and loses nothing.
    const { calendar: into, fields: written } = read(parse?.it ?? (await importGrammar()));
    if (!into) setProblem(words.line.noCalendar);
    else if (text.trim() && !written?.title) setProblem(words.line.missingTitle);
    else if (text.trim() && written && create(written)) clear();
  };
  const openFull = () => {
    if (!fields) return;
    workspace.edit({ fields, before: fields, panel: 'full', changed: true });
    clear();
  };

  return (
    <View>
      {draft && calendar ? (
        <Understood
          draft={draft}
          calendar={calendar}
          zoneName={zoneLabel(settings, draft.start.kind === 'zoned' ? draft.start.zone : zone)}
          onPress={openFull}
        />
      ) : null}
      {problem ? (
        <AppText tone="error" role="alert" style={styles.problem}>
          {problem}
        </AppText>
      ) : null}
      <View
        {...webProps({
          dataSet: { ring: 'line' },
          onKeyDownCapture: (event) => {
            if (!(event.target instanceof HTMLInputElement)) return;
            if (event.key === 'Enter') {
              event.preventDefault();
              if (event.shiftKey) openFull();
              else void save();
            } else if (event.key === 'Escape') {
              event.stopPropagation();
              if (text) clear();
              else event.target.blur();
            }
          },
        })}
        style={[styles.line, { backgroundColor: colours.card, borderColor: colours.primary }]}
      >
        <AppIcon name="pencil-outline" size={20} color={colours.quietInk} />
        <TextInput
          ref={input}
          aria-label={words.line.label}
          placeholder={words.line.placeholder}
          placeholderTextColor={colours.quietInk}
          value={text}
          testID="entry-line"
          onChangeText={(changed) => {
            setText(changed);
            setProblem('');
          }}
          {...webProps({
            dataSet: { bare: 'input' },
          })}
          style={[styles.input, webStyle({ outlineStyle: 'none' }), { color: colours.ink }]}
        />
        {calendar ? (
          <View aria-label={words.line.into(calendar.name)} role="img" style={styles.target}>
            <Mark mark={calendar.mark} colour={calendar.colour} />
            {width >= WIDE ? (
              <AppText size="small" tone="quiet" numberOfLines={1}>
                {calendar.name}
              </AppText>
            ) : null}
          </View>
        ) : null}
        {text ? <Button kind="primary" label={words.line.save} onPress={() => void save()} /> : null}
      </View>
    </View>
  );
});

interface UnderstoodProps {
  draft: EntryLineDraft;
  calendar: Calendar;
  zoneName: string;
  onPress: () => void;
}

/** What was understood, part by part. Pressed, each opens the fields where it can be corrected. */
function Understood({ draft, calendar, zoneName, onPress }: UnderstoodProps) {
  const start = wallOf(draft.start);
  const end = wallOf(draft.end);
  const allDay = draft.start.kind === 'date';
  const parts: { part: UnderstoodPart; icon: IconName; text: string }[] = [
    { part: 'day', icon: 'calendar-blank-outline', text: shortDayText(Math.floor(start / DAY)) },
    { part: 'time', icon: 'clock-outline', text: allDay ? words.entry.allDayLabel : timeText(start) },
    ...(allDay && end - start === DAY
      ? []
      : [
          {
            part: 'length' as const,
            icon: 'unfold-more-horizontal' as const,
            text: allDay ? words.plan.dayCount((end - start) / DAY) : lengthText(end - start),
          },
        ]),
    ...(draft.said.includes('zone')
      ? [{ part: 'zone' as const, icon: 'earth' as const, text: zoneName }]
      : []),
    ...(draft.recurrence
      ? [
          {
            part: 'repeat' as const,
            icon: 'autorenew' as const,
            text: recurrenceText(draft.recurrence, draft.start),
          },
        ]
      : []),
    ...(draft.location
      ? [{ part: 'place' as const, icon: 'map-marker-outline' as const, text: draft.location }]
      : []),
    { part: 'calendar', icon: 'tag-outline', text: calendar.name },
  ];
  return (
    <ScrollView
      horizontal
      showsHorizontalScrollIndicator={false}
      role="group"
      aria-label={words.line.understood}
      contentContainerStyle={styles.chips}
    >
      <AppText weight="700" numberOfLines={1} style={styles.title} testID="understood-title">
        {draft.title || words.entry.noTitle}
      </AppText>
      {parts.map(({ part, icon, text }) => {
        const said = draft.said.includes(part);
        return <PartChip key={part} text={text} said={said} part={part} onPress={onPress} icon={icon} />;
      })}
    </ScrollView>
  );
}

/** A part that was understood. */
function PartChip({
  text,
  said,
  part,
  onPress,
  icon,
}: {
  text: string;
  said: boolean;
  part: UnderstoodPart;
  onPress: () => void;
  icon: IconName;
}) {
  const { colours } = useTheme();
  return (
    <Pressable
      role="button"
      aria-label={`${text}${said ? '' : `, ${words.line.filledIn}`}. ${words.line.full}`}
      testID={`understood-${part}`}
      onPress={onPress}
      style={[
        styles.chip,
        {
          backgroundColor: said ? colours.accentTint : colours.card,
          borderColor: said ? colours.accent : colours.line,
        },
      ]}
    >
      <AppIcon name={icon} size={14} color={said ? colours.ink : colours.quietInk} />
      <AppText size="small" figures tone={said ? 'ink' : 'quiet'} weight={said ? '700' : '400'}>
        {text}
      </AppText>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    borderWidth: hairline,
    borderRadius: corner,
    minHeight: sizes.entryLine,
    paddingHorizontal: space(3),
  },
  input: {
    flex: 1,
    minWidth: 60,
    height: sizes.target,
    fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.large,
  },
  target: { flexDirection: 'row', alignItems: 'center', gap: space(1), maxWidth: 160 },
  problem: { paddingVertical: space(1) },
  chips: { gap: space(2), alignItems: 'center', paddingVertical: space(1) },
  title: { maxWidth: 220 },
  chip: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(1),
    borderWidth: hairline,
    borderRadius: corner,
    height: 32,
    paddingHorizontal: space(2),
  },
});
