import { type Mail, receiveLetter } from '@/core/change/invitations/receiveLetter';
import type { ChangeContext } from '@/core/change/patch';
import { LARGEST_MAIL } from '@/core/interchange/mail/readMail';
import { type FileTaker, isSent, workspace } from '@/features/workspace';
import { calendarFiles, type Store } from '@/store';
import { importingWords } from '@/ui/words/importing';
import { invitationWords } from '@/ui/words/invitations';
import { makeFromMail } from '../mail/mailDraft';

const said = invitationWords.files;

/** The mail in a file: of a mail that was saved, or of a calendar text that says a method; undefined for another file. */
async function mailIn(file: File): Promise<Mail | 'taken' | undefined> {
  if (/\.eml$/i.test(file.name)) {
    if (file.size > LARGEST_MAIL) {
      workspace.say({
        text: `${file.name}: ${importingWords.refusals['too-large']}`,
        tone: 'problem',
        undo: false,
      });
      return 'taken';
    }
    const read = await calendarFiles().mail(new Uint8Array(await file.arrayBuffer()));
    if (!('mail' in read)) {
      const reason = 'refused' in read ? read.refused : 'not-a-calendar';
      workspace.say({
        text: `${file.name}: ${importingWords.refusals[reason]}`,
        tone: 'problem',
        undo: false,
      });
      return 'taken';
    }
    const { id, from, subject, text, calendars } = read.mail;
    // A mail without an invitation is something to make an entry from.
    if (calendars.length === 0) {
      makeFromMail(read.mail);
      return 'taken';
    }
    return { id: id || file.name, from: from.address, subject, text, calendar: calendars[0] ?? '' };
  }
  if (!(await isSent(file))) return undefined;
  return { id: file.name, from: undefined, subject: file.name, text: '', calendar: await file.text() };
}

/** Takes invitations and answers out of files that are laid before the application. */
export const takeInvitations =
  (store: Store, contextOf: () => ChangeContext): FileTaker =>
  async (files) => {
    const others: File[] = [];
    let [taken, waiting, known] = [0, 0, 0];
    for (const file of files) {
      const mail = await mailIn(file);
      if (mail === undefined) {
        others.push(file);
        continue;
      }
      if (mail === 'taken') continue;
      const received = receiveLetter(store.getSnapshot().state, mail, contextOf());
      if (received.patch) await store.commit(received.patch, 'quiet');
      taken += received.taken.length;
      waiting += received.waiting.length;
      known += received.known.length;
    }
    const told = [
      taken > 0 ? said.taken(taken) : '',
      waiting > 0 ? said.waits : '',
      known > 0 ? said.known : '',
    ]
      .filter(Boolean)
      .join('. ');
    if (told !== '') workspace.say({ text: told, tone: 'done', undo: false });
    return others;
  };
