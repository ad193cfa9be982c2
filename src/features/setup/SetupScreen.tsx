import { type ComponentType, createElement, Suspense, useRef } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { AttachmentSection } from '@/features/attachments';
import { CalendarList, CategorySection } from '@/features/calendars';
import { BackupSection } from '@/features/interchange/later';
import { InvitationSettings } from '@/features/people';
import { PeriodSection } from '@/features/periods';
import { PlaceSection } from '@/features/places';
import { useSettings } from '@/store';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { space } from '@/ui/theme/tokens';
import { webStyle } from '@/ui/web';
import { words } from '@/ui/words';
import { setupWords } from '@/ui/words/setup';
import { AsideSection } from './AsideSection';
import { DemoSection } from './DemoSection';
import { FilesSection } from './FilesSection';
import { GeneralSection } from './GeneralSection';
import { ReminderSection } from './ReminderSection';
import type { SectionId } from './sectionId';
import { SectionIndex } from './SectionIndex';
import { WeatherSection } from './WeatherSection';
import { WorkingPatternSection } from './working/WorkingPatternSection';

const CONTENTS: Record<SectionId, ComponentType> = {
  calendars: CalendarList,
  categories: CategorySection,
  periods: PeriodSection,
  files: FilesSection,
  backup: BackupSection,
  attachments: AttachmentSection,
  working: WorkingPatternSection,
  reminders: ReminderSection,
  invitations: InvitationSettings,
  weather: WeatherSection,
  places: PlaceSection,
  general: GeneralSection,
  demo: DemoSection,
  aside: AsideSection,
};
const SECTION_IDS = Object.keys(CONTENTS) as SectionId[];

/** From this width on, the index of the sections stands beside them. */
const INDEX_BESIDE = 1000;

/** Calendars, files, and what else is set once: sections under one another, with an index that leads to each. */
export function SetupScreen() {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const { demoNow } = useSettings();
  const list = useRef<View>(null);
  const beside = width >= INDEX_BESIDE;
  const shown = SECTION_IDS.filter((id) => id !== 'demo' || demoNow !== undefined);
  const index = (
    <SectionIndex ids={shown} beside={beside} list={list as unknown as React.RefObject<HTMLElement | null>} />
  );
  return (
    <View role="main" style={[styles.screen, { backgroundColor: colours.page }]}>
      {beside ? index : null}
      <ScrollView style={styles.scroller} contentContainerStyle={styles.page}>
        <TitleText level={1} size="display">
          {words.places.setup}
        </TitleText>
        {beside ? null : index}
        <View ref={list} style={styles.sections}>
          {shown.map((id) => {
            const Content = CONTENTS[id];
            return (
              <View
                key={id}
                nativeID={`section-${id}`}
                role="region"
                aria-label={setupWords.sections[id]}
                tabIndex={-1}
                style={[styles.section, webStyle({ scrollMarginTop: space(5) })]}
              >
                <TitleText>{setupWords.sections[id]}</TitleText>
                <Suspense fallback={null}>
                  <Content />
                </Suspense>
              </View>
            );
          })}
        </View>
        <View>
          {createElement(
            'a',
            { href: '/notices.html', target: '_blank', rel: 'noreferrer', style: { color: colours.primary } },
            <AppText size="small" style={{ color: colours.primary }}>
              {setupWords.licences}
            </AppText>,
          )}
        </View>
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1, flexDirection: 'row', justifyContent: 'center' },
  scroller: { flexGrow: 1, flexShrink: 1, maxWidth: 800 },
  page: { padding: space(4), gap: space(5), paddingBottom: space(16) },
  sections: { gap: space(8) },
  section: { gap: space(3), outlineWidth: 0 },
});
