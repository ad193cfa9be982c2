import { StyleSheet, View } from 'react-native';
import type { Proposal } from '@/core/people/gaps/gapQuery';
import { DAY } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { useSettings } from '@/store';
import { fullDayText, shortDayText, timeRangeText } from '@/ui/dates';
import { space } from '@/ui/theme/tokens';
import { type GapFormats, peopleWords as said, reasonText } from '@/ui/words/people';
import { Rung } from './Rung';

interface LadderProps {
  proposals: readonly Proposal[];
  shown: Proposal | undefined;
  formats: GapFormats;
  onShow: (proposal: Proposal) => void;
  onTake: (proposal: Proposal) => void;
  /** Undefined where something that is there already is moved. */
  onInvite: ((proposal: Proposal) => void) | undefined;
  takeWords: string;
  isBehind: boolean;
}

/** Proposals one below the other, the best first, each with what speaks for and against it. */
export function Ladder({
  proposals,
  shown,
  formats,
  onShow,
  onTake,
  onInvite,
  takeWords,
  isBehind,
}: LadderProps) {
  const { homeZone } = useSettings();
  return (
    <View role="list" aria-label={said.proposals} style={styles.ladder}>
      {proposals.map((proposal, at) => {
        const [start, end] = [proposal.start, proposal.end].map((instant) =>
          instantToWall(homeZone, instant),
        );
        const day = Math.floor(start! / DAY);
        const times = timeRangeText(start!, end!);
        const isWhole = proposal.missing.length === 0;
        return (
          <Rung
            key={[proposal.start, ...proposal.missing].join(' ')}
            testID="proposal"
            title={`${shortDayText(day)} · ${times}${at === 0 && isWhole ? ` · ${said.best}` : ''}`}
            when={`${fullDayText(day)}, ${times}`}
            details={proposal.reasons.map((reason) => reasonText(reason, formats)).join(' · ')}
            isBest={at === 0}
            isWhole={isWhole}
            isBehind={isBehind}
            isShown={shown?.start === proposal.start}
            onShow={() => onShow(proposal)}
            takeWords={takeWords}
            onTake={() => onTake(proposal)}
            onInvite={onInvite && (() => onInvite(proposal))}
          />
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({ ladder: { gap: space(2) } });
