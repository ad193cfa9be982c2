import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { targetCalendar } from '@/core/change/calendarChanges';
import { makeOffer } from '@/core/change/offers/offerChanges';
import { MOST_OFFERED } from '@/core/model/offer';
import { slotsWithin } from '@/core/people/freeTimes/slots';
import { DAY } from '@/core/time/civil';
import type { InstantRange } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import { useCommands } from '@/features/workspace';
import { newSecret, useOpenStore } from '@/store';
import { dayText, timeText } from '@/ui/dates';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Check } from '@/ui/primitives/Check';
import { SelectField } from '@/ui/primitives/PlatformField';
import { TextField } from '@/ui/primitives/TextField';
import { ToggleRow } from '@/ui/primitives/ToggleRow';
import { space } from '@/ui/theme/tokens';
import { offerWords as said } from '@/ui/words/offers';

const OPEN_FOR = ['2', '7', '14'] as const;

/** Some of one's free times on a page where another presses the one that suits them. */
export function OfferTimes({
  free,
  minutes,
  zone,
}: {
  free: readonly InstantRange[];
  /** How long each is. */
  minutes: number;
  /** The clock of who chooses. */
  zone: string;
}) {
  const { store } = useOpenStore();
  const { commit, context, refuse } = useCommands();
  const [title, setTitle] = useState(said.firstName);
  const [starts, setStarts] = useState<readonly string[]>([]);
  const [isHeld, setHeld] = useState(true);
  const [days, setDays] = useState<(typeof OPEN_FOR)[number]>('7');
  const slots = slotsWithin(free, minutes);
  const chosen = slots.filter(({ start }) => starts.includes(String(start)));
  const byDay = new Map<number, InstantRange[]>();
  for (const slot of slots) {
    const day = Math.floor(instantToWall(zone, slot.start) / DAY);
    byDay.set(day, [...(byDay.get(day) ?? []), slot]);
  }
  const make = () => {
    const { state } = store.getSnapshot();
    const calendar = targetCalendar(state, new Set());
    if (!calendar) return refuse(said.noCalendar);
    const { now } = context();
    const fields = {
      title: title.trim(),
      calendarId: calendar.id,
      zone,
      expires: now + Number(days) * DAY,
      address: { token: newSecret(), key: newSecret(), since: now },
      times: chosen,
      isHeld,
    };
    if (commit(makeOffer(state, fields, context()))) setStarts([]);
  };
  return (
    <View role="group" aria-label={said.title} style={styles.offer} testID="offer-times">
      <TitleText level={3} size="body">
        {said.title}
      </TitleText>
      <AppText size="small" tone="quiet">
        {said.about}
      </AppText>
      <TextField label={said.name} value={title} onChangeText={setTitle} testID="offer-title" />
      {[...byDay].map(([day, own]) => (
        <ToggleRow
          key={day}
          label={dayText(day)}
          choices={own.map(({ start }) => ({
            value: String(start),
            label: timeText(instantToWall(zone, start)),
          }))}
          values={starts.filter((start) => own.some((slot) => String(slot.start) === start))}
          onChange={(values) =>
            setStarts([
              ...starts.filter((start) => !own.some((slot) => String(slot.start) === start)),
              ...values,
            ])
          }
        />
      ))}
      <Check label={said.hold} checked={isHeld} onChange={setHeld} />
      <View style={styles.row}>
        <View style={styles.field}>
          <SelectField
            label={said.openFor}
            value={days}
            options={OPEN_FOR.map((value) => ({ value, label: said.daysOpen[value] }))}
            onChange={(value) => setDays(OPEN_FOR.find((each) => each === value) ?? '7')}
          />
        </View>
        <Button
          kind="primary"
          label={said.make}
          disabled={chosen.length === 0 || chosen.length > MOST_OFFERED || title.trim() === ''}
          onPress={make}
          testID="make-offer"
        />
      </View>
      <AppText size="small" tone="quiet" role="status">
        {chosen.length === 0
          ? said.choose
          : chosen.length > MOST_OFFERED
            ? said.most(MOST_OFFERED)
            : said.chosen(chosen.length)}
      </AppText>
    </View>
  );
}

const styles = StyleSheet.create({
  offer: { gap: space(3) },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-end', gap: space(3) },
  field: { minWidth: 160 },
});
