import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { attachmentsBySize, removeAttachments, type AttachmentUse } from '@/core/change/attachmentChanges';
import { useCommands } from '@/features/workspace';
import { useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Check } from '@/ui/primitives/Check';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';
import { useAttachedFile } from './useAttachedFile';
import type { Attachment } from '@/core/model/attachment';
import type { State } from '@/core/model/state';

const said = exchangeWords.attachments;
const SHOWN = 50;

/** All attached files, largest first; several are chosen and removed at once. */
export function AttachmentSection() {
  const state = useSnapshot((snapshot) => snapshot.state);
  const { save } = useAttachedFile();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const uses = attachmentsBySize(state);
  const { data: room } = useQuery({
    queryKey: ['room', uses.length],
    queryFn: async () => (await navigator.storage?.estimate?.()) ?? null,
  });
  const there = new Set(uses.map(({ attachment }) => attachment.id).filter((id) => chosen.has(id)));
  const toggle = (id: string) => {
    const next = new Set(there);
    if (!next.delete(id)) next.add(id);
    setChosen(next);
  };
  const total = uses.reduce((sum, { attachment }) => sum + attachment.size, 0);
  return (
    <View style={styles.section}>
      <AppText tone="quiet">
        {uses.length === 0 ? said.none : said.total(uses.length, said.size(total))}
      </AppText>
      {room?.quota && room.usage !== undefined ? (
        <AppText size="small" tone="quiet" figures>
          {said.room(said.size(room.usage), said.size(room.quota))}
        </AppText>
      ) : null}
      <View style={styles.list}>
        {uses.slice(0, SHOWN).map((use) => (
          <AttachmentRow
            key={use.attachment.id}
            {...use}
            isChosen={there.has(use.attachment.id)}
            toggle={() => toggle(use.attachment.id)}
            save={save}
          />
        ))}
      </View>
      {uses.length > 0 ? (
        <ChosenActions there={there} uses={uses} setChosen={setChosen} state={state} />
      ) : null}
    </View>
  );
}

/** What is chosen, and what can be done with it. */
function ChosenActions({
  there,
  uses,
  setChosen,
  state,
}: {
  there: ReadonlySet<string>;
  uses: readonly AttachmentUse[];
  setChosen: (next: ReadonlySet<string>) => void;
  state: State;
}) {
  const { commit, context } = useCommands();
  return (
    <View style={styles.actions}>
      <Button
        label={there.size === uses.length ? said.chooseNone : said.chooseAll}
        onPress={() =>
          setChosen(
            there.size === uses.length ? new Set() : new Set(uses.map(({ attachment }) => attachment.id)),
          )
        }
      />
      <Button
        kind="danger"
        icon="delete-outline"
        label={said.removeChosen(there.size)}
        disabled={there.size === 0}
        onPress={() => {
          commit(removeAttachments(state, there, context()));
          setChosen(new Set());
        }}
      />
    </View>
  );
}

/** An attached file, where it is, and its size. */
function AttachmentRow({
  attachment,
  title,
  count,
  isChosen,
  toggle,
  save,
}: AttachmentUse & {
  isChosen: boolean;
  toggle: () => void;
  save: (attachment: Attachment) => Promise<void>;
}) {
  return (
    <View style={styles.row}>
      <View style={styles.choice}>
        <Check label={said.choose(attachment.name)} checked={isChosen} onChange={toggle}>
          <AppText numberOfLines={1}>{attachment.name}</AppText>
          <AppText size="small" tone="quiet" numberOfLines={1}>
            {said.on(title || words.entry.noTitle, count)}
          </AppText>
        </Check>
      </View>
      <AppText figures tone="quiet">
        {said.size(attachment.size)}
      </AppText>
      <Button
        icon="download-outline"
        iconOnly
        kind="quiet"
        label={said.save(attachment.name)}
        onPress={() => void save(attachment)}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  section: { gap: space(3) },
  list: { gap: space(1) },
  row: { flexDirection: 'row', alignItems: 'center', gap: space(2) },
  choice: { flex: 1, minWidth: 0 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
});
