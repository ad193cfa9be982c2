import { Suspense } from 'react';
import { StyleSheet, View } from 'react-native';
import { restoreFromBin } from '@/core/change/binChanges';
import { startEmpty } from '@/core/change/startEmpty';
import { parseDate } from '@/core/time/civil';
import { chooseFile, exportCalendar, useImport } from '@/features/interchange';
import { NotificationSetting } from '@/features/reminders';
import { useCommands } from '@/features/workspace';
import { ZoneSettings } from '@/features/zones';
import { useSettings, useSnapshot } from '@/store';
import { fullDayText } from '@/ui/dates';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Mark } from '@/ui/primitives/Mark';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

const SHOWN_IN_BIN = 20;

/** Files in and out, the home zone, the demo, and the bin. */
export function DataSection() {
  const { read } = useImport();
  const { commit, context } = useCommands();
  const settings = useSettings();
  const state = useSnapshot((snapshot) => snapshot.state);
  const bin = [...state.bin.values()].sort((a, b) => b.deleted - a.deleted);
  return (
    <View style={styles.sections}>
      <View style={styles.section}>
        <TitleText>{words.data.title}</TitleText>
        <AppText tone="quiet">{words.data.importHint}</AppText>
        <View style={styles.actions}>
          <Button
            kind="primary"
            icon="upload-outline"
            label={words.data.import}
            onPress={() => void chooseFile('.ics,text/calendar').then((file) => file && read(file))}
          />
          <Button
            icon="download-outline"
            label={words.data.exportAll}
            onPress={() => void exportCalendar(state, undefined, context().now)}
          />
        </View>
      </View>
      <View style={styles.section}>
        <TitleText>{words.data.general}</TitleText>
        <Suspense fallback={null}>
          <ZoneSettings />
        </Suspense>
        <NotificationSetting />
      </View>
      {settings.demoNow ? (
        <View style={styles.section}>
          <TitleText>{words.data.demoTitle}</TitleText>
          <AppText>{words.data.demoText(fullDayText(parseDate(settings.demoNow)))}</AppText>
          <AppText tone="quiet">{words.data.startOwnConfirm}</AppText>
          <View style={styles.actions}>
            <Button label={words.data.startOwn} onPress={() => commit(startEmpty(state, context()))} />
          </View>
        </View>
      ) : null}
      <View style={styles.section}>
        <TitleText>{words.data.bin}</TitleText>
        <AppText tone="quiet">{bin.length > 0 ? words.data.binHint : words.data.binEmpty}</AppText>
        {bin.slice(0, SHOWN_IN_BIN).map(({ id, entry }) => {
          const calendar = state.calendars.get(entry.calendarId);
          return (
            <View key={id} style={styles.item}>
              <Mark mark={calendar?.mark ?? '–'} colour={calendar?.colour ?? 'slate'} />
              <AppText numberOfLines={1} style={styles.grow}>
                {entry.title || words.entry.noTitle}
              </AppText>
              <Button
                label={words.actions.restore}
                onPress={() => commit(restoreFromBin(state, [id], context()))}
              />
            </View>
          );
        })}
        {bin.length > SHOWN_IN_BIN ? (
          <AppText tone="quiet">{words.data.binMore(bin.length - SHOWN_IN_BIN)}</AppText>
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  sections: { gap: space(8) },
  section: { gap: space(3) },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  item: { flexDirection: 'row', alignItems: 'center', gap: space(3) },
  grow: { flex: 1 },
});
