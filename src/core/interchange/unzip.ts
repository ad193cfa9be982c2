import { unzipSync } from 'fflate';
import { FileError, LARGEST_FILE } from './icalendar/problems';

/** A file out of an archive. */
export interface UnpackedFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/** At most so many files are taken out of an archive. */
export const MOST_FILES = 200;

/**
 * The files of an archive whose names end in one of the given ways. What is larger than a file may be is not unpacked.
 * @throws FileError if it can't be unpacked, or holds too much
 */
export function unzip(bytes: Uint8Array, endings: readonly string[]): UnpackedFile[] {
  let room = 2 * LARGEST_FILE;
  let count = 0;
  let tooMuch = false;
  let unpacked: Record<string, Uint8Array>;
  try {
    unpacked = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        // Files that a system packs beside the person's own are passed over.
        if (/(^|\/)(\.|__MACOSX)/.test(name)) return false;
        if (!endings.some((ending) => name.toLowerCase().endsWith(ending))) return false;
        room -= originalSize;
        count++;
        if (room < 0 || count > MOST_FILES) tooMuch = true;
        return !tooMuch;
      },
    });
  } catch {
    throw new FileError('zip');
  }
  if (tooMuch) throw new FileError('too-large');
  return Object.entries(unpacked).map(([name, content]) => ({
    name: name.split('/').pop() ?? name,
    bytes: content,
  }));
}
