import { randomBytes } from 'node:crypto';
import MailComposer from 'nodemailer/lib/mail-composer';
import type { ComingLetter } from './mailBox';

/** A letter as a whole mail, with its calendar text as RFC 6047 has it: an alternative to the words that says its method. */
export async function composeMail(
  { from, fromName, subject, text, method, calendar }: ComingLetter,
  to: string,
  date: Date,
): Promise<string> {
  const composer = new MailComposer({
    from: { name: fromName, address: from },
    to,
    subject,
    text,
    date,
    messageId: `<${randomBytes(16).toString('hex')}@fennick.example>`,
    alternatives: [{ contentType: `text/calendar; charset=utf-8; method=${method}`, content: calendar }],
  });
  const mail = await composer.compile().build();
  return mail.toString('utf8');
}
