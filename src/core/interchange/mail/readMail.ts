import PostalMime from 'postal-mime';
import { FileError } from '../icalendar/problems';

/** The largest mail that is read, in bytes, and the most files of one. */
export const LARGEST_MAIL = 30 * 1024 ** 2;
export const MOST_FILES = 100;
/** How deep parts may lie in each other. */
const DEEPEST = 20;
/** The longest head of a mail, in bytes. */
const LONGEST_HEAD = 256 * 1024;

/** A file that a mail carries. */
interface MailFile {
  readonly name: string;
  readonly type: string;
  readonly bytes: Uint8Array;
}

/** A mail (RFC 5322, RFC 2045), as far as a calendar wants to know. */
export interface ReadMail {
  /** Its Message-ID, or '' without one. */
  readonly id: string;
  readonly from: { readonly name: string; readonly address: string };
  readonly subject: string;
  /** When it was written, an instant in milliseconds; undefined where it does not say. */
  readonly date: number | undefined;
  readonly text: string;
  /** Its calendar texts (RFC 6047). */
  readonly calendars: readonly string[];
  readonly files: readonly MailFile[];
}

/** Fields of which every mail has some. */
const FIELDS = /^(from|message-id|mime-version|date|subject):/i;

/** Whether a text begins as a mail does: with a field that mails have. */
export function isMail(text: string): boolean {
  for (const line of text.slice(0, 20_000).split('\n')) {
    if (FIELDS.test(line)) return true;
    if (!/^([\w-]+:|[ \t])/.test(line)) return false;
  }
  return false;
}

/** Marks after which a page goes on in a new line. */
const BREAKS = /^(br|\/p|\/div|\/li|\/tr)\b/i;
/** Parts of a page that are not read. */
const UNREAD = /^(style|script)\b/i;
const ENTITIES: readonly (readonly [string, string])[] = [
  ['&nbsp;', ' '],
  ['&lt;', '<'],
  ['&gt;', '>'],
  ['&quot;', '"'],
  ['&amp;', '&'],
];

/** The words of a page, without its marks: in time that grows with its length alone. */
function wordsOf(html: string): string {
  let words = '';
  let unread = '';
  for (let at = 0; at < html.length;) {
    const open = html.indexOf('<', at);
    const end = open < 0 ? -1 : html.indexOf('>', open);
    if (unread === '') words += html.slice(at, end < 0 ? undefined : open);
    if (end < 0) break;
    const mark = html.slice(open + 1, Math.min(end, open + 20));
    if (unread === '') {
      unread = UNREAD.exec(mark)?.[1]?.toLowerCase() ?? '';
      if (BREAKS.test(mark)) words += '\n';
    } else if (mark.toLowerCase().startsWith(`/${unread}`)) unread = '';
    at = end + 1;
  }
  return ENTITIES.reduce((text, [name, letter]) => text.replaceAll(name, letter), words);
}

const textOf = (content: ArrayBuffer | string): string =>
  typeof content === 'string' ? content : new TextDecoder().decode(content);

/**
 * Reads a mail.
 * @throws FileError if it is too large, carries too much, or is no mail
 */
export async function readMail(bytes: Uint8Array): Promise<ReadMail> {
  if (bytes.length === 0) throw new FileError('empty');
  if (bytes.length > LARGEST_MAIL) throw new FileError('too-large');
  if (!isMail(new TextDecoder().decode(bytes.subarray(0, 20_000)))) throw new FileError('not-a-calendar');
  let mail;
  try {
    mail = await PostalMime.parse(bytes, {
      maxNestingDepth: DEEPEST,
      maxHeadersSize: LONGEST_HEAD,
      attachmentEncoding: 'arraybuffer',
    });
  } catch {
    throw new FileError('too-large');
  }
  if (mail.attachments.length > MOST_FILES) throw new FileError('too-large');
  const isCalendar = ({ mimeType, filename }: { mimeType: string; filename: string | null }) =>
    /^text\/calendar|^application\/ics/i.test(mimeType) || /\.ics$/i.test(filename ?? '');
  const date = mail.date === undefined ? NaN : Date.parse(mail.date);
  // Some carry the same calendar text twice, beside their words and as a file.
  const calendars = new Set(
    mail.attachments.filter(isCalendar).map(({ content }) => textOf(content as ArrayBuffer | string)),
  );
  return {
    id: (mail.messageId ?? '').replaceAll(/^<|>$/g, ''),
    from: { name: mail.from?.name ?? '', address: mail.from?.address ?? '' },
    subject: mail.subject ?? '',
    date: Number.isNaN(date) ? undefined : date,
    text: (mail.text ?? wordsOf(mail.html ?? '')).trim(),
    calendars: [...calendars],
    files: mail.attachments
      .filter((attachment) => !isCalendar(attachment))
      .map(({ filename, mimeType, content }) => ({
        name: filename ?? '',
        type: mimeType,
        bytes:
          typeof content === 'string'
            ? new TextEncoder().encode(content)
            : new Uint8Array(content as ArrayBuffer),
      })),
  };
}
