import { usePathname } from 'expo-router';
import { useEffect } from 'react';
import { StyleSheet, View } from 'react-native';
import { Snackbar } from 'react-native-paper';
import { targetOfKey } from '@/core/change/target';
import { shownDays } from '@/core/layout/viewDescriptors';
import {
  useCommands,
  usePlanAddress,
  useReveal,
  useWorkspace,
  workspace,
  type Notice,
} from '@/features/workspace';
import { useSettings, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, sizes, space } from '@/ui/theme/tokens';
import { webStyle } from '@/ui/web';
import { words } from '@/ui/words';

/** How long the line stays; a problem stays until it is dismissed. */
const SHOWN_FOR = 8_000;

/** Says what happened, with Undo. */
export function NoticeLine({ wide }: { wide: boolean }) {
  const { colours } = useTheme();
  const notice = useWorkspace((state) => state.notice);
  const sheetOpen = useWorkspace((state) => state.deskOpen && state.editing?.panel !== 'full');
  const { address } = usePlanAddress();
  const reveal = useReveal();
  const settings = useSettings();
  const inPlan = usePathname() === '/';
  const where = notice?.where;
  const calendarId = useSnapshot(({ state }) =>
    where?.key === undefined ? undefined : state.entries.get(targetOfKey(where.key).entryId)?.calendarId,
  );
  // What went out of sight can be gone to.
  const isElsewhere =
    inPlan &&
    !!where &&
    (!shownDays(address, settings).includes(where.day) ||
      (calendarId !== undefined && address.hidden.includes(calendarId)));
  // The phone's sheet lies where the line would be: then it stands at the top.
  const place = wide
    ? { bottom: 72 }
    : sheetOpen
      ? { top: sizes.titleRow }
      : { bottom: sizes.bottomBar + 68 };
  useEffect(() => {
    if (!notice || notice.tone === 'problem') return;
    const timer = setTimeout(() => workspace.say(null), SHOWN_FOR);
    return () => clearTimeout(timer);
  }, [notice]);
  return (
    <View pointerEvents="box-none" style={[styles.place, place]} aria-live="polite" role="status">
      {notice ? (
        <Snackbar
          visible
          // It goes by its own clock: a problem stays.
          duration={Number.POSITIVE_INFINITY}
          onDismiss={() => workspace.say(null)}
          elevation={0}
          testID="notice"
          wrapperStyle={styles.wrapper}
          contentStyle={styles.content}
          style={[
            styles.bar,
            webStyle({ boxShadow: '0 4px 16px rgba(0,0,0,0.25)' }),
            { backgroundColor: notice.tone === 'problem' ? colours.error : colours.ink },
          ]}
        >
          <NoticeContent notice={notice} where={where} isElsewhere={isElsewhere} reveal={reveal} />
        </Snackbar>
      ) : null}
    </View>
  );
}

/** What happened, and what can be done about it. */
function NoticeContent({
  notice,
  where,
  isElsewhere,
  reveal,
}: {
  notice: Notice;
  where: { readonly day: number; readonly key: string | undefined } | undefined;
  isElsewhere: boolean;
  reveal: (key: string, options?: { quietly?: boolean }) => void;
}) {
  const { colours } = useTheme();
  const { to } = usePlanAddress();
  const { undo } = useCommands();
  return (
    <View style={styles.line}>
      <AppText
        colour={notice.tone === 'problem' ? colours.onError : colours.card}
        style={[styles.text, webStyle({ overflowWrap: 'anywhere' })]}
        numberOfLines={3}
      >
        {notice.text}
      </AppText>
      {where && isElsewhere ? (
        <NoticeButton
          label={words.actions.show}
          onPress={() => {
            if (where.key === undefined) to({ day: where.day });
            else reveal(where.key);
            workspace.say({ ...notice, where: undefined });
          }}
        />
      ) : null}
      {notice.act ? (
        <NoticeButton
          label={notice.act.label}
          onPress={() => {
            workspace.say(null);
            notice.act?.do();
          }}
        />
      ) : null}
      {notice.undo ? <NoticeButton label={words.actions.undo} onPress={undo} /> : null}
      {notice.tone === 'problem' ? (
        <NoticeButton label={words.actions.dismiss} onPress={() => workspace.say(null)} />
      ) : null}
    </View>
  );
}

function NoticeButton({ label, onPress }: { label: string; onPress: () => void }) {
  return <Button label={label} onPress={onPress} style={styles.button} />;
}

const styles = StyleSheet.create({
  place: {
    position: 'absolute',
    left: 0,
    right: 0,
    alignItems: 'center',
    zIndex: 30,
    paddingHorizontal: space(3),
  },
  wrapper: { position: 'relative', width: 'auto' },
  bar: { margin: 0, borderRadius: corner, maxWidth: 560 },
  content: { marginVertical: 0, marginHorizontal: 0, flex: 1, minHeight: 48, justifyContent: 'center' },
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(3),
    paddingLeft: space(4),
    paddingRight: space(2),
  },
  text: { flexShrink: 1, minWidth: 0, paddingVertical: space(2) },
  button: { minHeight: 36 },
});
