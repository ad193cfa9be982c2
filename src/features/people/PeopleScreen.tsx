import { type ReactNode, useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { mergePeople, removePeople } from '@/core/change/peopleChanges';
import { useCommands } from '@/features/workspace';
import { useOpenStore, usePeople } from '@/store';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { space, WIDE } from '@/ui/theme/tokens';
import { invitationWords } from '@/ui/words/invitations';
import { peopleWords as said } from '@/ui/words/people';
import { sharingWords } from '@/ui/words/sharing';
import { FindTime } from './find/FindTime';
import { FreeTimeNote } from './free/FreeTimeNote';
import { WaitingList } from './invitations/WaitingList';
import { WaitingPage } from './invitations/WaitingPage';
import { makeFromMail, PASTED } from './mail/mailDraft';
import { OfferList } from './offers/OfferList';
import { PeopleList } from './PeopleList';
import { PersonPage } from './PersonPage';
import { PersonSheet } from './PersonSheet';
import { SharesPage } from './sharing/SharesPage';
import { SharingPage } from './sharing/SharingPage';
import { useBusyTimes } from './useBusyTimes';
import { type PeopleSide, usePeopleAddress } from './usePeopleAddress';
import { useMeetNow } from './useMeetNow';
import { usePeopleFiles } from './usePeopleFiles';

/** Colleagues and rooms, what they are at, and a time that suits them: People. */
export function PeopleScreen() {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const wide = width >= WIDE;
  const people = usePeople();
  const known = useBusyTimes(people);
  const { look, show } = usePeopleAddress();
  const meetNow = useMeetNow();
  const [editing, setEditing] = useState<{ id?: string }>();
  const { chosen: ids, side: beside } = look;
  const chosen = people.filter(({ id }) => ids.includes(id));
  const attending = chosen.filter(({ kind }) => kind === 'colleague');
  const rooms = people.filter(({ kind }) => kind === 'room');
  const chosenRooms = chosen.filter(({ kind }) => kind === 'room');
  const close = () => show({ side: undefined });
  const sideFor = (shown: PeopleSide): ReactNode => {
    switch (shown.kind) {
      case 'finding':
        return (
          <FindTime
            key={shown.about}
            people={attending}
            rooms={chosenRooms.length > 0 ? chosenRooms : rooms}
            known={known}
            about={shown.about}
            onLeaveOut={(id) => show(({ chosen: now }) => ({ chosen: chosenWith(now, id, false) }))}
            onClose={close}
          />
        );
      case 'free':
        return <FreeTimeNote key={attending.map(({ id }) => id).join()} people={attending} onClose={close} />;
      case 'waiting':
        return <WaitingPage key={shown.id} id={shown.id} onClose={close} />;
      case 'shares':
        return <SharesPage onShow={(id) => show({ side: { kind: 'sharing', id } })} onClose={close} />;
      case 'sharing':
        return <SharingPage key={shown.id} id={shown.id} onClose={close} />;
      case 'person': {
        const person = people.find(({ id }) => id === shown.id);
        return person ? (
          <PersonPage
            key={person.id}
            person={person}
            times={known.times.get(person.id)}
            onShare={() => show({ side: { kind: 'sharing', id: person.id } })}
            onEdit={() => setEditing({ id: person.id })}
            onFind={() =>
              show(({ chosen: now }) => ({
                chosen: chosenWith(now, person.id, true),
                side: { kind: 'finding' },
              }))
            }
            onClose={close}
          />
        ) : null;
      }
    }
  };
  const side = beside ? sideFor(beside) : null;
  const list = (
    <>
      <PeopleTools
        chosen={chosen.map(({ id }) => id)}
        attending={attending.length}
        onAdd={() => setEditing({})}
        onFind={() => show({ side: { kind: 'finding' } })}
        onTell={() => show({ side: { kind: 'free' } })}
        onMail={() => makeFromMail(PASTED)}
        onMeet={() => meetNow(attending)}
        onShares={() => show({ side: { kind: 'shares' } })}
        onClear={() => show({ chosen: [] })}
        isCompact={!wide || side !== null}
      />
      <AppText size="small" tone="quiet">
        {said.directoryAbout}
      </AppText>
      <WaitingList
        shown={beside?.kind === 'waiting' ? beside.id : undefined}
        onShow={(id) => show({ side: { kind: 'waiting', id } })}
      />
      {beside?.kind === 'free' ? null : <OfferList />}
      {people.length === 0 ? <AppText tone="quiet">{said.none}</AppText> : null}
      {known.isAway ? <AppText role="status">{said.away}</AppText> : null}
      <PeopleList
        people={people}
        times={known.times}
        chosen={ids}
        shown={beside?.kind === 'person' ? beside.id : undefined}
        onChoose={(id, isChosen) => show(({ chosen: now }) => ({ chosen: chosenWith(now, id, isChosen) }))}
        onShow={(id) => show({ side: { kind: 'person', id } })}
      />
    </>
  );
  return (
    <View style={[styles.screen, { backgroundColor: colours.page }]}>
      <View role="main" style={styles.main}>
        {wide || !side ? (
          <ScrollView
            contentContainerStyle={wide ? styles.wide : styles.part}
            style={wide ? (side ? styles.list : styles.alone) : null}
          >
            <TitleText level={1} size="display" style={wide ? null : styles.unseen}>
              {said.title}
            </TitleText>
            {list}
          </ScrollView>
        ) : null}
        {side ? (
          <ScrollView contentContainerStyle={wide ? styles.wide : styles.part} style={styles.side}>
            {side}
          </ScrollView>
        ) : null}
      </View>
      {editing ? (
        <PersonSheet
          person={people.find(({ id }) => id === editing.id)}
          onClose={(id) => {
            setEditing(undefined);
            if (id !== undefined) show({ side: { kind: 'person', id } });
          }}
        />
      ) : null}
    </View>
  );
}

/** Those who are chosen, with somebody more or without them. */
const chosenWith = (chosen: readonly string[], id: string, isChosen: boolean): string[] => [
  ...chosen.filter((other) => other !== id),
  ...(isChosen ? [id] : []),
];

/** What is done with those who are chosen, and how others come in. */
function PeopleTools({
  chosen,
  attending,
  onAdd,
  onFind,
  onTell,
  onMail,
  onMeet,
  onShares,
  onClear,
  isCompact,
}: {
  chosen: readonly string[];
  attending: number;
  onAdd: () => void;
  onFind: () => void;
  onTell: () => void;
  onMail: () => void;
  onMeet: () => void;
  onShares: () => void;
  onClear: () => void;
  /** Whether there is room for signs alone. */
  isCompact: boolean;
}) {
  const { store } = useOpenStore();
  const { commit, context } = useCommands();
  const files = usePeopleFiles();
  const state = () => store.getSnapshot().state;
  const change = (patch: ReturnType<typeof removePeople>) => {
    if (patch && commit(patch)) onClear();
  };
  return (
    <View style={styles.tools}>
      <Button
        kind="primary"
        label={said.findTime(attending)}
        disabled={attending === 0}
        onPress={onFind}
        testID="find-time-with"
      />
      {attending > 0 ? (
        <Button
          icon="link-variant"
          iconOnly={isCompact}
          label={invitationWords.online.startNow}
          onPress={onMeet}
        />
      ) : null}
      <Button icon="clock-outline" iconOnly={isCompact} label={said.freeTimes.open} onPress={onTell} />
      <Button
        icon="note-text-outline"
        iconOnly={isCompact}
        label={invitationWords.fromMail.open}
        onPress={onMail}
      />
      <Button
        icon="share-variant-outline"
        iconOnly={isCompact}
        label={sharingWords.open}
        onPress={onShares}
      />
      {chosen.length === 0 ? (
        <>
          <Button icon="plus" iconOnly={isCompact} label={said.add} onPress={onAdd} />
          <Button
            icon="refresh"
            iconOnly={isCompact}
            label={said.directory}
            disabled={files.isBusy}
            onPress={() => void files.takeDirectory()}
          />
          <Button
            icon="upload-outline"
            iconOnly={isCompact}
            label={said.openCards}
            disabled={files.isBusy}
            onPress={() => void files.openCards()}
          />
        </>
      ) : null}
      {chosen.length > 1 ? (
        <Button
          icon="call-merge"
          iconOnly={isCompact}
          label={said.merge(chosen.length)}
          onPress={() => change(mergePeople(state(), chosen, context()))}
        />
      ) : null}
      {chosen.length > 0 ? (
        <Button
          icon="delete-outline"
          iconOnly={isCompact}
          label={said.remove}
          onPress={() => change(removePeople(state(), chosen, context()))}
        />
      ) : null}
      <Button
        icon="download-outline"
        iconOnly={isCompact}
        label={said.saveCards}
        onPress={() => void files.saveCards(chosen.length > 0 ? chosen : undefined)}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  main: { flex: 1, flexDirection: 'row', minHeight: 0 },
  part: { padding: space(2), gap: space(3) },
  wide: { padding: space(4), gap: space(3) },
  list: { flexBasis: 420, flexGrow: 0, flexShrink: 0 },
  alone: { maxWidth: 760 },
  side: { flex: 1, minWidth: 0 },
  tools: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  unseen: { position: 'absolute', width: 1, height: 1, overflow: 'hidden', opacity: 0 },
});
