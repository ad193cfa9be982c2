import { type Waiting, waitingFor } from '@/core/change/invitations/waitingFor';
import { useState, useSyncExternalStore } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { ownAddresses } from '@/core/change/invitations/ownUser';
import { nameOfUser } from '@/core/people/guests';
import { personOfAddress } from '@/core/people/peopleInOrder';
import type { State } from '@/core/model/state';
import { useNow, useSettings, useSnapshot } from '@/store';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, sizes, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { invitationWords } from '@/ui/words/invitations';
import { lookForMail, postState } from './post';
import { whenText } from './wording';
import { MINUTE } from '@/core/time/civil';

const said = invitationWords.waits;

/** Who a letter is from, by the name that one knows them by. */
const nameOfAddress = (state: Pick<State, 'people'>, address: string): string =>
  personOfAddress(state.people.values(), address)?.name ?? address;

/** What it is that waits, in a line. */
export function reasonOf(waiting: Waiting, state: State): string {
  if (waiting.kind === 'letter') {
    const { letter } = waiting;
    return said.reasons[letter.waitsFor ?? 'unknown-entry'](nameOfAddress(state, letter.from));
  }
  const { organizer } = waiting.event;
  const name = organizer ? nameOfUser(state.people, organizer) : '';
  switch (waiting.kind) {
    case 'invitation':
      return said.invitation(name);
    case 'called-off':
      return said.calledOff(name);
    case 'behind':
      return said.behind;
    case 'untold':
      return said.untold;
  }
}

/** All invitations, answers and changes that wait for a decision, and whether mail goes. */
export function WaitingList({ shown, onShow }: { shown: string | undefined; onShow: (id: string) => void }) {
  const { colours } = useTheme();
  const { homeZone } = useSettings();
  const state = useSnapshot((snapshot) => snapshot.state);
  const now = Math.floor(useNow() / MINUTE) * MINUTE;
  const [subscribe] = useState(() => postState.subscribe);
  const { isBusy, isAway } = useSyncExternalStore(subscribe, postState.get);
  const waiting = waitingFor(state, now, homeZone);
  const out = [...state.letters.values()].filter(({ direction }) => direction === 'out').length;
  const hasAddress = ownAddresses(state).length > 0;
  return (
    <View role="group" aria-label={said.title} style={styles.list} testID="waiting">
      <View style={styles.head}>
        <TitleText level={2} size="large" style={styles.grow}>
          {said.title}
        </TitleText>
        <Button icon="refresh" label={said.look} disabled={!hasAddress || isBusy} onPress={lookForMail} />
      </View>
      {hasAddress ? null : <AppText tone="quiet">{said.noAddress}</AppText>}
      <AppText role="status" tone="quiet" size="small">
        {isAway
          ? said.away
          : out > 0
            ? said.out(out)
            : isBusy
              ? said.looking
              : waiting.length === 0
                ? said.none
                : ''}
      </AppText>
      {waiting.length === 0 ? null : (
        <View style={[styles.rows, { borderColor: colours.line }]}>
          {waiting.map((each) => {
            const title =
              each.event?.title || (each.kind === 'letter' ? each.letter.subject : '') || words.entry.noTitle;
            return (
              <Pressable
                key={`${each.kind} ${each.id}`}
                role="button"
                aria-label={`${said.open(title)}: ${reasonOf(each, state)}`}
                aria-pressed={shown === each.id}
                onPress={() => onShow(each.id)}
                testID="waits"
                style={[
                  styles.row,
                  {
                    borderColor: colours.line,
                    backgroundColor: shown === each.id ? colours.accentTint : colours.card,
                  },
                ]}
              >
                <AppText weight="700" numberOfLines={1}>
                  {title}
                </AppText>
                <AppText size="small" tone={each.kind === 'letter' ? 'accent' : 'quiet'}>
                  {reasonOf(each, state)}
                </AppText>
                {each.event ? (
                  <AppText size="small" figures tone="quiet">
                    {whenText(each.event)}
                  </AppText>
                ) : null}
              </Pressable>
            );
          })}
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: space(2) },
  head: { flexDirection: 'row', alignItems: 'center', gap: space(2), flexWrap: 'wrap' },
  grow: { flex: 1 },
  rows: { borderWidth: hairline, borderBottomWidth: 0, borderRadius: corner, overflow: 'hidden' },
  row: { padding: space(2), gap: 2, minHeight: sizes.target, borderBottomWidth: hairline },
});
