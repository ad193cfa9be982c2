import { Link, useGlobalSearchParams, usePathname } from 'expo-router';
import { Pressable, type StyleProp, StyleSheet, View, type ViewStyle } from 'react-native';
import { AppIcon } from '@/ui/icons/AppIcon';
import type { IconName } from '@/ui/icons/paths';
import type { State } from '@/core/model/state';
import { useCommands, workspace } from '@/features/workspace';
import { useSnapshot } from '@/store';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { sizes, space } from '@/ui/theme/tokens';
import { useWindowHeight } from '@/ui/useWindowHeight';
import { words } from '@/ui/words';

type PlacePath = '/' | '/tidy' | '/people' | '/todos' | '/setup';
const PLACES: { path: PlacePath; icon: IconName; label: string; counts?: 'findings' | 'waiting' }[] = [
  { path: '/', icon: 'view-week-outline', label: words.places.plan },
  { path: '/tidy', icon: 'broom', label: words.places.tidy, counts: 'findings' },
  { path: '/people', icon: 'account-group-outline', label: words.places.people, counts: 'waiting' },
  { path: '/todos', icon: 'checkbox-marked-outline', label: words.places.todos },
  { path: '/setup', icon: 'tune-variant', label: words.places.setup },
];

/** How many invitations were not answered yet, with the letters that wait for a decision. */
const unanswered = ({ invitations, letters }: State): number => {
  let count = 0;
  for (const { role, isCancelled, answers } of invitations.values())
    if (role === 'guest' && !isCancelled && !answers.some(({ isOutdated }) => !isOutdated)) count++;
  for (const { direction } of letters.values()) if (direction === 'in') count++;
  return count;
};

/** The places of the application: a rail at the left of a wide screen, a bar at the foot of a phone. */
export function Places({ wide }: { wide: boolean }) {
  const { colours } = useTheme();
  const isLow = useWindowHeight() !== 'full';
  const placeStyle: StyleProp<ViewStyle> = wide
    ? styles.railPlace
    : [styles.barPlace, isLow ? styles.lowPlace : null];
  const pathname = usePathname();
  const canUndo = useSnapshot(({ history }) => history.done.length > 0);
  const canRedo = useSnapshot(({ history }) => history.undone.length > 0);
  const findings = useSnapshot(({ state }) => state.sessions.get('session')?.findings?.count ?? 0);
  const waiting = useSnapshot(({ state }) => unanswered(state));
  // The places share the address's state, so that one comes back to what one saw.
  const {
    calendar: _,
    section: __,
    who: ___,
    chosen: ____,
    finding: _____,
    waits: ______,
    about: _______,
    free: ________,
    ...parameters
  } = useGlobalSearchParams<Record<string, string>>();
  return (
    <View
      role="navigation"
      aria-label={words.places.navigation}
      style={[
        wide ? styles.rail : styles.bar,
        isLow && !wide ? styles.lowBar : null,
        { backgroundColor: colours.primary },
      ]}
    >
      {wide && !isLow ? (
        <View aria-hidden style={styles.initials}>
          <TitleText level={3} colour={colours.onPrimary}>
            {words.initials}
          </TitleText>
        </View>
      ) : null}
      {PLACES.map(({ path, icon, label, counts }) => {
        const isHere = pathname === path;
        return (
          <PlaceLink
            key={path}
            path={path}
            parameters={parameters}
            label={label}
            count={counts === 'findings' ? findings : counts === 'waiting' ? waiting : 0}
            isHere={isHere}
            placeStyle={placeStyle}
            icon={icon}
          />
        );
      })}
      {wide ? <View style={styles.fill} /> : null}
      {wide ? <Turns canUndo={canUndo} canRedo={canRedo} /> : null}
      <Pressable
        role="button"
        aria-label={words.changes.title}
        onPress={() => workspace.showChanges(true)}
        style={placeStyle}
      >
        <AppIcon name="history" size={22} color={colours.onPrimary} />
        <AppText size="small" weight="500" colour={colours.onPrimary}>
          {words.changes.short}
        </AppText>
      </Pressable>
    </View>
  );
}

/** Undo and redo. */
function Turns({ canUndo, canRedo }: { canUndo: boolean; canRedo: boolean }) {
  const commands = useCommands();
  return (
    <View style={styles.turns}>
      <Button
        icon="undo-variant"
        iconOnly
        kind="onDark"
        label={words.actions.undo}
        disabled={!canUndo}
        onPress={commands.undo}
        style={styles.turn}
      />
      <Button
        icon="redo-variant"
        iconOnly
        kind="onDark"
        label={words.actions.redo}
        disabled={!canRedo}
        onPress={commands.redo}
        style={styles.turn}
      />
    </View>
  );
}

/** The way to a place. */
function PlaceLink({
  path,
  parameters,
  label,
  count,
  isHere,
  placeStyle,
  icon,
}: {
  path: PlacePath;
  parameters: { [x: string]: string };
  label: string;
  /** How much waits there. */
  count: number;
  isHere: boolean;
  placeStyle: StyleProp<ViewStyle>;
  icon: IconName;
}) {
  const { colours } = useTheme();
  return (
    <Link href={{ pathname: path, params: parameters }} asChild>
      <Pressable
        aria-label={count > 0 ? words.places.counted(label, count) : label}
        {...({ 'aria-current': isHere ? 'page' : undefined } as object)}
        style={StyleSheet.flatten([placeStyle, isHere ? { backgroundColor: colours.page } : null])}
      >
        <AppIcon name={icon} size={22} color={isHere ? colours.ink : colours.onPrimary} />
        <AppText
          size="small"
          weight={isHere ? '700' : '500'}
          colour={isHere ? colours.ink : colours.onPrimary}
        >
          {count > 0 ? `${label} ${count}` : label}
        </AppText>
      </Pressable>
    </Link>
  );
}

const styles = StyleSheet.create({
  rail: { width: sizes.rail, gap: space(1) },
  initials: { height: 64, alignItems: 'center', justifyContent: 'center' },
  railPlace: {
    height: 60,
    marginLeft: space(2),
    borderTopLeftRadius: space(2),
    borderBottomLeftRadius: space(2),
    alignItems: 'center',
    justifyContent: 'center',
    gap: space(1),
  },
  fill: { flex: 1 },
  turns: { flexDirection: 'row', justifyContent: 'center' },
  turn: { borderColor: 'transparent', minWidth: 34, width: 34 },
  bar: { flexDirection: 'row', height: sizes.bottomBar },
  lowBar: { height: sizes.lowBar },
  barPlace: {
    flex: 1,
    marginTop: space(1),
    borderTopLeftRadius: space(2),
    borderTopRightRadius: space(2),
    alignItems: 'center',
    justifyContent: 'center',
    gap: 2,
  },
  lowPlace: { flexDirection: 'row', gap: space(2) },
});
