import { type ReactNode, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { StyleSheet, View } from 'react-native';
import { civilDate, DAY } from '@/core/time/civil';
import { clockFrom } from '@/core/time/clock';
import { instantToWall } from '@/core/time/zones';
import { workspace } from '@/features/workspace';
import { NewerDataError, openStore, type Store, StoreContext } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { writeTimesBy, writeYearsBut } from '@/ui/dates';
import { chooseScheme } from '@/ui/theme/scheme';
import { useTheme } from '@/ui/theme/theme';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

type Opening = { kind: 'opening' } | { kind: 'open'; store: Store } | { kind: 'failed'; newer: boolean };

/** Writes times and shows colours as the settings say, from now on. */
function follow(store: Store): void {
  const apply = () => {
    const settings = store.getSnapshot().state.settings.get('settings');
    writeTimesBy(settings?.hourCycle);
    chooseScheme(settings?.colourScheme, document);
  };
  apply();
  store.subscribe(apply);
}

/** Opens the data before anything that needs it is shown, and says so where it can't. */
export function StoreGate({ children }: { children: ReactNode }) {
  const { colours } = useTheme();
  const [opening, setOpening] = useState<Opening>({ kind: 'opening' });
  useEffect(() => {
    openStore().then(
      (store) => {
        follow(store);
        setOpening({ kind: 'open', store });
      },
      (error: unknown) => {
        console.error(error);
        setOpening({ kind: 'failed', newer: error instanceof NewerDataError });
      },
    );
  }, []);
  if (opening.kind === 'open') return <Clocked store={opening.store}>{children}</Clocked>;
  return (
    <View style={[styles.middle, { backgroundColor: colours.page }]}>
      {opening.kind === 'opening' ? (
        <AppText tone="quiet" role="status">
          {words.opening}
        </AppText>
      ) : (
        <>
          <AppText role="alert" style={styles.said}>
            {opening.newer ? words.failures.newer : words.failures.open}
          </AppText>
          <Button label={words.actions.retry} onPress={() => location.reload()} />
        </>
      )}
    </View>
  );
}

/** Gives the store with its clock: the address's, the demo's, or the system's. */
function Clocked({ store, children }: { store: Store; children: ReactNode }) {
  const settings = useSyncExternalStore(store.subscribe, () =>
    store.getSnapshot().state.settings.get('settings'),
  );
  const [asked] = useState(() => new URLSearchParams(location.search).get('now') ?? undefined);
  const demoNow = settings?.demoNow;
  const zone = settings?.homeZone ?? 'UTC';
  const open = useMemo(
    () => ({ store, clock: clockFrom(asked ?? demoNow, zone, Date.now) }),
    [store, asked, demoNow, zone],
  );
  // Said before anything is drawn, and again with each load: a year hardly passes over an open page.
  useState(() => writeYearsBut(civilDate(Math.floor(instantToWall(zone, open.clock()) / DAY)).year));
  useEffect(() => {
    if (store.setAside.length > 0)
      workspace.say({ text: words.failures.setAside(store.setAside.length), tone: 'problem', undo: false });
    return store.onFailure((failure, count) =>
      workspace.say({ text: words.failures[failure](count), tone: 'problem', undo: false }),
    );
  }, [store]);
  return <StoreContext.Provider value={open}>{children}</StoreContext.Provider>;
}

const styles = StyleSheet.create({
  middle: { flex: 1, alignItems: 'center', justifyContent: 'center', gap: space(4), padding: space(6) },
  said: { maxWidth: 420, textAlign: 'center' },
});
