import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { changeSettings } from '@/core/change/calendarChanges';
import { entriesOfUid } from '@/core/change/invitations/entriesOfUid';
import { untoldIn } from '@/core/change/invitations/tellGuests';
import { editEach, madeOfEach } from '@/core/change/editEach';
import { isRefused } from '@/core/change/eventFields';
import type { CalendarUser } from '@/core/model/calendarUser';
import { guestName } from '@/core/people/guests';
import type { Audience } from '@/core/people/invitations/telling';
import { useCommands } from '@/features/workspace';
import { useOpenStore, useSettings, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { RadioList } from '@/ui/primitives/RadioList';
import { Sheet } from '@/ui/primitives/Sheet';
import { TextField } from '@/ui/primitives/TextField';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { invitationWords } from '@/ui/words/invitations';
import { useInvitationDeeds } from './useInvitationDeeds';
import { whenText } from './wording';
import { isAddress } from '@/core/model/emailAddress';

const said = invitationWords.tell;
const LONGEST_NAME = 200;

const namesOf = (guests: readonly CalendarUser[]): string => guests.map(guestName).join(', ');

/** Asks whom to tell of an entry, with which words; nothing goes out before that is pressed. */
export function TellSheet({ uid, onClose }: { uid: string; onClose: () => void }) {
  const { store } = useOpenStore();
  const { context } = useCommands();
  const settings = useSettings();
  const deeds = useInvitationDeeds();
  const state = useSnapshot((snapshot) => snapshot.state);
  const events = entriesOfUid(state, uid);
  const untold = untoldIn(state, uid);
  const told = state.invitations.get(uid)?.events ?? [];
  const about = events[0] ?? told[0];
  const [title, setTitle] = useState(about?.title ?? '');
  const [comment, setComment] = useState('');
  const [audience, setAudience] = useState<Audience>('all');
  const { email = '', name = '' } = settings.addresses ?? {};
  const [own, setOwn] = useState({ email, name, isWrong: false });
  // Another page has told them meanwhile, or it was taken back.
  if (!untold || !about) return null;
  const isFirst = untold.kind === 'invited';
  const hasParts = untold.touched.length < untold.all.length && untold.touched.length > 0;
  const count = hasParts && audience === 'touched' ? untold.touched.length : untold.all.length;
  const needsOwn = email === '';
  const send = async () => {
    if (needsOwn && !isAddress(own.email)) {
      setOwn({ ...own, isWrong: true });
      return;
    }
    onClose();
    if (needsOwn) {
      const addresses = { phone: '', ...settings.addresses, email: own.email.trim(), name: own.name.trim() };
      await store.commit(changeSettings(store.getSnapshot().state, { addresses }, context()), 'quiet');
    }
    if (isFirst && events[0] && title.trim() !== events[0].title) {
      const renamed = madeOfEach(
        editEach(
          store.getSnapshot().state,
          [{ entryId: events[0].id }],
          'every',
          (event) => ({ ...event, title: title.trim() }),
          context(),
        ),
        { what: 'entries-batch', name: title.trim() },
      );
      if (renamed && !isRefused(renamed)) await store.commit(renamed);
    }
    await deeds.tell(uid, { audience: hasParts ? audience : 'all', comment: comment.trim() });
  };
  return (
    <Sheet
      title={said.titles[untold.kind](about.title || words.entry.noTitle)}
      closeLabel={said.later}
      onClose={onClose}
      footer={
        <View style={styles.footer}>
          <Button
            kind="quiet"
            label={said.nobody}
            onPress={() => {
              onClose();
              void deeds.tellNobody(uid);
            }}
          />
          <View style={styles.grow} />
          <Button label={said.later} onPress={onClose} />
          <Button
            kind="primary"
            label={said.send(count)}
            onPress={() => void send()}
            testID="send-invitation"
          />
        </View>
      }
    >
      <View style={styles.lines}>
        <AppText figures weight="700">
          {whenText(about)}
        </AppText>
        {about.location ? <AppText>{about.location}</AppText> : null}
        <AppText tone="quiet">{namesOf(untold.all)}</AppText>
      </View>
      {untold.kind === 'changed' ? (
        <View style={styles.lines} role="status">
          {untold.fields.length > 0 ? (
            <AppText>{said.changed(invitationWords.fields(untold.fields))}</AppText>
          ) : null}
          {untold.added.length > 0 ? <AppText>{said.added(namesOf(untold.added))}</AppText> : null}
          {untold.removed.length > 0 ? <AppText>{said.removed(namesOf(untold.removed))}</AppText> : null}
          {untold.isRescheduled ? <AppText tone="accent">{said.asked}</AppText> : null}
        </View>
      ) : null}
      {isFirst ? (
        <TextField
          label={said.title}
          value={title}
          onChangeText={setTitle}
          maxLength={1000}
          testID="invitation-title"
        />
      ) : null}
      {needsOwn ? (
        <View style={styles.lines} role="group" aria-label={said.own}>
          <TextField
            label={said.own}
            value={own.email}
            onChangeText={(text) => setOwn({ ...own, email: text, isWrong: false })}
            error={own.isWrong ? said.ownWrong : undefined}
            hint={said.ownAbout}
            testID="own-address"
          />
          <TextField
            label={said.ownName}
            value={own.name}
            maxLength={LONGEST_NAME}
            onChangeText={(text) => setOwn({ ...own, name: text })}
          />
        </View>
      ) : null}
      {hasParts ? (
        <RadioList
          label={said.who}
          choices={[
            { value: 'all', label: said.all(untold.all.length), hint: '' },
            { value: 'touched', label: said.touched(namesOf(untold.touched)), hint: '' },
          ]}
          value={audience}
          onChange={setAudience}
        />
      ) : null}
      <TextField
        label={said.words}
        value={comment}
        onChangeText={setComment}
        maxLength={4000}
        multiline
        testID="invitation-words"
      />
      <AppText size="small" tone="quiet">
        {said.goesAlong}
      </AppText>
      <AppText size="small" tone="quiet">
        {invitationWords.relayAbout}
      </AppText>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  footer: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2), flex: 1, alignItems: 'center' },
  grow: { flex: 1 },
  lines: { gap: space(1) },
});
