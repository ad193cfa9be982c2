import { usePathname } from 'expo-router';
import { type ReactNode, Suspense, useEffect, useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { preloadDesk } from '@/features/desk';
import { BackupOffer, ImportHost } from '@/features/interchange';
import { preloadPanels, preloadSheets, preloadViews } from '@/features/plan';
import { useWorkspace, workspace } from '@/features/workspace';
import { preloadLine } from '@/features/line';
import { DeviceZoneQuestion, preloadZonePicker, preloadZoneSettings } from '@/features/zones';
import { calendarFiles } from '@/store';
import { later } from '@/ui/later';
import { PartBoundary } from '@/ui/PartBoundary';
import { SMALL_PATH } from '@/ui/openSmallWindow';
import { savesData } from '@/ui/savesData';
import { useTheme } from '@/ui/theme/theme';
import { WIDE } from '@/ui/theme/tokens';
import { useWindowHeight } from '@/ui/useWindowHeight';
import { words } from '@/ui/words';
import { NoticeLine } from './NoticeLine';
import { Places } from './Places';
import { ALL_PLACES, placeAt, printScreen, smallScreen } from './placeDescriptors';
import { ScopeSheet } from './ScopeSheet';
import { useFirstVisit } from './useFirstVisit';
import { useKeptWorkspace } from './useKeptWorkspace';
import { useUndoKeys } from './useUndoKeys';

/** What works on its own while the page is open. */
const reminderHost = later(() => import('@/features/later').then((module) => module.ReminderHost));
const feedHost = later(() => import('@/features/later').then((module) => module.FeedHost));
const publishHost = later(() => import('@/features/later').then((module) => module.PublishHost));
const messageHost = later(() => import('@/features/later').then((module) => module.MessageHost));
const invitationHost = later(() => import('@/features/later').then((module) => module.InvitationHost));
const checkHost = later(() => import('@/features/later').then((module) => module.CheckHost));
const importSheet = later(() => import('@/features/later').then((module) => module.ImportSheet));
const newVersion = later(() => import('@/features/later').then((module) => module.NewVersionLine));
const todoHost = later(() => import('@/features/later').then((module) => module.TodoHost));
const placeHost = later(() => import('@/features/later').then((module) => module.PlaceHost));
const changesSheet = later(() => import('./ChangesSheet').then((module) => module.ChangesSheet));
const keysSheet = later(() => import('./KeysSheet').then((module) => module.KeysSheet));

const NOTHING = { events: [], calendars: [], workingPattern: standardWorkingPattern, now: 0 };

/** Whoever saves data has the parts that work on their own come so long after the page, in milliseconds. */
const REST_MS = 3000;

/**
 * Parts that are not needed at once are fetched in a quiet moment, so that they work without the server later. Tells when
 * the page has come to rest.
 */
function usePreload(): boolean {
  const [isAtRest, setIsAtRest] = useState(false);
  useEffect(() => {
    if (savesData()) {
      const rest = setTimeout(() => setIsAtRest(true), REST_MS);
      return () => clearTimeout(rest);
    }
    const preload = () => {
      void Promise.allSettled([
        keysSheet.fetchAhead(),
        changesSheet.fetchAhead(),
        preloadPanels(),
        preloadViews(),
        preloadSheets(),
        preloadLine(),
        preloadZonePicker(),
        preloadZoneSettings(),
        preloadDesk(),
        ...[
          feedHost,
          publishHost,
          reminderHost,
          messageHost,
          invitationHost,
          checkHost,
          newVersion,
          importSheet,
          ...ALL_PLACES,
          smallScreen,
          printScreen,
        ].map(({ fetchAhead }) => fetchAhead?.()),
        calendarFiles().write([], undefined, NOTHING),
      ]).then((parts) => {
        // What did not come is fetched when it is shown; what works on its own begins all the same.
        if (parts.every(({ status }) => status === 'fulfilled'))
          document.documentElement.dataset.loaded = 'all';
        setIsAtRest(true);
      });
    };
    const handle = setTimeout(() => requestIdleCallback(preload), 500);
    return () => clearTimeout(handle);
  }, []);
  return isAtRest;
}

/** What is due, and a new version that is offered. */
function Attending() {
  return (
    <Suspense fallback={null}>
      <reminderHost.Later />
      {savesData() ? null : <newVersion.Later />}
    </Suspense>
  );
}

/** What stands around every place. */
export function AppShell({ children }: { children: ReactNode }) {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const wide = width >= WIDE;
  const keysShown = useWorkspace((state) => state.keysShown);
  const changesShown = useWorkspace((state) => state.changesShown);
  const hasPlace = useWorkspace((state) => state.place !== null);
  const hasTodo = useWorkspace((state) => state.todo !== null);
  const isAtRest = usePreload();
  useUndoKeys();
  useKeptWorkspace();
  useFirstVisit();
  const pathname = usePathname();
  // In the lowest windows a place may use all of the height: the navigation comes with the rows that its button opens.
  const height = useWindowHeight();
  const rowsOpen = useWorkspace((state) => state.rowsOpen);
  const isSmall = pathname === SMALL_PATH;
  const showsPlaces = !isSmall && (height !== 'least' || !placeAt(pathname)?.takesAllHeight || rowsOpen);
  return (
    <View style={[styles.shell, wide ? styles.row : null, { backgroundColor: colours.page }]}>
      {wide && showsPlaces ? <Places wide /> : null}
      <View style={styles.place}>
        <PartBoundary name={words.reminder.label}>
          {isSmall ? null : <DeviceZoneQuestion />}
          {wide && isAtRest ? <Attending /> : null}
          {isSmall ? null : <BackupOffer />}
        </PartBoundary>
        <PartBoundary name={words.product} showing={pathname}>
          {children}
        </PartBoundary>
        {/* On the phone what is due lies under the thumb. */}
        <PartBoundary name={words.reminder.label}>{!wide && isAtRest ? <Attending /> : null}</PartBoundary>
      </View>
      {!wide && showsPlaces ? <Places wide={false} /> : null}
      <NoticeLine wide={wide} />
      <ScopeSheet />
      {keysShown ? (
        <Suspense fallback={null}>
          <keysSheet.Later />
        </Suspense>
      ) : null}
      {hasPlace ? (
        <PartBoundary
          name={words.fields.location}
          leave={{ label: words.actions.close, onPress: () => workspace.showPlace(null) }}
        >
          <Suspense fallback={null}>
            <placeHost.Later />
          </Suspense>
        </PartBoundary>
      ) : null}
      {hasTodo ? (
        <PartBoundary
          name={words.places.todos}
          leave={{ label: words.actions.close, onPress: workspace.closeTodo }}
        >
          <Suspense fallback={null}>
            <todoHost.Later />
          </Suspense>
        </PartBoundary>
      ) : null}
      {changesShown ? (
        <PartBoundary
          name={words.changes.title}
          leave={{ label: words.actions.close, onPress: () => workspace.showChanges(false) }}
        >
          <Suspense fallback={null}>
            <changesSheet.Later />
          </Suspense>
        </PartBoundary>
      ) : null}
      <PartBoundary name={words.data.import}>
        <ImportHost>
          <importSheet.Later />
        </ImportHost>
      </PartBoundary>
      {isAtRest ? (
        <Suspense fallback={null}>
          <feedHost.Later />
          <publishHost.Later />
          <messageHost.Later />
          <invitationHost.Later />
          <checkHost.Later />
        </Suspense>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  shell: { flex: 1 },
  row: { flexDirection: 'row' },
  place: { flex: 1, minWidth: 0, minHeight: 0 },
});
