import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { proposeColour, proposeMark, saveCalendar } from '@/core/change/calendarChanges';
import { FeedOptions } from '@/core/model/calendar';
import { feedAddress } from '@/core/feeds/feedAddress';
import { filesNamed } from '@/core/change/attachmentChanges';
import { refreshFeed } from '@/core/feeds/refreshFeed';
import { applyPatch, makePatch } from '@/core/change/patch';
import { useCommands } from '@/features/workspace';
import { useCalendars, useOpenStore } from '@/store';
import { AppIcon } from '@/ui/icons/AppIcon';
import { FormField } from '@/ui/forms/FormField';
import { FormText } from '@/ui/forms/FormText';
import { useFormOf } from '@/ui/forms/useFormOf';
import { AppText } from '@/ui/primitives/AppText';
import { Sheet } from '@/ui/primitives/Sheet';
import { Waiting } from '@/ui/primitives/Waiting';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, sizes, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';
import { FeedFields, USUAL_FEED } from './FeedFields';
import { readFeed, type ReadFeed } from './readFeed';

const said = exchangeWords.feeds;

const Offered = z.array(z.object({ name: z.string(), address: z.string(), about: z.string() }));

const FeedForm = z.object({
  address: z.string().transform((text, check) => {
    const whole = feedAddress(text);
    if (whole === undefined) check.addIssue({ code: 'custom', message: said.addressWrong });
    return whole ?? z.NEVER;
  }),
  name: z.string().trim(),
  options: FeedOptions,
});

async function fetchOffered(): Promise<z.infer<typeof Offered>> {
  const response = await fetch('/api/offered-feeds');
  return response.ok ? Offered.parse(await response.json()) : [];
}

/** Subscribes to a calendar by its address: it is read once before it is kept. */
export function SubscribeSheet({ onClose }: { onClose: () => void }) {
  const { store, clock } = useOpenStore();
  const calendars = useCalendars();
  const { commitWithFiles, context } = useCommands();
  const { control, typed, set, submit } = useFormOf(FeedForm, {
    address: '',
    name: '',
    options: USUAL_FEED,
  });
  const { address, name } = typed;
  const [isReading, setIsReading] = useState(false);
  const [read, setRead] = useState<(ReadFeed & { address: string }) | null>(null);
  const whole = feedAddress(address);
  const found = read && read.address === whole ? read : null;
  const isFound = found?.answer.kind === 'read';

  const look = async (from: string) => {
    setIsReading(true);
    const answer = await readFeed({ address: from }, { zone: context().zone, now: clock() });
    setIsReading(false);
    setRead({ ...answer, address: from });
    if (answer.answer.kind === 'read' && name.trim() === '')
      set('name', (answer.name ?? new URL(from).hostname).slice(0, 120));
  };
  const subscribe = async ({ address: from, name: given, options }: z.output<typeof FeedForm>) => {
    if (!found || found.answer.kind !== 'read') return;
    const { state } = store.getSnapshot();
    const title = given || new URL(from).hostname;
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
        feed: { address: from, ...options },
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
  const go = () => submit((said) => (isFound ? subscribe(said) : look(said.address)));

  return (
    <Sheet
      title={said.title}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      go={
        isFound
          ? { label: said.go, onPress: go }
          : { label: isReading ? said.reading : said.refresh, disabled: isReading, onPress: go }
      }
    >
      <FormText
        control={control}
        name="address"
        label={said.address}
        inputMode="url"
        maxLength={2000}
        hint={said.addressHint}
        onSubmit={go}
        testID="feed-address"
      />
      <View role="status">
        {isReading ? <Waiting>{said.reading}</Waiting> : null}
        {found?.answer.kind === 'read' ? (
          <AppText weight="700">{said.found(found.answer.entries.length)}</AppText>
        ) : null}
      </View>
      {found?.answer.kind === 'failed' ? (
        <AppText tone="error" role="alert">
          {`${said.problems[found.answer.code]}.`}
        </AppText>
      ) : null}
      {isFound ? (
        <>
          <FormText control={control} name="name" label={words.calendars.name} maxLength={120} />
          <FormField control={control} name="options">
            {({ value, onChange }) => <FeedFields options={value} onChange={onChange} />}
          </FormField>
        </>
      ) : (
        <OfferedFeeds address={address} onPick={(picked) => set('address', picked)} />
      )}
    </Sheet>
  );
}

/** The feeds that the server knows, to be picked. */
function OfferedFeeds({ address, onPick }: { address: string; onPick: (address: string) => void }) {
  const { colours } = useTheme();
  const offered = useQuery({ queryKey: ['offered feeds'], queryFn: fetchOffered, retry: false });
  if (!offered.data || offered.data.length === 0) return null;
  return (
    <View style={styles.offered}>
      <AppText size="small" tone="quiet">
        {said.known}
      </AppText>
      {offered.data.map((feed) => (
        <Pressable
          key={feed.address}
          role="button"
          onPress={() => onPick(feed.address)}
          style={[styles.feed, { borderColor: feed.address === address ? colours.primary : colours.line }]}
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
