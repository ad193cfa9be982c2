import { Pressable, StyleSheet, View } from 'react-native';
import type { Proposal } from '@/core/people/gaps/gapQuery';
import { DAY } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { useSettings } from '@/store';
import { fullDayText, shortDayText, timeRangeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { type GapFormats, peopleWords as said, reasonText } from '@/ui/words/people';

interface LadderProps {
  proposals: readonly Proposal[];
  shown: Proposal | undefined;
  formats: GapFormats;
  onShow: (proposal: Proposal) => void;
  onTake: (proposal: Proposal) => void;
  /** Undefined where something that is there already is moved. */
  onInvite: ((proposal: Proposal) => void) | undefined;
  takeWords: string;
}

/** Proposals one below the other, the best first, each with what speaks for and against it. */
export function Ladder({ proposals, shown, formats, onShow, onTake, onInvite, takeWords }: LadderProps) {
  const { colours } = useTheme();
  const { homeZone } = useSettings();
  return (
    <View role="list" aria-label={said.proposals} style={styles.ladder}>
      {proposals.map((proposal, at) => {
        const [start, end] = [proposal.start, proposal.end].map((instant) =>
          instantToWall(homeZone, instant),
        );
        const day = Math.floor(start! / DAY);
        const when = `${fullDayText(day)}, ${timeRangeText(start!, end!)}`;
        const isShown = shown?.start === proposal.start;
        return (
          <View
            key={proposal.start}
            role="listitem"
            testID="proposal"
            style={[
              styles.rung,
              {
                borderColor: isShown ? colours.accent : colours.line,
                borderLeftColor: proposal.missing.length > 0 ? colours.line : colours.primary,
                backgroundColor: colours.card,
              },
            ]}
          >
            <Pressable
              role="button"
              aria-label={when}
              aria-pressed={isShown}
              onPress={() => onShow(proposal)}
              style={styles.words}
            >
              <AppText weight="700" figures>
                {`${shortDayText(day)} · ${timeRangeText(start!, end!)}${at === 0 && proposal.missing.length === 0 ? ` · ${said.best}` : ''}`}
              </AppText>
              <AppText size="small" tone="quiet" figures>
                {proposal.reasons.map((reason) => reasonText(reason, formats)).join(' · ')}
              </AppText>
            </Pressable>
            <Button label={said.takeLabel(when)} shown={takeWords} onPress={() => onTake(proposal)} />
            {onInvite ? (
              <Button
                kind={at === 0 ? 'primary' : 'plain'}
                label={said.inviteLabel(when)}
                shown={said.invite}
                onPress={() => onInvite(proposal)}
              />
            ) : null}
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  ladder: { gap: space(2) },
  rung: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    justifyContent: 'flex-end',
    gap: space(2),
    padding: space(2),
    borderWidth: hairline,
    borderLeftWidth: 4,
    borderRadius: corner,
  },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 220, gap: space(1) },
});
