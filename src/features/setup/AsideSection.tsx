import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { makePatch, put } from '@/core/change/patch';
import { saveFile } from '@/features/interchange';
import { useCommands, useReveal } from '@/features/workspace';
import { readRecordText, type SetAside, useAside, useOpenStore, useSnapshot, useTroubled } from '@/store';
import { FormText } from '@/ui/forms/FormText';
import { useFormOf } from '@/ui/forms/useFormOf';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Sheet } from '@/ui/primitives/Sheet';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { setupWords } from '@/ui/words/setup';

const said = setupWords.aside;
/** How many are shown at first, and how many more at each press. */
const PAGE = 20;

/** What could not be read or shown: each can be seen, saved, mended or thrown away. */
export function AsideSection() {
  const { aside, again } = useAside();
  const troubled = useTroubled();
  const commands = useCommands();
  const [shown, setShown] = useState(PAGE);
  const [opened, setOpened] = useState<SetAside>();
  return (
    <>
      <AppText tone="quiet">{aside.length + troubled.length > 0 ? said.hint : said.none}</AppText>
      {troubled.length > 1 ? (
        <View style={styles.actions}>
          <Button
            label={said.binAll(troubled.length)}
            onPress={() => void commands.bin(troubled.map(({ entryId }) => entryId))}
          />
        </View>
      ) : null}
      {troubled.slice(0, shown).map(({ entryId, reason }) => (
        <TroubledRow key={entryId} entryId={entryId} reason={said.reasons[reason]} />
      ))}
      {troubled.length > shown ? (
        <View style={styles.actions}>
          <Button label={said.more(troubled.length - shown)} onPress={() => setShown(shown + PAGE)} />
        </View>
      ) : null}
      {aside.map((item) => (
        <Row key={item.key} title={nameOf(item)} detail={item.reason || said.unreadable}>
          <Button label={said.seeOf(nameOf(item))} shown={said.see} onPress={() => setOpened(item)} />
        </Row>
      ))}
      {opened ? (
        <AsideSheet
          item={opened}
          onClose={() => {
            setOpened(undefined);
            void again();
          }}
        />
      ) : null}
    </>
  );
}

const nameOf = ({ collection, name }: SetAside): string => said.item(collection, name);

function TroubledRow({ entryId, reason }: { entryId: string; reason: string }) {
  const reveal = useReveal();
  const commands = useCommands();
  const entry = useSnapshot(({ state }) => state.entries.get(entryId));
  if (!entry) return null;
  const title = entry.title || words.entry.noTitle;
  return (
    <Row title={title} detail={reason}>
      <Button label={said.openOf(title)} shown={words.actions.edit} onPress={() => reveal(entryId)} />
      <Button
        label={said.saveOf(title)}
        shown={words.actions.save}
        onPress={() => saveFile('entry.json', JSON.stringify(entry, undefined, 2), 'application/json')}
      />
      <Button
        label={said.binOf(title)}
        shown={words.actions.bin}
        onPress={() => void commands.bin([entryId])}
      />
    </Row>
  );
}

function Row({ title, detail, children }: { title: string; detail: string; children: React.ReactNode }) {
  return (
    <View role="group" aria-label={title} style={styles.item}>
      <View style={styles.grow}>
        <AppText numberOfLines={1}>{title}</AppText>
        <AppText size="small" tone="quiet" numberOfLines={3}>
          {detail}
        </AppText>
      </View>
      <View style={styles.actions}>{children}</View>
    </View>
  );
}

/** A record as a text, that says the record once it is one of its collection. */
const RecordForm = z
  .object({ collection: z.custom<SetAside['collection']>(), text: z.string() })
  .transform(({ collection, text }, check) => {
    const read = collection ? readRecordText(collection, text) : undefined;
    if (read?.record) return read.record;
    check.addIssue({ code: 'custom', path: ['text'], message: said.still(read?.reason ?? '') });
    return z.NEVER;
  });

/** One record as the text that it is: saved, mended or thrown away. */
function AsideSheet({ item, onClose }: { item: SetAside; onClose: () => void }) {
  const { store } = useOpenStore();
  const { commit, context } = useCommands();
  const { control, submit } = useFormOf(RecordForm, { collection: item.collection, text: item.text });
  const [asks, setAsks] = useState(false);
  const { collection } = item;
  const mend = () =>
    submit(async (record) => {
      const change = put(store.getSnapshot().state, collection!, record as never);
      commit(makePatch(context(), { what: 'restored', count: 1 }, [change as never], 'closed-calendars'));
      await store.settled();
      await store.forgetAside(item.key);
      onClose();
    });
  const throwAway = async () => {
    await store.forgetAside(item.key);
    onClose();
  };
  return (
    <Sheet
      title={nameOf(item)}
      closeLabel={words.actions.close}
      onClose={onClose}
      footer={
        <>
          <Button
            kind="danger"
            label={asks ? said.forGood : said.throwAway}
            onPress={() => (asks ? void throwAway() : setAsks(true))}
          />
          <Button
            label={words.actions.save}
            onPress={() => saveFile('set-aside.json', item.text, 'application/json')}
          />
          {collection ? <Button kind="primary" label={said.mend} onPress={mend} /> : null}
        </>
      }
    >
      <AppText tone="quiet">{collection ? said.mendHint : said.partHint}</AppText>
      {collection ? (
        <FormText control={control} name="text" label={said.text} multiline />
      ) : (
        <AppText size="small">{item.text.slice(0, 5000)}</AppText>
      )}
    </Sheet>
  );
}

const styles = StyleSheet.create({
  item: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: space(2) },
  grow: { flexGrow: 1, flexShrink: 1, flexBasis: 200, minWidth: 0 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
});
