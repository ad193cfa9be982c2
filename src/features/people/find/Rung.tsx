import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { peopleWords as said } from '@/ui/words/people';

interface RungProps {
  /** When it is, in short, and as it is read out. */
  title: string;
  when: string;
  /** What speaks for and against it. */
  details: ReactNode;
  isBest?: boolean;
  /** Whether it suits all. */
  isWhole: boolean;
  isShown?: boolean;
  /** Whether it is of an earlier question: what is pressed now could be another thing a moment later. */
  isBehind: boolean;
  onShow?: (() => void) | undefined;
  takeWords: string;
  onTake: () => void;
  /** Undefined where nobody is invited by it. */
  onInvite?: (() => void) | undefined;
  testID: string;
}

/** A time that is proposed: what speaks for and against it, and what can be done with it. */
export function Rung({
  title,
  when,
  details,
  isBest = false,
  isWhole,
  isShown = false,
  isBehind,
  onShow,
  takeWords,
  onTake,
  onInvite,
  testID,
}: RungProps) {
  const { colours } = useTheme();
  const words = (
    <>
      <AppText weight="700" figures>
        {title}
      </AppText>
      <AppText size="small" tone="quiet" figures>
        {details}
      </AppText>
    </>
  );
  return (
    <View
      role="listitem"
      testID={testID}
      style={[
        styles.rung,
        {
          borderColor: isShown ? colours.accent : colours.line,
          borderLeftColor: isWhole ? colours.primary : colours.line,
          backgroundColor: colours.card,
        },
      ]}
    >
      {onShow ? (
        <Pressable
          role="button"
          aria-label={when}
          aria-pressed={isShown}
          onPress={onShow}
          style={styles.words}
        >
          {words}
        </Pressable>
      ) : (
        <View style={styles.words}>{words}</View>
      )}
      <Button
        kind={isBest && !onInvite ? 'primary' : 'plain'}
        label={said.takeLabel(when)}
        shown={takeWords}
        disabled={isBehind}
        onPress={onTake}
      />
      {onInvite ? (
        <Button
          kind={isBest ? 'primary' : 'plain'}
          label={said.inviteLabel(when)}
          shown={said.invite}
          disabled={isBehind}
          onPress={onInvite}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
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
