import { FileError, LARGEST_FILE } from './problems';

/** Whether bytes are a packed archive (ZIP). */
export const isArchive = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && (bytes[2] === 3 || bytes[2] === 5);

/**
 * The text of a calendar file.
 * @throws FileError if the bytes can't be one: too many, a packed archive, not UTF-8 (RFC 5545 3.1.4)
 */
export function fileText(bytes: Uint8Array, largest = LARGEST_FILE): string {
  if (bytes.length === 0) throw new FileError('empty');
  if (bytes.length > largest) throw new FileError('too-large');
  if (isArchive(bytes)) throw new FileError('zip');
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new FileError('wrong-encoding');
  }
  if (text.includes('\u0000')) throw new FileError('wrong-encoding');
  return text;
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

/** Components that stand in a calendar and in nothing else (RFC 5545 3.6). */
const OF_A_CALENDAR = new Set(['VEVENT', 'VTODO', 'VJOURNAL', 'VFREEBUSY', 'VTIMEZONE']);

/**
 * The components of a calendar file as a tree of lines.
 * @throws FileError if there is no calendar in it, or if it ends in the middle
 */
export function componentTree(lines: readonly ContentLine[]): ComponentLines[] {
  const roots: ComponentLines[] = [];
  const open: ComponentLines[] = [];
  for (const line of lines) {
    const bound = BOUND.exec(line.text);
    const name = bound?.[2]?.toUpperCase() ?? '';
    if (!bound) open.at(-1)?.properties.push(line);
    else if (bound[1]!.toUpperCase() === 'BEGIN') {
      // One whose end is missing ends where the next begins.
      if (name === 'VCALENDAR') open.length = 0;
      else if (OF_A_CALENDAR.has(name))
        while (open.length > 1 && open.at(-1)!.name !== 'VCALENDAR') open.pop();
      const component: ComponentLines = { name, line: line.line, properties: [], components: [] };
      (open.at(-1)?.components ?? roots).push(component);
      open.push(component);
    } else if (open.some((component) => component.name === name)) {
      while (open.pop()!.name !== name);
    }
  }
  const calendars = roots.filter((component) => component.name === 'VCALENDAR');
  if (calendars.length === 0) throw new FileError('not-a-calendar');
  if (open.length > 0) throw new FileError('cut-off');
  return calendars;
}
