import { View } from 'react-native';
import type { Proposal } from '@/core/people/gaps/gapQuery';
import { DAY } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { useSettings } from '@/store';
import { fullDayText, shortDayText, timeRangeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { peopleWords as said } from '@/ui/words/people';
import { Rung } from './Rung';

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
  const times = timeRangeText(start!, end!);
  const suits = verdict === said.suitsAll;
  return (
    <View role="list" aria-label={said.cursor}>
      <Rung
        isBehind={false}
        testID="own-proposal"
        title={`${shortDayText(day)} · ${times}`}
        when={`${fullDayText(day)}, ${times}`}
        details={
          <AppText size="small" role="status" tone={suits ? 'quiet' : 'accent'}>
            {verdict}
          </AppText>
        }
        isWhole={suits}
        isShown
        takeWords={takeWords}
        onTake={() => onTake(proposal)}
        onInvite={onInvite && (() => onInvite(proposal))}
      />
    </View>
  );
}
