import { z } from 'zod';
import { messageWords } from '@/ui/words/messages';

const said = messageWords.setup;
/** As the server takes it. */
const PHONE = /^\+?[0-9][0-9 ()/.-]{4,30}$/;

const email = z
  .string()
  .trim()
  .refine((text) => text === '' || z.email().max(254).safeParse(text).success, said.emailWrong);
const phone = z
  .string()
  .trim()
  .refine((text) => text === '' || PHONE.test(text), said.phoneWrong);

/** Where one's messages go; nothing for nowhere. */
export const AddressForm = z.object({ email, phone });
