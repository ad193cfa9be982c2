import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { clashes, proposeColour, proposeMark, saveCalendar } from '@/core/change/calendarChanges';
import { type Calendar, type Colour, HUES } from '@/core/model/calendar';
import { useCommands } from '@/features/workspace';
import { useCalendars, useSnapshot } from '@/store';
import { AppIcon } from '@/ui/icons/AppIcon';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { PickField, TextField } from '@/ui/primitives/Field';
import { Sheet } from '@/ui/primitives/Sheet';
import { useTheme } from '@/ui/theme/theme';
import { corner, focusWidth, sizes, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

/** Name, description, colour and mark of a calendar, new or there already. A free pair is proposed. */
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
        { name: name.trim(), description: description.trim(), colour, mark },
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
      footer={
        <>
          <Button label={words.actions.cancel} onPress={onClose} />
          <Button kind="primary" label={words.actions.save} onPress={save} />
        </>
      }
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
      <HuePicker colour={colour} mark={mark} onChange={setColour} />
      {sameColour ? (
        <AppText size="small" tone="accent">
          {words.calendars.clashColour(sameColour.name)}
        </AppText>
      ) : null}
      <PickField
        label={words.calendars.otherColour}
        type="color"
        value={colour.startsWith('#') ? colour : '#808080'}
        onChange={(picked) => setColour(picked)}
      />
    </Sheet>
  );
}

function HuePicker({
  colour,
  mark,
  onChange,
}: {
  colour: Colour;
  mark: string;
  onChange: (colour: Colour) => void;
}) {
  const { calendar: tonesOf, colours } = useTheme();
  return (
    <View role="radiogroup" aria-label={words.calendars.colour} style={styles.hues}>
      {HUES.map((hue) => {
        const tones = tonesOf(hue);
        const chosen = hue === colour;
        return (
          <Pressable
            key={hue}
            role="radio"
            aria-checked={chosen}
            aria-label={words.hues[hue]}
            onPress={() => onChange(hue)}
            style={[
              styles.hue,
              { backgroundColor: tones.tint, borderColor: chosen ? colours.accent : tones.tint },
            ]}
          >
            <View style={[styles.tab, { backgroundColor: tones.band }]}>
              {chosen ? (
                <AppIcon name="check" size={16} color={tones.onBand} />
              ) : (
                <AppText size="small" weight="700" colour={tones.onBand}>
                  {mark}
                </AppText>
              )}
            </View>
            <AppText size="small" weight="700" colour={tones.ink}>
              {words.hues[hue]}
            </AppText>
          </Pressable>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  hues: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  hue: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    borderWidth: focusWidth,
    borderRadius: corner,
    minHeight: sizes.target,
    width: 112,
    padding: space(1),
  },
  tab: { width: 28, height: 28, borderRadius: corner, alignItems: 'center', justifyContent: 'center' },
});
