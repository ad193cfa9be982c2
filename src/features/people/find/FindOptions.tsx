import { StyleSheet, View } from 'react-native';
import { OFFERED_LENGTHS } from '@/core/change/calendarDefaults';
import type { Person } from '@/core/model/person';
import { MEETING_WAYS } from '@/core/people/gaps/gapQuery';
import { MINUTE } from '@/core/time/civil';
import { lengthText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { Mark } from '@/ui/primitives/Mark';
import { SelectField } from '@/ui/primitives/PlatformField';
import { ToggleRow } from '@/ui/primitives/ToggleRow';
import { space } from '@/ui/theme/tokens';
import { peopleWords as said } from '@/ui/words/people';
import { hueOf, initialsOf } from '../personMark';
import { WithinHours } from '../WithinHours';
import type { FindChoices } from './useGaps';

const EVERY = [0, 1, 2] as const;
const WEEKS = ['1', '2', '4'] as const;
const SWITCHES = { pause: 'withPause', tentative: 'overTentative', room: 'withRoom' } as const;
type Switch = keyof typeof SWITCHES;
const SWITCH_NAMES = Object.keys(SWITCHES) as Switch[];

interface FindOptionsProps {
  people: readonly Person[];
  rooms: readonly Person[];
  /** Whether it may be held again and again: what is there already keeps its dates. */
  canRepeat: boolean;
  choices: FindChoices;
  onChange: (choices: Partial<FindChoices>) => void;
  onLeaveOut: (id: string) => void;
}

/** What a time is looked for with: who has to come, how long it takes, within which time, and how people meet. */
export function FindOptions({ people, rooms, canRepeat, choices, onChange, onLeaveOut }: FindOptionsProps) {
  const { optional } = choices;
  const equipment = [...new Set(rooms.flatMap((room) => room.equipment))].sort();
  return (
    <View style={styles.options}>
      <View role="group" aria-label={said.with} style={styles.people}>
        {people.map((person) => {
          const isOptional = optional.includes(person.id);
          return (
            <View key={person.id} style={styles.person}>
              <Mark mark={initialsOf(person)} colour={hueOf(person)} off={isOptional} />
              <AppText weight="500">{person.name}</AppText>
              <Button
                dense
                kind="quiet"
                label={isOptional ? said.optional(person.name) : said.required(person.name)}
                shown={isOptional ? said.guests.optional : said.guests.required}
                onPress={() =>
                  onChange({
                    optional: isOptional
                      ? optional.filter((id) => id !== person.id)
                      : [...optional, person.id],
                  })
                }
              />
              <Button
                icon="close"
                iconOnly
                kind="quiet"
                label={said.takeOut(person.name)}
                onPress={() => onLeaveOut(person.id)}
              />
            </View>
          );
        })}
      </View>
      <View style={styles.fields}>
        <View style={styles.field}>
          <SelectField
            label={said.length}
            value={String(choices.minutes)}
            options={OFFERED_LENGTHS.map((minutes) => ({
              value: String(minutes),
              label: lengthText(minutes * MINUTE),
            }))}
            onChange={(minutes) => onChange({ minutes: Number(minutes) })}
            testID="find-length"
          />
        </View>
        <View style={styles.field}>
          <SelectField
            label={said.when}
            value={choices.weeks}
            options={WEEKS.map((value) => ({ value, label: said.weeks[value] }))}
            onChange={(value) => onChange({ weeks: WEEKS.find((weeks) => weeks === value) ?? '2' })}
            testID="find-weeks"
          />
        </View>
        {canRepeat ? (
          <View style={styles.field}>
            <SelectField
              label={said.repeats}
              value={String(choices.everyWeeks)}
              options={EVERY.map((weeks) => ({ value: String(weeks), label: said.every[weeks] }))}
              onChange={(value) =>
                onChange({ everyWeeks: EVERY.find((weeks) => String(weeks) === value) ?? 0 })
              }
              testID="find-repeats"
            />
          </View>
        ) : null}
        <WithinHours hours={choices} onChange={onChange} />
        <ChoiceRow
          label={said.way}
          choices={MEETING_WAYS.map((value) => ({ value, label: said.ways[value] }))}
          value={choices.way}
          onChange={(way) => onChange({ way })}
        />
        <ToggleRow
          label={said.also}
          choices={SWITCH_NAMES.filter(
            (name) => name !== 'room' || (rooms.length > 0 && choices.way !== 'online'),
          ).map((value) => ({ value, label: said.switches[value] }))}
          values={SWITCH_NAMES.filter((name) => choices[SWITCHES[name]])}
          onChange={(values) =>
            onChange({
              withPause: values.includes('pause'),
              overTentative: values.includes('tentative'),
              withRoom: values.includes('room'),
            })
          }
        />
        {choices.withRoom && choices.way !== 'online' && equipment.length > 0 ? (
          <ToggleRow
            label={said.fields.equipment}
            choices={equipment.map((value) => ({ value, label: value }))}
            values={choices.equipment}
            onChange={(wanted) => onChange({ equipment: wanted })}
          />
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  options: { gap: space(3) },
  people: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space(4), rowGap: space(1) },
  person: { flexDirection: 'row', alignItems: 'center', gap: space(1) },
  fields: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space(4), rowGap: space(2) },
  field: { minWidth: 120, flexGrow: 1, flexBasis: 120, maxWidth: 200 },
});
