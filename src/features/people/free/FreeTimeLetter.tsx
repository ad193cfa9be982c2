import { sendWords } from '@/core/change/invitations/letters';
import type { Person } from '@/core/model/person';
import { useCommands, workspace } from '@/features/workspace';
import { useOpenStore, useSettings } from '@/store';
import { Button } from '@/ui/primitives/Button';
import { peopleWords } from '@/ui/words/people';

const said = peopleWords.freeTimes;

/** Sends one's free times to those who are chosen, through the mail stand-in. */
export function FreeTimeLetter({
  people,
  text,
  isEmpty,
}: {
  people: readonly Person[];
  text: string;
  isEmpty: boolean;
}) {
  const { store } = useOpenStore();
  const { context } = useCommands();
  const { addresses } = useSettings();
  const to = people.flatMap((person) => person.addresses.slice(0, 1));
  if (to.length === 0 || !addresses?.email) return null;
  const send = async () => {
    const patch = sendWords(store.getSnapshot().state, { to, subject: said.subject, text }, context());
    if (await store.commit(patch, 'quiet'))
      workspace.say({ text: said.sent(to.length), tone: 'done', undo: false });
  };
  return <Button label={said.send(to.length)} disabled={isEmpty} onPress={() => void send()} />;
}
