import { unzipSync } from 'fflate';
import { FileError, type FileRefusal, LARGEST_FILE } from './icalendar/problems';

/** A file out of an archive. */
interface UnpackedFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/** What an archive holds: the files that can be read, and the names of those that can't, with why. */
export interface Unpacked {
  readonly unpacked: readonly UnpackedFile[];
  readonly leftOut: readonly { readonly name: string; readonly reason: FileRefusal }[];
}

/** At most so many files are taken out of an archive. */
const MOST_FILES = 200;

/**
 * The files of an archive whose names end in one of the given ways. What is larger than a file may be is not unpacked.
 * @throws FileError if it can't be unpacked, or holds too much
 */
export function unzip(bytes: Uint8Array, endings: readonly string[]): Unpacked {
  let room = 2 * LARGEST_FILE;
  const leftOut: { name: string; reason: FileRefusal }[] = [];
  let count = 0;
  let tooMuch = false;
  let unpacked: Record<string, Uint8Array>;
  try {
    unpacked = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        // Files that a system packs beside the person's own are passed over.
        if (/(^|\/)(\.|__MACOSX)/.test(name)) return false;
        // So is the folder itself.
        if (name.endsWith('/')) return false;
        if (!endings.some((ending) => name.toLowerCase().endsWith(ending))) {
          leftOut.push({ name: plainName(name), reason: /\.zip$/i.test(name) ? 'zip-inside' : 'other-kind' });
          return false;
        }
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
  return {
    unpacked: Object.entries(unpacked).map(([name, content]) => ({ name: plainName(name), bytes: content })),
    leftOut,
  };
}

const plainName = (path: string): string => path.split('/').pop() ?? path;
