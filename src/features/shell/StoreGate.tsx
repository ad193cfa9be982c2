import { type ReactNode, Suspense, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Mended } from '@/core/change/mendState';
import { DAY } from '@/core/time/civil';
import { clockFrom } from '@/core/time/clock';
import { instantToWall } from '@/core/time/zones';
import { workspace } from '@/features/workspace';
import {
  countStart,
  MOST_STARTS,
  NewerDataError,
  openStore,
  startWorked,
  type Store,
  StoreContext,
  useFollowedEngine,
} from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { beginWeeksOn, writeDaysFrom, writeTimesBy } from '@/ui/dates';
import { DayGlance } from '@/ui/glance/DayGlance';
import { SMALL_PATH } from '@/ui/openSmallWindow';
import { chooseScheme } from '@/ui/theme/scheme';
import { useTheme } from '@/ui/theme/theme';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { later } from '@/ui/later';

const plainStart = later(() => import('./PlainStart').then((module) => module.PlainStart));

type Opening =
  | { kind: 'opening' }
  | { kind: 'asking' }
  | { kind: 'plain' }
  | { kind: 'open'; store: Store; mended: Mended | undefined }
  | { kind: 'failed'; newer: boolean };

/** A page that is there for so long, in milliseconds, and still answers has opened. */
const OPENED_AFTER = 1_000;
/** How long the browser's storage may take, in milliseconds, until it is said what may hold it. */
const SLOW_AFTER = 8_000;

/** Writes times and shows colours as the settings say, from now on. */
function follow(store: Store): void {
  const apply = () => {
    const settings = store.getSnapshot().state.settings.get('settings');
    writeTimesBy(settings?.hourCycle);
    if (settings) beginWeeksOn(settings.weekStart);
    chooseScheme(settings?.colourScheme, document);
  };
  apply();
  store.subscribe(apply);
}

/** Opens the data before anything that needs it is shown, and says so where it can't. */
export function StoreGate({ children }: { children: ReactNode }) {
  const [opening, setOpening] = useState<Opening>(() => ({
    kind: countStart(Date.now()) >= MOST_STARTS ? 'asking' : 'opening',
  }));
  const isOpening = opening.kind === 'opening';
  useEffect(() => {
    if (!isOpening) return;
    openStore().then(
      ({ store, mended }) => {
        follow(store);
        setOpening({ kind: 'open', store, mended });
      },
      (error: unknown) => {
        console.error(error);
        setOpening({ kind: 'failed', newer: error instanceof NewerDataError });
      },
    );
  }, [isOpening]);
  const [isSlow, setSlow] = useState(false);
  useEffect(() => {
    if (!isOpening) return;
    const timer = setTimeout(() => setSlow(true), SLOW_AFTER);
    return () => clearTimeout(timer);
  }, [isOpening]);
  const isOpen = opening.kind === 'open';
  useEffect(() => {
    if (!isOpen) return;
    const timer = setTimeout(startWorked, OPENED_AFTER);
    // Who leaves before that has seen it open.
    window.addEventListener('pagehide', startWorked);
    return () => {
      clearTimeout(timer);
      window.removeEventListener('pagehide', startWorked);
    };
  }, [isOpen]);
  if (opening.kind === 'open')
    return (
      <Clocked store={opening.store} mended={opening.mended}>
        {children}
      </Clocked>
    );
  if (opening.kind === 'plain')
    return (
      <Suspense fallback={null}>
        <plainStart.Later onUsual={() => setOpening({ kind: 'opening' })} />
      </Suspense>
    );
  const plainly = <Button label={words.plainStart.open} onPress={() => setOpening({ kind: 'plain' })} />;
  return <OpeningScreen opening={opening} isSlow={isSlow} setOpening={setOpening} plainly={plainly} />;
}

/** What is said until the data is open, or where it can’t be. */
function OpeningScreen({
  opening,
  isSlow,
  setOpening,
  plainly,
}: {
  opening: { kind: 'opening' } | { kind: 'asking' } | { kind: 'failed'; newer: boolean };
  isSlow: boolean;
  setOpening: (next: Opening) => void;
  plainly: ReactNode;
}) {
  const { colours } = useTheme();
  if (opening.kind === 'opening' && !isSlow && location.pathname === SMALL_PATH) return <DayGlance />;
  return (
    <View style={[styles.middle, { backgroundColor: colours.page }]}>
      {opening.kind === 'opening' ? (
        <>
          <AppText tone="quiet" role="status" style={styles.said}>
            {isSlow ? words.failures.slow : words.opening}
          </AppText>
          {isSlow ? <Button label={words.actions.retry} onPress={() => location.reload()} /> : null}
        </>
      ) : opening.kind === 'asking' ? (
        <>
          <AppText role="alert" style={styles.said}>
            {words.plainStart.asks}
          </AppText>
          <Button
            kind="primary"
            label={words.plainStart.usual}
            onPress={() => setOpening({ kind: 'opening' })}
          />
          {plainly}
        </>
      ) : (
        <>
          <AppText role="alert" style={styles.said}>
            {opening.newer ? words.failures.newer : words.failures.open}
          </AppText>
          <Button kind="primary" label={words.actions.retry} onPress={() => location.reload()} />
          {opening.newer ? null : plainly}
        </>
      )}
    </View>
  );
}

/** Gives the store with its clock: the address's, the demo's, or the system's. */
function Clocked({
  store,
  mended,
  children,
}: {
  store: Store;
  mended: Mended | undefined;
  children: ReactNode;
}) {
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
  useState(() => writeDaysFrom(Math.floor(instantToWall(zone, open.clock()) / DAY)));
  useEffect(() => {
    const said = [
      store.setAside > 0 ? words.failures.setAside(store.setAside) : '',
      mended && mended.calendars > 0 ? words.failures.calendarsMade(mended.calendars) : '',
      mended?.unknownZone === undefined ? '' : words.failures.unknownHome(mended.unknownZone),
    ].filter(Boolean);
    if (said.length > 0) workspace.say({ text: said.join(' '), tone: 'problem', undo: false });
    return store.onFailure((failure, count) =>
      workspace.say({ text: words.failures[failure](count), tone: 'problem', undo: false }),
    );
  }, [store, mended]);
  useFollowedEngine(store);
  return <StoreContext.Provider value={open}>{children}</StoreContext.Provider>;
}

const styles = StyleSheet.create({
  middle: { flex: 1, alignItems: 'center', justifyContent: 'center', gap: space(4), padding: space(6) },
  said: { maxWidth: 420, textAlign: 'center' },
});
