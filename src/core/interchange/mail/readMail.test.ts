import { FileError } from '../icalendar/problems';
import { isMail, MOST_FILES, readMail } from './readMail';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const mail = (head: readonly string[], body: string): Uint8Array =>
  bytes([...head, 'MIME-Version: 1.0', '', body].join('\r\n'));
const HEAD = [
  'From: =?utf-8?Q?Ines_Falk_=C2=B7_boats?= <ines.falk@fennick.example>',
  'Message-ID: <tide@fennick.example>',
  'Date: Tue, 09 Mar 2027 08:00:00 -0100',
  'Subject: =?utf-8?B?VGlkZSB0YWxrIOKAkyBuZXc=?=',
];
const parts = (...all: string[]): string =>
  [...all.map((part) => `--p\r\n${part}`), '--p--', ''].join('\r\n');
const MIXED = 'Content-Type: multipart/mixed; boundary=p';
const CALENDAR = 'BEGIN:VCALENDAR\r\nMETHOD:REQUEST\r\nEND:VCALENDAR';
const refused = (reason: string) => new FileError(reason as FileError['reason']);

test('who wrote it, when, about what and in which words', async () => {
  const read = await readMail(
    mail(
      [
        ...HEAD,
        'Content-Type: text/plain; charset=iso-8859-1',
        'Content-Transfer-Encoding: quoted-printable',
      ],
      'Caf=E9 at noon',
    ),
  );
  expect(read).toEqual({
    id: 'tide@fennick.example',
    from: { name: 'Ines Falk · boats', address: 'ines.falk@fennick.example' },
    subject: 'Tide talk – new',
    date: Date.UTC(2027, 2, 9, 9),
    text: 'Café at noon',
    calendars: [],
    files: [],
  });
});

test('a calendar text is found beside the words and as a file, once; other files come along', async () => {
  const body = parts(
    'Content-Type: text/plain\r\n\r\nSee below',
    `Content-Type: text/calendar; method=REQUEST\r\n\r\n${CALENDAR}`,
    `Content-Type: application/octet-stream; name=invite.ics\r\nContent-Disposition: attachment; filename=invite.ics\r\n\r\n${CALENDAR}`,
    'Content-Type: text/plain\r\nContent-Disposition: attachment; filename="costs.txt"\r\nContent-Transfer-Encoding: base64\r\n\r\nTGFtcHM6IDQw',
  );
  const read = await readMail(mail([...HEAD, MIXED], body));
  expect(read.text).toBe('See below');
  expect(read.calendars).toEqual([expect.stringContaining('METHOD:REQUEST')]);
  expect(read.files.map(({ name, bytes: content }) => [name, new TextDecoder().decode(content)])).toEqual([
    ['costs.txt', 'Lamps: 40'],
  ]);
});

test('of a page its words are read, and nothing that it would do', async () => {
  const page =
    '<style>p{}</style><script>alert("x")</script><p>Thursday<br>at 10 &amp; later</p><p>1 &lt; 2</p>';
  const { text } = await readMail(mail([...HEAD, 'Content-Type: text/html'], page));
  expect(text).toMatch(/Thursday\s+at 10 & later\s+1 < 2/);
  expect(text).not.toMatch(/alert|p\{\}/);
});

test('a page of nothing but open marks is read in time that grows with its length alone', async () => {
  const from = performance.now();
  await readMail(
    mail([...HEAD, 'Content-Type: text/html'], `${'<style '.repeat(60_000)}${'<'.repeat(200_000)}`),
  );
  expect(performance.now() - from).toBeLessThan(5_000);
});

test.each<[string, Uint8Array, string]>([
  ['nothing', new Uint8Array(0), 'empty'],
  ['words that are no mail', bytes('Dear all\n\nsee you on Thursday'), 'not-a-calendar'],
  ['31 MB', new Uint8Array(31 * 1024 ** 2).fill(97), 'too-large'],
  [
    'too many files',
    mail(
      [...HEAD, MIXED],
      parts(
        ...Array.from(
          { length: MOST_FILES + 1 },
          (_, at) => `Content-Type: text/plain\r\nContent-Disposition: attachment; filename=f${at}\r\n\r\nx`,
        ),
      ),
    ),
    'too-large',
  ],
  [
    'parts that lie too deep in each other',
    mail(
      [...HEAD, 'Content-Type: multipart/mixed; boundary=b0'],
      Array.from(
        { length: 200 },
        (_, at) => `--b${at}\r\nContent-Type: multipart/mixed; boundary=b${at + 1}\r\n\r\n`,
      ).join(''),
    ),
    'too-large',
  ],
  ['a head without end', mail([...HEAD, `X-Long: ${'x'.repeat(400_000)}`], 'x'), 'too-large'],
])('what is no mail, or a bomb of one, is refused: %s', async (_, content, reason) => {
  await expect(readMail(content)).rejects.toEqual(refused(reason));
});

test('a mail is told by the fields that it begins with', () => {
  expect(isMail('X-Seen: yes\r\n\tand folded\r\nSubject: Tide')).toBe(true);
  expect(isMail('BEGIN:VCALENDAR\r\nVERSION:2.0')).toBe(false);
  expect(isMail('Dear all, from: me')).toBe(false);
});
