import { Link, useGlobalSearchParams, usePathname } from 'expo-router';
import { Pressable, type StyleProp, StyleSheet, View, type ViewStyle } from 'react-native';
import { AppIcon } from '@/ui/icons/AppIcon';
import { useCommands, workspace } from '@/features/workspace';
import { useSnapshot } from '@/store';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { sizes, space } from '@/ui/theme/tokens';
import { useWindowHeight } from '@/ui/useWindowHeight';
import { words } from '@/ui/words';
import { ALL_PLACES, type Place } from './placeDescriptors';

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
  // The places share the address's state, so that one comes back to what one saw.
  const parameters: Record<string, string> = { ...useGlobalSearchParams<Record<string, string>>() };
  for (const { ownParameters } of ALL_PLACES) for (const name of ownParameters) delete parameters[name];
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
      {ALL_PLACES.map((place) => (
        <PlaceLink
          key={place.path}
          place={place}
          parameters={parameters}
          isHere={pathname === place.path}
          placeStyle={placeStyle}
        />
      ))}
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
  place: { path, label, icon, useCount },
  parameters,
  isHere,
  placeStyle,
}: {
  place: Place;
  parameters: Readonly<Record<string, string>>;
  isHere: boolean;
  placeStyle: StyleProp<ViewStyle>;
}) {
  const { colours } = useTheme();
  const count = useCount();
  return (
    <Link href={{ pathname: path as '/', params: parameters }} asChild>
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
