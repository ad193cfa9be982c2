/** Takes those of some files that are for it, and gives the others back. */
export type FileTaker = (files: readonly File[]) => Promise<readonly File[]>;

/** A longer calendar file is no message of somebody. */
const LONGEST = 1_000_000;

/** Whether a file is a mail that was saved, or a calendar text that somebody sent (METHOD, RFC 5546 1.4). */
export const isSent = async (file: File): Promise<boolean> =>
  /\.eml$/i.test(file.name) ||
  (/\.ics$/i.test(file.name) &&
    file.size <= LONGEST &&
    /^METHOD:\s*(?!PUBLISH)[A-Z]+\s*$/im.test(await file.text()));

let taker: FileTaker | undefined;
const waiting: ((taker: FileTaker) => void)[] = [];

/** Says who takes such files; gives how to take none any more. */
export function takeSentFiles(next: FileTaker): () => void {
  taker = next;
  for (const go of waiting.splice(0)) go(next);
  return () => {
    if (taker === next) taker = undefined;
  };
}

/** Those of some files that nobody has sent: the others are taken as soon as somebody takes them. */
export async function filesLeft(files: readonly File[]): Promise<readonly File[]> {
  for (const file of files)
    if (await isSent(file))
      return (taker ?? (await new Promise<FileTaker>((resolve) => waiting.push(resolve))))(files);
  return files;
}
