import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Person } from '@/core/model/person';
import { ownBusy } from '@/core/people/busy/ownBusy';
import { freeTimes } from '@/core/people/freeTimes/freeTimes';
import { DAY, MINUTE } from '@/core/time/civil';
import { cityOf, instantToWall } from '@/core/time/zones';
import { ZoneField } from '@/features/zones';
import { useDays, useNow, useNowWall, useSettings, useDaysOff } from '@/store';
import { dayText, lengthText, timeRangeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Check } from '@/ui/primitives/Check';
import { SelectField } from '@/ui/primitives/PlatformField';
import { TextField } from '@/ui/primitives/TextField';
import { space } from '@/ui/theme/tokens';
import { peopleWords } from '@/ui/words/people';
import { type Hours, WithinHours } from '../WithinHours';
import { OfferList } from '../offers/OfferList';
import { OfferTimes } from '../offers/OfferTimes';
import { FreeTimeLetter } from './FreeTimeLetter';
import { SideHead } from '../SideHead';

const said = peopleWords.freeTimes;
const DAYS = ['3', '5', '7', '14'] as const;
const LENGTHS = [15, 30, 45, 60, 90, 120];

interface Choices extends Hours {
  readonly days: (typeof DAYS)[number];
  readonly minutes: number;
  readonly zone: string;
  readonly overTentative: boolean;
}

/** One's free times as a short text, in the reader's zone: copied, or sent to those who are chosen. */
export function FreeTimeNote({ people, onClose }: { people: readonly Person[]; onClose: () => void }) {
  const { homeZone, workingPattern } = useSettings();
  const now = Math.floor(useNow() / (5 * MINUTE)) * 5 * MINUTE;
  const today = Math.floor(useNowWall(homeZone) / DAY);
  const [choices, setChoices] = useState<Choices>({
    days: '5',
    minutes: 30,
    earliest: undefined,
    latest: undefined,
    // Who reads it knows their own clock.
    zone: people.length === 1 ? (people[0]!.zone ?? homeZone) : homeZone,
    overTentative: false,
  });
  const [written, setWritten] = useState<string>();
  const [isCopied, setCopied] = useState(false);
  const end = today + Number(choices.days) + 1;
  const { answer } = useDays(today, end, { withoutCancelled: true });
  const daysOff = useDaysOff(today, end);
  const free = answer
    ? freeTimes({
        ...choices,
        zone: homeZone,
        first: today,
        end,
        workingPattern,
        busy: ownBusy([...answer.occurrences, ...answer.travelling]),
        daysOff,
        now,
      })
    : [];
  const lines = new Map<number, string[]>();
  for (const range of free) {
    const [from, until] = [range.start, range.end].map((instant) => instantToWall(choices.zone, instant));
    const day = Math.floor(from! / DAY);
    lines.set(day, [...(lines.get(day) ?? []), timeRangeText(from!, until!)]);
  }
  const made = said.text(
    [...lines].map(([day, times]) => `${dayText(day)}: ${times.join(', ')}`),
    cityOf(choices.zone),
  );
  const text = written ?? made;
  const change = (changes: Partial<Choices>) => {
    setWritten(undefined);
    setCopied(false);
    setChoices({ ...choices, ...changes });
  };
  return (
    <View role="region" aria-label={said.title} style={styles.note} testID="free-time-note">
      <SideHead title={said.title} onClose={onClose} />
      <View style={styles.fields}>
        <View style={styles.field}>
          <SelectField
            label={said.days}
            value={choices.days}
            options={DAYS.map((value) => ({ value, label: said.nextDays(Number(value)) }))}
            onChange={(value) => change({ days: DAYS.find((days) => days === value) ?? '5' })}
            testID="free-days"
          />
        </View>
        <View style={styles.field}>
          <SelectField
            label={said.atLeast}
            value={String(choices.minutes)}
            options={LENGTHS.map((minutes) => ({
              value: String(minutes),
              label: lengthText(minutes * MINUTE),
            }))}
            onChange={(minutes) => change({ minutes: Number(minutes) })}
            testID="free-length"
          />
        </View>
        <WithinHours hours={choices} onChange={change} />
        <View style={styles.zone}>
          <ZoneField
            label={said.zone}
            value={choices.zone}
            onChange={(zone) => change({ zone })}
            testID="free-zone"
          />
        </View>
      </View>
      <Check
        label={said.overTentative}
        checked={choices.overTentative}
        onChange={(overTentative) => change({ overTentative })}
      />
      {answer && free.length === 0 ? <AppText tone="quiet">{said.none}</AppText> : null}
      <TextField
        label={said.asText}
        value={text}
        onChangeText={(next) => {
          setCopied(false);
          setWritten(next);
        }}
        multiline="long"
        testID="free-text"
      />
      <View style={styles.actions}>
        <Button
          kind="primary"
          icon="content-copy"
          label={said.copy}
          disabled={free.length === 0 && written === undefined}
          onPress={() => void navigator.clipboard.writeText(text).then(() => setCopied(true))}
        />
        <FreeTimeLetter people={people} text={text} isEmpty={free.length === 0 && written === undefined} />
      </View>
      <AppText role="status" tone="quiet" size="small">
        {isCopied ? said.copied : ''}
      </AppText>
      <OfferTimes free={free} minutes={choices.minutes} zone={choices.zone} />
      <OfferList />
    </View>
  );
}

const styles = StyleSheet.create({
  note: { gap: space(3) },
  fields: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space(4), rowGap: space(2) },
  field: { minWidth: 120, flexGrow: 1, flexBasis: 120, maxWidth: 200 },
  zone: { flexGrow: 1, flexBasis: 220, maxWidth: 360 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
});
