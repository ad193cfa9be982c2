import { useState } from 'react';
import { View } from 'react-native';
import { deleteCalendar } from '@/core/change/calendarChanges';
import type { Calendar } from '@/core/model/calendar';
import { withdrawn } from '@/features/publish';
import { useCommands } from '@/features/workspace';
import { useSnapshot, useWritableCalendars } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { Sheet } from '@/ui/primitives/Sheet';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';

const BIN = 'bin';

/** Asks what becomes of a calendar's entries before it is deleted. */
export function DeleteCalendarSheet({
  calendar,
  count,
  onClose,
}: {
  calendar: Calendar;
  count: number;
  onClose: () => void;
}) {
  const others = useWritableCalendars().filter(({ id }) => id !== calendar.id);
  const state = useSnapshot((snapshot) => snapshot.state);
  const { commit, context, refuse } = useCommands();
  const [choice, setChoice] = useState(calendar.feed ? BIN : (others[0]?.id ?? BIN));
  const go = async () => {
    if (!(await withdrawn(calendar))) return refuse(exchangeWords.publish.failed);
    commit(deleteCalendar(state, calendar.id, choice === BIN ? 'bin' : { calendarId: choice }, context()));
    onClose();
  };
  return (
    <Sheet
      title={words.calendars.deleteTitle(calendar.name)}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      go={{ label: words.calendars.confirmDelete, onPress: () => void go(), kind: 'danger' }}
    >
      <AppText>{count > 0 ? words.calendars.deleteText(count) : words.calendars.deleteEmpty}</AppText>
      {count > 0 ? (
        <View>
          <ChoiceRow
            label={words.calendars.entries(count)}
            value={choice}
            onChange={setChoice}
            choices={[
              ...others.map((other) => ({ value: other.id, label: words.calendars.moveTo(other.name) })),
              { value: BIN, label: words.calendars.toBin },
            ]}
          />
        </View>
      ) : null}
    </Sheet>
  );
}
