import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { CalendarEvent } from '@/core/model/entry';
import type { EventTime } from '@/core/model/eventTime';
import { DAY, dateString, localString, parseLocal } from '@/core/time/civil';
import { atWall, instantOf, wallOf } from '@/core/time/eventTime';
import { AppText } from '@/ui/primitives/AppText';
import { DateField } from '@/ui/primitives/dates/DateField';
import { TimeField } from '@/ui/primitives/dates/TimeField';
import { Sheet } from '@/ui/primitives/Sheet';
import { TextField } from '@/ui/primitives/TextField';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { invitationWords } from '@/ui/words/invitations';
import { OwnDay } from './OwnDay';

const said = invitationWords.own;

/** The instant that a date and a time name, as a wall time; undefined while they are half-typed. */
function wallAt(date: string, time: string): number | undefined {
  const wall =
    /^\d{4}-\d\d-\d\d$/.test(date) && /^\d\d:\d\d$/.test(time) ? parseLocal(`${date}T${time}:00`) : NaN;
  return Number.isFinite(wall) ? wall : undefined;
}

/** Proposes another time, as long as the one that was told, beside what is on that day. */
export function OtherTimeSheet({
  event,
  comment,
  onPropose,
  onClose,
}: {
  event: CalendarEvent;
  comment: string;
  onPropose: (times: { start: EventTime; end: EventTime }, comment: string) => void;
  onClose: () => void;
}) {
  const isAllDay = event.start.kind === 'date';
  const first = wallOf(event.start);
  const [date, setDate] = useState(dateString(Math.floor(first / DAY)));
  const [time, setTime] = useState(localString(first).slice(11, 16));
  const [text, setText] = useState(comment);
  const wall = wallAt(date, isAllDay ? '00:00' : time);
  const times =
    wall === undefined
      ? undefined
      : { start: atWall(event.start, wall), end: atWall(event.end, wall + wallOf(event.end) - first) };
  const isSame = wall === first;
  return (
    <Sheet
      title={said.otherTimeTitle}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      go={{
        label: said.propose,
        disabled: !times || isSame,
        onPress: () => times && onPropose(times, text.trim()),
      }}
    >
      <View style={styles.row}>
        <DateField label={words.editor.startDate} value={date} onChange={setDate} testID="other-date" />
        {isAllDay ? null : (
          <TimeField label={words.editor.startTime} value={time} onChange={setTime} testID="other-time" />
        )}
      </View>
      {times && event.start.kind === 'zoned' ? (
        <OwnDay
          start={instantOf(times.start, event.start.zone)}
          end={instantOf(times.end, event.start.zone)}
          exceptEntryIds={[event.id, event.seriesId ?? '']}
        />
      ) : null}
      <TextField label={said.words} value={text} onChangeText={setText} maxLength={4000} multiline />
      <AppText size="small" tone="quiet">
        {invitationWords.relayAbout}
      </AppText>
    </Sheet>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(3) } });
