import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { saveCalendar } from '@/core/change/calendarChanges';
import { type ChangeContext, makePatch, type Patch } from '@/core/change/patch';
import type { State } from '@/core/model/state';
import {
  type Calendar,
  type Publication,
  PUBLISHED_LEVELS,
  type PublishedLevel,
} from '@/core/model/calendar';
import { DAY, startOfWeek } from '@/core/time/civil';
import { momentText } from '@/features/feeds';
import { useCommands } from '@/features/workspace';
import {
  calendarFiles,
  followingData,
  newSecret,
  useNowWall,
  useOpenStore,
  useSettings,
  useSnapshot,
} from '@/store';
import { dayText, timeRangeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { Sheet } from '@/ui/primitives/Sheet';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';
import { CopiedText } from './CopiedText';
import { pageOf, SecretPage } from './SecretPage';
import { copyOfCalendar, textOf } from './copies';
import { pushCopy, withdraw } from './publishClient';
import { escapeHtml } from '@/core/interchange/escapeHtml';

const said = exchangeWords.publish;
/** How many days "as others see it" shows. */
const SHOWN_DAYS = 14;
/** The address of what is only looked at. */
const NOWHERE = { token: '', key: '' };

/** Publishes a calendar at a level, shows it as others see it, and renews or withdraws its address. */
export function PublishSheet({ calendarId, onClose }: { calendarId: string; onClose: () => void }) {
  const calendar = useSnapshot(({ state }) => state.calendars.get(calendarId));
  return calendar ? <Opened calendar={calendar} onClose={onClose} /> : null;
}

function Opened({ calendar, onClose }: { calendar: Calendar; onClose: () => void }) {
  const { store } = useOpenStore();
  const { homeZone } = useSettings();
  const { commit, context, refuse } = useCommands();
  const { publication } = calendar;
  const [level, setLevel] = useState<PublishedLevel>(publication?.level ?? 'busy');
  const [isBusy, setIsBusy] = useState(false);

  /** Tells the server first: what it does not have is not said to be there. */
  const keep = async (next: Publication | undefined) => {
    setIsBusy(true);
    const state = () => store.getSnapshot().state;
    const pushed =
      !next ||
      (await pushCopy(state(), copyOfCalendar(calendar, next, next.level), context().now)) === 'done';
    const old = publication && publication.token !== next?.token ? publication : undefined;
    const done = pushed && (old === undefined || (await withdraw(old)));
    setIsBusy(false);
    if (!done) return refuse(said.failed);
    commit(publicationPatch(state(), calendar, next, context()));
  };
  const fresh = (): Publication => ({
    token: newSecret(),
    key: newSecret(),
    level,
    since: context().now,
  });

  return (
    <Sheet
      title={said.title(calendar.name)}
      closeLabel={words.actions.close}
      onClose={onClose}
      footer={
        publication ? (
          <PublishedActions
            isBusy={isBusy}
            keep={keep}
            fresh={fresh}
            level={level}
            publication={publication}
          />
        ) : (
          <PublishActions onClose={onClose} isBusy={isBusy} keep={keep} fresh={fresh} />
        )
      }
    >
      <AppText tone="quiet">{said.intro}</AppText>
      <LevelField level={level} setLevel={setLevel} />
      <AppText size="small" tone="quiet">
        {said.privateHint}
      </AppText>
      {publication ? (
        <>
          <AppText weight="700">{said.since(momentText(publication.since, homeZone))}</AppText>
          <Addresses publication={publication} name={calendar.name} />
        </>
      ) : null}
      <AsOthersSeeIt calendar={calendar} level={level} />
    </Sheet>
  );
}

/** What publishes the calendar. */
function PublishActions({
  onClose,
  isBusy,
  keep,
  fresh,
}: {
  onClose: () => void;
  isBusy: boolean;
  keep: (next: Publication | undefined) => Promise<void>;
  fresh: () => Publication;
}) {
  return (
    <>
      <Button label={words.actions.cancel} onPress={onClose} />
      <Button kind="primary" label={said.go} disabled={isBusy} onPress={() => void keep(fresh())} />
    </>
  );
}

/** How much others see. */
function LevelField({
  level,
  setLevel,
}: {
  level: PublishedLevel;
  setLevel: (next: 'busy' | 'titles' | 'everything') => void;
}) {
  return (
    <ChoiceRow
      label={said.level}
      choices={PUBLISHED_LEVELS.map((value) => ({ value, label: said.levels[value] }))}
      value={level}
      onChange={setLevel}
    />
  );
}

/** Keeps where a calendar is published, or that it is no more. */
function publicationPatch(
  state: State,
  { id, name, description, colour, mark }: Calendar,
  publication: Publication | undefined,
  context: ChangeContext,
): Patch {
  const fields = { name, description, colour, mark, publication };
  const { changes } = saveCalendar(state, id, fields, context);
  const what = publication === undefined ? 'calendar-withdrawn' : 'calendar-published';
  return makePatch(context, { what, count: 1, name }, changes);
}

/** What can be done with a calendar that is published. */
function PublishedActions({
  isBusy,
  keep,
  fresh,
  level,
  publication,
}: {
  isBusy: boolean;
  keep: (next: Publication | undefined) => Promise<void>;
  fresh: () => Publication;
  level: PublishedLevel;
  publication: Publication;
}) {
  return (
    <>
      <Button kind="danger" label={said.withdraw} disabled={isBusy} onPress={() => void keep(undefined)} />
      <Button label={said.renew} disabled={isBusy} onPress={() => void keep(fresh())} />
      <Button
        kind="primary"
        label={said.save}
        disabled={isBusy || level === publication.level}
        onPress={() => void keep({ ...publication, level })}
      />
    </>
  );
}

function Addresses({ publication: { token }, name }: { publication: Publication; name: string }) {
  const snippet = `<iframe src="${pageOf(token)}" title="${escapeHtml(name)}" width="480" height="640"></iframe>`;
  return (
    <View style={styles.addresses}>
      <SecretPage token={token} />
      <CopiedText label={said.snippet} text={snippet} />
      <AppText size="small" tone="quiet">
        {/^(localhost|127\.|\[::1\])/.test(window.location.hostname) ? said.local : said.renewHint}
      </AppText>
    </View>
  );
}

function AsOthersSeeIt({ calendar, level }: { calendar: Calendar; level: PublishedLevel }) {
  const { colours } = useTheme();
  const { homeZone, weekStart } = useSettings();
  const first = startOfWeek(Math.floor(useNowWall() / DAY), weekStart);
  const { store, clock } = useOpenStore();
  const { data: days } = useQuery({
    queryKey: ['as others see it', calendar.id, level, first, homeZone],
    ...followingData(store, ['entries'], async () => {
      // What is shown is read from the very file that others get.
      const { state } = store.getSnapshot();
      const now = clock();
      const bytes = new TextEncoder().encode(
        await textOf(state, copyOfCalendar(calendar, NOWHERE, level), now),
      );
      const read = await calendarFiles().read(
        bytes,
        { zone: homeZone, now, calendars: [] },
        async () => true,
      );
      if (!('file' in read)) throw new Error('not read');
      return calendarFiles().publishedDays(read.file.events, { first, end: first + SHOWN_DAYS }, homeZone);
    }),
  });
  return (
    <View role="region" aria-label={said.preview} style={[styles.preview, { borderColor: colours.line }]}>
      <AppText weight="700">{said.preview}</AppText>
      {days?.length === 0 ? <AppText tone="quiet">{said.previewNothing}</AppText> : null}
      {days?.map(({ day, items }) => (
        <View key={day} style={styles.day}>
          <AppText size="small" weight="700" tone="quiet">
            {dayText(day)}
          </AppText>
          {items.map(({ occurrence, notes }) => (
            <View key={occurrence.key} style={styles.item}>
              <AppText figures style={styles.time}>
                {occurrence.allDay
                  ? words.editor.allDay
                  : timeRangeText(occurrence.startWall, occurrence.endWall)}
              </AppText>
              <View style={styles.what}>
                <AppText>{occurrence.title || words.entry.noTitle}</AppText>
                {occurrence.location || notes ? (
                  <AppText size="small" tone="quiet" numberOfLines={3}>
                    {[occurrence.location, notes].filter(Boolean).join(' · ')}
                  </AppText>
                ) : null}
              </View>
            </View>
          ))}
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  addresses: { gap: space(3) },
  preview: { gap: space(2), borderTopWidth: hairline, paddingTop: space(3) },
  day: { gap: space(1) },
  item: { flexDirection: 'row', gap: space(3) },
  time: { width: 112 },
  what: { flex: 1, minWidth: 0 },
});
