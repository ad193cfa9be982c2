import { Component, type ErrorInfo, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { AppText } from './primitives/AppText';
import { Button } from './primitives/Button';
import { space } from './theme/tokens';
import { words } from './words';

interface PartBoundaryProps {
  /** What the part is called when it is said that it can't be shown. */
  name: string;
  /** Shown beside "Try again": lets go of what the part was showing. */
  leave?: { label: string; onPress: () => void } | undefined;
  /** What the part shows: with something else it is tried again by itself. */
  showing?: string | undefined;
  children: ReactNode;
}

/**
 * Catches what goes wrong while a part of the page is drawn: the rest stays, what was written is kept where it is kept
 * anyway, and the part can be tried again.
 */
export class PartBoundary extends Component<PartBoundaryProps, { failed: boolean }> {
  override state = { failed: false };

  static getDerivedStateFromError(): { failed: boolean } {
    return { failed: true };
  }

  override componentDidCatch(error: Error, info: ErrorInfo): void {
    console.error(`${this.props.name} could not be shown`, error, info.componentStack);
  }

  override componentDidUpdate({ showing }: PartBoundaryProps): void {
    if (this.state.failed && showing !== this.props.showing) this.setState({ failed: false });
  }

  override render(): ReactNode {
    const { name, leave, children } = this.props;
    if (!this.state.failed) return children;
    const again = () => this.setState({ failed: false });
    return (
      <View role="alert" style={styles.part}>
        <AppText weight="700">{words.partFailed(name)}</AppText>
        <AppText>{words.partFailedKept}</AppText>
        <View style={styles.actions}>
          <Button label={words.actions.retry} onPress={again} />
          {leave ? (
            <Button
              label={leave.label}
              onPress={() => {
                leave.onPress();
                again();
              }}
            />
          ) : null}
        </View>
      </View>
    );
  }
}

const styles = StyleSheet.create({
  part: { padding: space(4), gap: space(3), alignItems: 'flex-start', maxWidth: 420 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
});
