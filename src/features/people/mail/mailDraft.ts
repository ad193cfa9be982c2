import { create } from 'zustand';
import type { ReadMail } from '@/core/interchange/mail/readMail';

/** A mail that an entry is made from: one that was opened, or words that are pasted. */
export type DraftMail = Pick<ReadMail, 'id' | 'from' | 'subject' | 'date' | 'text' | 'files'>;

export const useMailDraft = create<{ readonly mail: DraftMail | null }>()(() => ({ mail: null }));

/** Opens the making of an entry from a mail; with none, closes it. */
export const makeFromMail = (mail: DraftMail | null): void => useMailDraft.setState({ mail });

/** No mail yet: it is pasted. */
export const PASTED: DraftMail = {
  id: '',
  from: { name: '', address: '' },
  subject: '',
  date: undefined,
  text: '',
  files: [],
};
