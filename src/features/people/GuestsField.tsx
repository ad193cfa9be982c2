import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { CalendarUser } from '@/core/model/calendarUser';
import { GUESTS_MAY, type GuestsMay } from '@/core/model/entry';
import {
  guestName,
  guestOf,
  inNextRole,
  isForInformation,
  isOptional,
  withGuest,
} from '@/core/people/guests';
import { usePeople } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { TextField } from '@/ui/primitives/TextField';
import { ToggleRow } from '@/ui/primitives/ToggleRow';
import { space } from '@/ui/theme/tokens';
import { invitationWords, MAY } from '@/ui/words/invitations';
import { peopleWords } from '@/ui/words/people';
import { FindButton } from './find/FindButton';
import { DRAFT } from './find/useSubject';
import { GuestRow } from './GuestRow';
import { isAddress, plainAddress } from '@/core/model/emailAddress';

const said = peopleWords.guests;
/** So many are offered while a name is typed. */
const MOST = 5;

/** Who is invited: found by name among one's people, or typed as an address; each has to come, or need not. */
export function GuestsField({
  guests,
  invitedBy,
  may,
  onChange,
  onMay,
}: {
  guests: readonly CalendarUser[];
  /** Who else invites: then the guests are theirs to choose. */
  invitedBy: CalendarUser | undefined;
  /** What they may do beside answering. */
  may: readonly GuestsMay[];
  onChange: (guests: CalendarUser[]) => void;
  onMay: (may: GuestsMay[]) => void;
}) {
  const people = usePeople();
  const [typed, setTyped] = useState('');
  const text = typed.trim().toLocaleLowerCase();
  const invited = new Set(guests.map(({ address }) => plainAddress(address)));
  const offered =
    text === ''
      ? []
      : people
          .filter(
            ({ name, addresses }) =>
              addresses.length > 0 &&
              !invited.has(plainAddress(addresses[0]!)) &&
              [name, ...addresses].some(
                (each) =>
                  each
                    .toLocaleLowerCase()
                    .split(/[\s.@]+/)
                    .some((word) => word.startsWith(text)) || each.toLocaleLowerCase().startsWith(text),
              ),
          )
          .slice(0, MOST);
  const invite = (guest: CalendarUser) => {
    onChange(withGuest(guests, guest));
    setTyped('');
  };
  const address = typed.trim();
  const isTyped = isAddress(address) && !invited.has(plainAddress(address));
  const inviteTyped = () => invite(guestOf({ name: address, kind: 'colleague', addresses: [address] }, true));
  if (invitedBy)
    return (
      <View style={styles.field} role="group" aria-label={said.title} testID="guests">
        <AppText size="small" tone="quiet">
          {`${said.title}. ${invitationWords.guests.theirs(guestName(invitedBy))}`}
        </AppText>
        {guests.map((guest) => (
          <GuestRow key={guest.address} guest={guest} />
        ))}
      </View>
    );
  return (
    <View style={styles.field} role="group" aria-label={said.title} testID="guests">
      <AppText size="small" tone="quiet">
        {said.title}
      </AppText>
      {guests.map((guest) => (
        <GuestRow key={guest.address} guest={guest}>
          <Button
            dense
            kind="quiet"
            label={
              isForInformation(guest)
                ? peopleWords.informed(guestName(guest))
                : isOptional(guest)
                  ? peopleWords.optional(guestName(guest))
                  : peopleWords.required(guestName(guest))
            }
            shown={
              isForInformation(guest)
                ? invitationWords.guests.information
                : isOptional(guest)
                  ? said.optional
                  : said.required
            }
            onPress={() => onChange(guests.map((other) => (other === guest ? inNextRole(guest) : other)))}
          />
          <Button
            icon="close"
            iconOnly
            kind="quiet"
            label={said.remove(guestName(guest))}
            onPress={() => onChange(guests.filter((other) => other !== guest))}
          />
        </GuestRow>
      ))}
      {guests.length > 0 ? (
        <>
          <ToggleRow
            label={invitationWords.guests.may}
            choices={GUESTS_MAY.map((value) => ({ value, label: MAY[value] }))}
            values={may}
            onChange={onMay}
          />
          <FindButton guests={guests} about={DRAFT} />
          <AppText size="small" tone="quiet">
            {said.notSent}
          </AppText>
        </>
      ) : null}
      <TextField
        label={said.add}
        hideLabel
        value={typed}
        placeholder={said.add}
        onChangeText={setTyped}
        onSubmit={() => {
          const [first] = offered;
          if (first) invite(guestOf(first, true));
          else if (isTyped) inviteTyped();
        }}
        testID="guest-name"
      />
      {offered.length > 0 || isTyped ? (
        <View style={styles.offered}>
          {offered.map((person) => (
            <Button
              key={person.id}
              dense
              icon="plus"
              label={said.typed(person.name)}
              shown={person.name}
              onPress={() => invite(guestOf(person, true))}
            />
          ))}
          {isTyped ? (
            <Button dense icon="plus" label={said.typed(address)} shown={address} onPress={inviteTyped} />
          ) : null}
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: space(1) },
  offered: { flexDirection: 'row', flexWrap: 'wrap', gap: space(1) },
});
