import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { proposeColour, proposeMark, saveCalendar } from '@/core/change/calendarChanges';
import { feedAddress } from '@/core/feeds/feedAddress';
import { filesNamed } from '@/core/change/attachmentChanges';
import { refreshFeed } from '@/core/feeds/refreshFeed';
import { applyPatch, makePatch } from '@/core/change/patch';
import { useCommands } from '@/features/workspace';
import { useCalendars, useOpenStore } from '@/store';
import { AppIcon } from '@/ui/icons/AppIcon';
import { AppText } from '@/ui/primitives/AppText';
import { TextField } from '@/ui/primitives/TextField';
import { Sheet } from '@/ui/primitives/Sheet';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, sizes, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';
import { FeedFields, USUAL_FEED } from './FeedFields';
import { readFeed, type ReadFeed } from './readFeed';

const said = exchangeWords.feeds;

const Offered = z.array(z.object({ name: z.string(), address: z.string(), about: z.string() }));

async function fetchOffered(): Promise<z.infer<typeof Offered>> {
  const response = await fetch('/api/offered-feeds');
  return response.ok ? Offered.parse(await response.json()) : [];
}

/** Subscribes to a calendar by its address: it is read once before it is kept. */
export function SubscribeSheet({ onClose }: { onClose: () => void }) {
  const { colours } = useTheme();
  const { store, clock } = useOpenStore();
  const calendars = useCalendars();
  const { commitWithFiles, context } = useCommands();
  const [address, setAddress] = useState('');
  const [name, setName] = useState('');
  const [options, setOptions] = useState(USUAL_FEED);
  const [tried, setTried] = useState(false);
  const [isReading, setIsReading] = useState(false);
  const [read, setRead] = useState<(ReadFeed & { address: string }) | null>(null);
  const offered = useQuery({ queryKey: ['offered feeds'], queryFn: fetchOffered, retry: false });
  const whole = feedAddress(address);
  const found = read && read.address === whole ? read : null;
  const isFound = found?.answer.kind === 'read';

  const look = async () => {
    setTried(true);
    if (whole === undefined) return;
    setIsReading(true);
    const answer = await readFeed({ address: whole }, { zone: context().zone, now: clock() });
    setIsReading(false);
    setRead({ ...answer, address: whole });
    if (answer.answer.kind === 'read' && name.trim() === '')
      setName((answer.name ?? new URL(whole).hostname).slice(0, 120));
  };
  const subscribe = async () => {
    if (!found || found.answer.kind !== 'read' || whole === undefined) return;
    const { state } = store.getSnapshot();
    const title = name.trim() || new URL(whole).hostname;
    const made = saveCalendar(
      state,
      undefined,
      {
        name: title,
        description: '',
        mark: proposeMark(
          title,
          calendars.map(({ mark }) => mark),
        ),
        colour: proposeColour(calendars.map(({ colour }) => colour)),
        feed: { address: whole, ...options },
      },
      context(),
    );
    const id = made.changes[0]!.id;
    const filled = refreshFeed(applyPatch(state, made), id, found.answer, context());
    const calendar = filled.changes.findLast((change) => change.collection === 'calendars')!;
    const patch = makePatch(context(), made.summary, [
      { ...calendar, before: null },
      ...filled.changes.filter((change) => change.collection !== 'calendars'),
    ] as typeof made.changes);
    const kept = filesNamed(patch);
    const files = new Map([...found.files].filter(([file]) => kept.has(file)));
    if (await commitWithFiles(patch, files)) onClose();
  };

  return (
    <Sheet
      title={said.title}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      go={
        isFound
          ? { label: said.go, onPress: () => void subscribe() }
          : {
              label: isReading ? said.reading : said.refresh,
              disabled: isReading,
              onPress: () => void look(),
            }
      }
    >
      <TextField
        label={said.address}
        value={address}
        onChangeText={setAddress}
        inputMode="url"
        maxLength={2000}
        hint={said.addressHint}
        error={tried && whole === undefined ? said.addressWrong : undefined}
        onSubmit={() => void (isFound ? subscribe() : look())}
        testID="feed-address"
      />
      <View role="status">
        {isReading ? <AppText tone="quiet">{said.reading}</AppText> : null}
        {found?.answer.kind === 'read' ? (
          <AppText weight="700">{said.found(found.answer.events.length)}</AppText>
        ) : null}
      </View>
      {found?.answer.kind === 'failed' ? (
        <AppText tone="error" role="alert">
          {`${said.problems[found.answer.code]}.`}
        </AppText>
      ) : null}
      {isFound ? (
        <>
          <TextField label={words.calendars.name} value={name} onChangeText={setName} maxLength={120} />
          <FeedFields options={options} onChange={setOptions} />
        </>
      ) : null}
      {!isFound && offered.data && offered.data.length > 0 ? (
        <View style={styles.offered}>
          <AppText size="small" tone="quiet">
            {said.known}
          </AppText>
          {offered.data.map((feed) => (
            <Pressable
              key={feed.address}
              role="button"
              onPress={() => {
                setAddress(feed.address);
                setTried(false);
              }}
              style={[
                styles.feed,
                { borderColor: feed.address === address ? colours.primary : colours.line },
              ]}
            >
              <AppIcon name="rss" size={18} color={colours.quietInk} />
              <View style={styles.text}>
                <AppText numberOfLines={1}>{feed.name}</AppText>
                <AppText size="small" tone="quiet" numberOfLines={1}>
                  {feed.about}
                </AppText>
              </View>
            </Pressable>
          ))}
        </View>
      ) : null}
    </Sheet>
  );
}

const styles = StyleSheet.create({
  offered: { gap: space(2) },
  feed: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(3),
    minHeight: sizes.target,
    paddingHorizontal: space(3),
    paddingVertical: space(1),
    borderWidth: hairline,
    borderRadius: corner,
  },
  text: { flex: 1, minWidth: 0 },
});
