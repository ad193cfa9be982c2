import { useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { mergePeople, removePeople } from '@/core/change/peopleChanges';
import { useCommands } from '@/features/workspace';
import { useOpenStore, usePeople } from '@/store';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { space, WIDE } from '@/ui/theme/tokens';
import { peopleWords as said } from '@/ui/words/people';
import { FindTime } from './find/FindTime';
import { WaitingList } from './invitations/WaitingList';
import { WaitingPage } from './invitations/WaitingPage';
import { PeopleList } from './PeopleList';
import { PersonPage } from './PersonPage';
import { PersonSheet } from './PersonSheet';
import { useBusyTimes } from './useBusyTimes';
import { usePeopleAddress } from './usePeopleAddress';
import { usePeopleFiles } from './usePeopleFiles';

/** Colleagues and rooms, what they are at, and a time that suits them: People. */
export function PeopleScreen() {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const wide = width >= WIDE;
  const people = usePeople();
  const known = useBusyTimes(people);
  const { look, show } = usePeopleAddress();
  const [editing, setEditing] = useState<{ id?: string }>();
  const person = people.find(({ id }) => id === look.who);
  const chosen = people.filter(({ id }) => look.chosen.includes(id));
  const attending = chosen.filter(({ kind }) => kind === 'colleague');
  const rooms = people.filter(({ kind }) => kind === 'room');
  const chosenRooms = chosen.filter(({ kind }) => kind === 'room');
  const side = look.isFinding ? (
    <FindTime
      people={attending}
      rooms={chosenRooms.length > 0 ? chosenRooms : rooms}
      known={known}
      about={look.about}
      onLeaveOut={(id) => show({ chosen: look.chosen.filter((other) => other !== id) })}
      onClose={() => show({ isFinding: false })}
    />
  ) : look.waits !== undefined ? (
    <WaitingPage key={look.waits} id={look.waits} onClose={() => show({ waits: undefined })} />
  ) : person ? (
    <PersonPage
      key={person.id}
      person={person}
      times={known.times.get(person.id)}
      onEdit={() => setEditing({ id: person.id })}
      onFind={() => show({ chosen: [...new Set([...look.chosen, person.id])], isFinding: true })}
      onClose={() => show({ who: undefined })}
    />
  ) : null;
  const list = (
    <>
      <PeopleTools
        chosen={chosen.map(({ id }) => id)}
        attending={attending.length}
        onAdd={() => setEditing({})}
        onFind={() => show({ isFinding: true, about: undefined })}
        onClear={() => show({ chosen: [] })}
        isCompact={!wide || side !== null}
      />
      <AppText size="small" tone="quiet">
        {said.directoryAbout}
      </AppText>
      <WaitingList shown={look.waits} onShow={(waits) => show({ waits, who: undefined, isFinding: false })} />
      {people.length === 0 ? <AppText tone="quiet">{said.none}</AppText> : null}
      {known.isAway ? <AppText role="status">{said.away}</AppText> : null}
      <PeopleList
        people={people}
        times={known.times}
        chosen={look.chosen}
        shown={look.who}
        onChoose={(ids) => show({ chosen: ids })}
        onShow={(who) => show({ who, isFinding: false, waits: undefined })}
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
            if (id !== undefined) show({ who: id, isFinding: false, waits: undefined });
          }}
        />
      ) : null}
    </View>
  );
}

/** What is done with those who are chosen, and how others come in. */
function PeopleTools({
  chosen,
  attending,
  onAdd,
  onFind,
  onClear,
  isCompact,
}: {
  chosen: readonly string[];
  attending: number;
  onAdd: () => void;
  onFind: () => void;
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
