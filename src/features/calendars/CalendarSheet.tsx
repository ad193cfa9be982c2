import { OFFERED_LENGTHS } from '@/core/change/calendarDefaults';
import { useState } from 'react';
import { clashes, proposeColour, proposeMark, saveCalendar } from '@/core/change/calendarChanges';
import type { Calendar } from '@/core/model/calendar';
import type { Colour } from '@/core/model/colour';
import { MINUTE } from '@/core/time/civil';
import { FeedFields, type FeedOptions } from '@/features/feeds';
import { useCommands } from '@/features/workspace';
import { ZoneField } from '@/features/zones';
import { useCalendars, useSnapshot } from '@/store';
import { lengthText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { SelectField } from '@/ui/primitives/PlatformField';
import { TextField } from '@/ui/primitives/TextField';
import { Sheet } from '@/ui/primitives/Sheet';
import { ToggleRow } from '@/ui/primitives/ToggleRow';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';
import { HuePicker } from './HuePicker';

const said = exchangeWords.calendars;
const AS_EVERYWHERE = '';

/** What a calendar is beside its name: set, or not. */
type Kind = 'busy' | 'listed' | 'readOnly';

/** All that is set of a calendar, new or there already. A free pair of colour and mark is proposed. */
export function CalendarSheet({
  calendar,
  onClose,
}: {
  calendar: Calendar | undefined;
  onClose: () => void;
}) {
  const calendars = useCalendars();
  const state = useSnapshot((snapshot) => snapshot.state);
  const { commit, context } = useCommands();
  const [name, setName] = useState(calendar?.name ?? '');
  const [description, setDescription] = useState(calendar?.description ?? '');
  const [colour, setColour] = useState<Colour>(
    calendar?.colour ?? proposeColour(calendars.map((other) => other.colour)),
  );
  const [ownMark, setOwnMark] = useState(calendar?.mark);
  const [zone, setZone] = useState(calendar?.zone ?? AS_EVERYWHERE);
  const [length, setLength] = useState(
    calendar?.defaultLengthMinutes === undefined ? AS_EVERYWHERE : String(calendar.defaultLengthMinutes),
  );
  const [feed, setFeed] = useState<FeedOptions>();
  const [kinds, setKinds] = useState<Kind[]>([
    ...(calendar?.countsAsFree ? [] : (['busy'] as const)),
    ...(calendar?.unlisted ? [] : (['listed'] as const)),
    ...(calendar?.readOnly ? (['readOnly'] as const) : []),
  ]);
  const [tried, setTried] = useState(false);
  const taken = calendars.filter(({ id }) => id !== calendar?.id).map(({ mark }) => mark);
  const mark = ownMark ?? proposeMark(name || words.calendars.title, taken);
  const clashing = clashes(state, { ...(calendar ? { id: calendar.id } : {}), mark, colour });
  const sameMark = clashing.find((other) => other.mark === mark);
  const sameColour = clashing.find((other) => other.colour === colour);
  const nameProblem = name.trim() === '' ? words.calendars.nameMissing : undefined;
  const markProblem = /^[\p{Lu}\p{N}]{2}$/u.test(mark) ? undefined : words.calendars.markWrong;

  const save = () => {
    setTried(true);
    if (nameProblem || markProblem) return;
    commit(
      saveCalendar(
        state,
        calendar?.id,
        {
          name: name.trim(),
          description: description.trim(),
          colour,
          mark,
          zone: zone === AS_EVERYWHERE ? undefined : zone,
          defaultLengthMinutes: length === AS_EVERYWHERE ? undefined : Number(length),
          countsAsFree: kinds.includes('busy') ? undefined : true,
          unlisted: kinds.includes('listed') ? undefined : true,
          readOnly: kinds.includes('readOnly') ? true : undefined,
          ...(calendar?.feed && feed ? { feed: { ...calendar.feed, ...feed } } : {}),
        },
        context(),
      ),
    );
    onClose();
  };

  return (
    <Sheet
      title={calendar ? words.calendars.edit(calendar.name) : words.calendars.new}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      go={{ label: words.actions.save, onPress: save }}
    >
      <TextField
        label={words.calendars.name}
        value={name}
        onChangeText={setName}
        maxLength={120}
        onSubmit={save}
        error={tried ? nameProblem : undefined}
        large
      />
      <TextField
        label={words.calendars.description}
        value={description}
        onChangeText={setDescription}
        maxLength={2000}
      />
      <TextField
        label={words.calendars.mark}
        value={mark}
        onChangeText={(text) => setOwnMark(text.toUpperCase())}
        maxLength={2}
        hint={sameMark ? words.calendars.clashMark(sameMark.name) : words.calendars.markHint}
        error={tried ? markProblem : undefined}
      />
      <HuePicker label={words.calendars.colour} colour={colour} mark={mark} onChange={setColour} />
      {sameColour ? (
        <AppText size="small" tone="accent">
          {words.calendars.clashColour(sameColour.name)}
        </AppText>
      ) : null}
      {calendar?.feed ? (
        <>
          <AppText size="small" tone="quiet" numberOfLines={2}>
            {calendar.feed.address}
          </AppText>
          <FeedFields options={feed ?? calendar.feed} onChange={setFeed} />
        </>
      ) : (
        <>
          <ZoneField
            label={said.zone}
            value={zone}
            none={{ value: AS_EVERYWHERE, label: said.zoneHome }}
            onChange={setZone}
          />
          <SelectField
            label={said.length}
            value={length}
            options={[
              { value: AS_EVERYWHERE, label: said.lengthUsual },
              ...OFFERED_LENGTHS.map((minutes) => ({
                value: String(minutes),
                label: lengthText(minutes * MINUTE),
              })),
            ]}
            onChange={setLength}
            testID="calendar-length"
          />
        </>
      )}
      <ToggleRow
        label={said.options}
        choices={[
          { value: 'busy' as const, label: said.busy },
          { value: 'listed' as const, label: said.listed },
          ...(calendar?.feed ? [] : [{ value: 'readOnly' as const, label: said.readOnly }]),
        ]}
        values={kinds}
        onChange={setKinds}
      />
    </Sheet>
  );
}
