import { randomBytes } from 'node:crypto';
import { chmod, mkdir, open, rename } from 'node:fs/promises';

/** Makes a folder that is its owner's alone. */
export async function ownFolder(folder: string): Promise<void> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  await chmod(folder, 0o700);
}

/** Whether a file is what a write that was cut off has left. */
export const isCutOff = (name: string): boolean => /\.json\.[^.]+$/.test(name);

/** Writes a file beside its place, to the disk, and puts it there whole: a reader never sees half of it. */
export async function writeWhole(file: string, text: string): Promise<void> {
  const beside = `${file}.${randomBytes(4).toString('hex')}`;
  const handle = await open(beside, 'w', 0o600);
  try {
    await handle.writeFile(text);
    await handle.sync();
  } finally {
    await handle.close();
  }
  await rename(beside, file);
}
