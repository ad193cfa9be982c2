import { useState } from 'react';
import { addPeople } from '@/core/change/peopleChanges';
import type { CardPerson } from '@/core/people/vcard/readCards';
import { chooseFiles, saveFile } from '@/features/interchange';
import { useCommands, workspace } from '@/features/workspace';
import { calendarFiles, useOpenStore } from '@/store';
import { importingWords } from '@/ui/words/importing';
import { peopleWords as said } from '@/ui/words/people';
import { readDirectory } from './readDirectory';

const CARDS = '.vcf,.vcard,text/vcard';

/** Takes people over from the directory and from files of cards, and writes such files. */
export function usePeopleFiles() {
  const { store } = useOpenStore();
  const { commit, context } = useCommands();
  const [isBusy, setBusy] = useState(false);
  const problem = (text: string) => workspace.say({ text, tone: 'problem', undo: false });
  const take = (people: readonly CardPerson[], updates: boolean, unreadable: number) => {
    const { patch, added, merged } = addPeople(store.getSnapshot().state, people, context(), { updates });
    const unread = unreadable > 0 ? `. ${said.unreadable(unreadable)}` : '';
    if (patch.changes.length === 0)
      workspace.say({ text: `${said.nothingNew}${unread}`, tone: 'done', undo: false });
    else if (commit(patch))
      workspace.say({ text: `${said.taken(added, merged)}${unread}`, tone: 'done', undo: true });
  };
  const during = async (work: () => Promise<void>) => {
    if (isBusy) return;
    setBusy(true);
    try {
      await work();
    } finally {
      setBusy(false);
    }
  };
  return {
    isBusy,
    takeDirectory: () =>
      during(async () => {
        try {
          take(await readDirectory(), true, 0);
        } catch {
          problem(said.away);
        }
      }),
    openCards: () =>
      during(async () => {
        for (const file of await chooseFiles(CARDS)) {
          const read = await calendarFiles().cards(new Uint8Array(await file.arrayBuffer()));
          if ('refused' in read) problem(`${file.name}: ${importingWords.refusals[read.refused]}`);
          else if ('people' in read) take(read.people, false, read.problems.length);
        }
      }),
    saveCards: async (ids?: readonly string[]) => {
      const { people } = store.getSnapshot().state;
      const wanted = [...people.values()].filter(({ id }) => !ids || ids.includes(id));
      saveFile(said.cardsName, await calendarFiles().writeCards(wanted), 'text/vcard');
    },
  };
}
