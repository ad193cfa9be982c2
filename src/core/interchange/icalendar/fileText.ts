import { FileError, LARGEST_FILE } from './problems';

/** Whether bytes are a packed archive (ZIP). */
export const isArchive = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && (bytes[2] === 3 || bytes[2] === 5);

/**
 * The text of a calendar file.
 * @throws FileError if the bytes can't be one: too many, a packed archive, neither UTF-8 (RFC 5545 3.1.4) nor UTF-16 that says so
 */
export function fileText(bytes: Uint8Array, largest = LARGEST_FILE): string {
  if (bytes.length === 0) throw new FileError('empty');
  if (bytes.length > largest) throw new FileError('too-large');
  if (isArchive(bytes)) throw new FileError('zip');
  const text = decoded(bytes, encodingOf(bytes));
  if (text === undefined || text.includes('\u0000')) throw new FileError('wrong-encoding');
  return text;
}

/** The encoding that the first bytes say (a byte order mark); UTF-8 where they say none. */
const encodingOf = ([first, second]: Uint8Array): string =>
  first === 0xff && second === 0xfe ? 'utf-16le' : first === 0xfe && second === 0xff ? 'utf-16be' : 'utf-8';

function decoded(bytes: Uint8Array, encoding: string): string | undefined {
  try {
    return new TextDecoder(encoding, { fatal: true }).decode(bytes);
  } catch {
    return undefined;
  }
}

/**
 * The text of a table. One that is no UTF-8 is read as Western European text (Windows-1252), and that is said.
 * @throws FileError if the bytes can't be one
 */
export function tableText(bytes: Uint8Array): { text: string; isGuessed: boolean } {
  try {
    return { text: fileText(bytes), isGuessed: false };
  } catch (error) {
    const isOther = error instanceof FileError && error.reason === 'wrong-encoding' && !bytes.includes(0);
    const text = isOther ? decoded(bytes, 'windows-1252') : undefined;
    if (text === undefined) throw error;
    return { text, isGuessed: true };
  }
}

/** A content line, unfolded (RFC 5545 3.1), with the number of its first line in the file. */
export interface ContentLine {
  readonly text: string;
  readonly line: number;
}

/** The content lines of a file. Empty lines are passed over. */
export function contentLines(text: string): ContentLine[] {
  const lines: { text: string; line: number }[] = [];
  text.split(/\r\n|\n|\r/).forEach((raw, index) => {
    const last = lines.at(-1);
    if (last && (raw.startsWith(' ') || raw.startsWith('\t'))) last.text += raw.slice(1);
    else if (raw.trim() !== '') lines.push({ text: raw, line: index + 1 });
  });
  return lines;
}

/** A component as its lines, with the components inside it apart. */
export interface ComponentLines {
  readonly name: string;
  readonly line: number;
  readonly properties: ContentLine[];
  readonly components: ComponentLines[];
}

const BOUND = /^(BEGIN|END):\s*([A-Za-z0-9-]+)\s*$/i;

/** How deep components may lie in each other: the standard's lie three deep. */
const DEEPEST = 30;

/** Components that stand in a calendar and in nothing else (RFC 5545 3.6). */
const OF_A_CALENDAR = new Set(['VEVENT', 'VTODO', 'VJOURNAL', 'VFREEBUSY', 'VTIMEZONE']);

/**
 * The components of a file as trees of lines: its calendars, or its cards (RFC 6350).
 * @throws FileError if there are none of these in it, or if it ends in the middle
 */
export function componentTree(
  lines: readonly ContentLine[],
  root: 'VCALENDAR' | 'VCARD' = 'VCALENDAR',
): ComponentLines[] {
  const roots: ComponentLines[] = [];
  const open: ComponentLines[] = [];
  for (const line of lines) {
    const bound = BOUND.exec(line.text);
    const name = bound?.[2]?.toUpperCase() ?? '';
    if (!bound) open.at(-1)?.properties.push(line);
    // What lies deeper than anything does is no component: it is named as a line that can't be read.
    else if (bound[1]!.toUpperCase() === 'BEGIN' && open.length >= DEEPEST && name !== root)
      open.at(-1)!.properties.push(line);
    else if (bound[1]!.toUpperCase() === 'BEGIN') {
      // One whose end is missing ends where the next begins.
      if (name === root) open.length = 0;
      else if (OF_A_CALENDAR.has(name))
        while (open.length > 1 && open.at(-1)!.name !== 'VCALENDAR') open.pop();
      const component: ComponentLines = { name, line: line.line, properties: [], components: [] };
      (open.at(-1)?.components ?? roots).push(component);
      open.push(component);
    } else if (open.some((component) => component.name === name)) {
      while (open.pop()!.name !== name);
    }
  }
  const wanted = roots.filter((component) => component.name === root);
  if (wanted.length === 0) throw new FileError(root === 'VCARD' ? 'not-a-card' : 'not-a-calendar');
  if (open.length > 0) throw new FileError('cut-off');
  return wanted;
}
