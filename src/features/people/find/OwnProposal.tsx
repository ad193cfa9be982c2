import { StyleSheet, View } from 'react-native';
import type { Proposal } from '@/core/people/gaps/gapQuery';
import { DAY } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { useSettings } from '@/store';
import { fullDayText, shortDayText, timeRangeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { peopleWords as said } from '@/ui/words/people';

/** A time that was chosen over the lanes: who is in its way, and what can be done with it. */
export function OwnProposal({
  proposal,
  verdict,
  onTake,
  onInvite,
  takeWords,
}: {
  proposal: Proposal;
  verdict: string;
  onTake: (proposal: Proposal) => void;
  onInvite: ((proposal: Proposal) => void) | undefined;
  takeWords: string;
}) {
  const { homeZone } = useSettings();
  const [start, end] = [proposal.start, proposal.end].map((instant) => instantToWall(homeZone, instant));
  const day = Math.floor(start! / DAY);
  const when = `${fullDayText(day)}, ${timeRangeText(start!, end!)}`;
  return (
    <View role="group" aria-label={said.cursor} style={styles.own} testID="own-proposal">
      <View style={styles.words}>
        <AppText weight="700" figures>
          {`${shortDayText(day)} · ${timeRangeText(start!, end!)}`}
        </AppText>
        <AppText size="small" role="status" tone={verdict === said.suitsAll ? 'quiet' : 'accent'}>
          {verdict}
        </AppText>
      </View>
      <Button label={said.takeLabel(when)} shown={takeWords} onPress={() => onTake(proposal)} />
      {onInvite ? (
        <Button label={said.inviteLabel(when)} shown={said.invite} onPress={() => onInvite(proposal)} />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  own: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: space(2) },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 220, gap: space(1) },
});
