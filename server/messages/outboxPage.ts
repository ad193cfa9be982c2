import { htmlPage } from '../htmlPage';
import type { MailBox } from '../mail/mailBox';
import type { DoneMessage, Message, MessageBox } from './message';
import { escapeHtml } from '@/core/interchange/escapeHtml';

const OUTCOMES: Readonly<Record<DoneMessage['outcome'], string>> = {
  sent: 'sent',
  late: 'sent late: the server was off when it was due',
  missed: 'missed: the server was off for too long',
};

/** A moment as the browser's own clock shows it. */
const momentOf = (at: number, { ahead, zone }: Pick<MessageBox | MailBox, 'ahead' | 'zone'>): string => {
  try {
    return new Intl.DateTimeFormat('en-GB', {
      dateStyle: 'medium',
      timeStyle: 'short',
      timeZone: zone,
    }).format(at + ahead);
  } catch {
    return new Date(at + ahead).toISOString().slice(0, 16).replace('T', ' ');
  }
};

const messageMarkup = (message: Message, box: MessageBox, outcome: string): string => {
  const { way, to, subject, body, at } = message;
  return `<li class="entry"><span class="time">${escapeHtml(momentOf(at, box))}</span><div>
<strong>${way === 'email' ? 'E-mail' : 'Text message'} to ${escapeHtml(to)}</strong> <small>${escapeHtml(outcome)}</small>
${subject ? `<div>${escapeHtml(subject)}</div>` : ''}<span class="more">${escapeHtml(body)}</span></div></li>`;
};

const letterMarkup = ({ to, subject, text, at, inReplyTo }: MailBox['sent'][number], mail: MailBox): string =>
  `<li class="entry"><span class="time">${escapeHtml(momentOf(at, mail))}</span><div>
<strong>${escapeHtml(subject)}</strong> <small>to ${escapeHtml(to.join(', '))}${inReplyTo ? `, in reply to ${escapeHtml(inReplyTo)}` : ''}</small>
<span class="more">${escapeHtml(text)}</span></div></li>`;

/** All messages of one browser: those that went, latest first, and those to come; and its letters of invitations. */
export function outboxPage(box: MessageBox | undefined, mail: MailBox | undefined): string {
  const done = [...(box?.done ?? [])].reverse();
  const planned = box?.planned ?? [];
  const list = (items: string[], none: string) =>
    items.length > 0 ? `<ul>${items.join('\n')}</ul>` : `<p>${none}</p>`;
  return htmlPage({
    title: 'Outbox',
    body: `<h1>Outbox</h1>
<p role="note"><strong>Simulated.</strong> A stand-in for a mail relay and a text-message gateway: nothing on this page has been or will be sent to anybody. It shows what would have gone out, to whom and when. Only who has this address sees it.</p>
<h2>Gone out</h2>
${list(
  done.map(({ message, outcome }) => messageMarkup(message, box!, OUTCOMES[outcome])),
  'Nothing has gone out yet.',
)}
<h2>To come</h2>
${list(
  planned.map((message) => messageMarkup(message, box!, 'waits')),
  'Nothing is to go out in the next fourteen days.',
)}${
      mail && mail.sent.length > 0
        ? `\n<h2>Invitations and answers</h2>\n<ul>${[...mail.sent]
            .reverse()
            .map((letter) => letterMarkup(letter, mail))
            .join('\n')}</ul>`
        : ''
    }`,
  });
}
