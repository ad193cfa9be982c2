import { Suspense, useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { keepOwnNote, ownNoteOf } from '@/core/change/ownNotes';
import type { Target } from '@/core/change/target';
import { isReadOnly } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/entry';
import { useCommands } from '@/features/workspace';
import { useSnapshot, useWritableCalendars } from '@/store';
import { Button } from '@/ui/primitives/Button';
import { SelectField } from '@/ui/primitives/PlatformField';
import { TextField } from '@/ui/primitives/TextField';
import { space } from '@/ui/theme/tokens';
import { fetchQuietly, later } from '@/ui/later';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';
import { OutdoorsLine } from './OutdoorsLine';
import { AgainSheet } from './AgainSheet';

const entryAttachments = later(() => import('@/features/later').then((module) => module.EntryAttachments));
const entryInvitation = later(() => import('@/features/later').then((module) => module.EntryInvitation));
const mapLink = later(() => import('@/features/later').then((module) => module.MapLink));
const tiedTodo = later(() => import('@/features/later').then((module) => module.TiedTodo));
fetchQuietly(entryAttachments);

/** What else there is to an entry on the desk: its files, a note of one's own, other calendars and other days. */
export function EntryMore({
  occurrenceKey,
  target,
  event,
}: {
  occurrenceKey: string;
  target: Target;
  event: CalendarEvent;
}) {
  const commands = useCommands();
  const calendar = useSnapshot(({ state }) => state.calendars.get(event.calendarId));
  const writable = useWritableCalendars();
  const [isAgain, setIsAgain] = useState(false);
  const isClosed = isReadOnly(calendar);
  const others = writable.filter(({ id }) => id !== event.calendarId);
  const choices = [{ value: '', label: '…' }, ...others.map(({ id, name }) => ({ value: id, label: name }))];
  return (
    <View style={styles.more}>
      <Suspense fallback={null}>
        <mapLink.Later event={event} />
        <OutdoorsLine event={event} />
        <tiedTodo.Later event={event} />
        <entryInvitation.Later occurrenceKey={occurrenceKey} event={event} />
        <entryAttachments.Later target={target} entry={event} />
      </Suspense>
      {calendar?.feed ? <OwnNoteField key={`${event.calendarId} ${event.uid}`} event={event} /> : null}
      {isClosed ? null : (
        <View style={styles.actions}>
          <Button label={exchangeWords.duplicate} onPress={() => commands.duplicate(occurrenceKey)} />
          <Button label={exchangeWords.again.action} onPress={() => setIsAgain(true)} />
        </View>
      )}
      {others.length > 0 ? (
        <View style={styles.calendars}>
          {isClosed ? null : (
            <SelectField
              label={words.desk.moveToCalendar}
              value=""
              options={choices}
              onChange={(id) => id && commands.toCalendar([occurrenceKey], id)}
              testID="move-one"
            />
          )}
          <SelectField
            label={exchangeWords.copyTo}
            value=""
            options={choices}
            onChange={(id) => id && commands.copyTo([occurrenceKey], id)}
            testID="copy-one"
          />
        </View>
      ) : null}
      {isAgain ? (
        <AgainSheet occurrenceKey={occurrenceKey} event={event} onClose={() => setIsAgain(false)} />
      ) : null}
    </View>
  );
}

/** A note of the person's own on an entry of a feed, kept when it is left. */
function OwnNoteField({ event }: { event: CalendarEvent }) {
  const state = useSnapshot((snapshot) => snapshot.state);
  const { commit, context } = useCommands();
  const kept = ownNoteOf(state, event)?.text ?? '';
  const [text, setText] = useState(kept);
  const save = useRef<() => void>(() => undefined);
  useEffect(() => {
    save.current = () => {
      if (text.trim() !== kept) commit(keepOwnNote(state, event, text, context()));
    };
  });
  // Who goes to another entry while writing has the note kept, and who leaves the page.
  useEffect(() => {
    const onHidden = () => {
      if (document.visibilityState === 'hidden') save.current();
    };
    const onLeaving = () => save.current();
    document.addEventListener('visibilitychange', onHidden);
    // Before the store hands over what isn't stored yet.
    window.addEventListener('pagehide', onLeaving, { capture: true });
    return () => {
      document.removeEventListener('visibilitychange', onHidden);
      window.removeEventListener('pagehide', onLeaving, { capture: true });
      save.current();
    };
  }, []);
  return (
    <View style={styles.note}>
      <TextField
        label={exchangeWords.ownNote.label}
        value={text}
        onChangeText={setText}
        onBlur={() => save.current()}
        hint={exchangeWords.ownNote.hint}
        maxLength={20_000}
        multiline
        testID="own-note"
      />
      {text.trim() === kept ? null : (
        <Button label={exchangeWords.ownNote.save} onPress={() => save.current()} style={styles.save} />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  more: { gap: space(3) },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  calendars: { flexDirection: 'row', gap: space(3) },
  note: { gap: space(2) },
  save: { alignSelf: 'flex-start' },
});
