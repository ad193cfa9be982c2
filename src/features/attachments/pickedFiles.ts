import type { Attachment } from '@/core/model/attachment';

/** The largest file that can be attached, in bytes. */
export const LARGEST_ATTACHMENT = 100 * 1024 * 1024;

/** Files that a person gave, as attachments with their bytes in base 64. */
export interface PickedFiles {
  readonly attachments: readonly Attachment[];
  readonly files: ReadonlyMap<string, string>;
}

/** The bytes of a file in base 64. */
function base64Of(file: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.addEventListener('load', () => {
      const text = String(reader.result);
      resolve(text.slice(text.indexOf(',') + 1));
    });
    reader.addEventListener('error', () => reject(reader.error ?? new Error('not read')));
    reader.readAsDataURL(file);
  });
}

/** Reads files that were chosen, dropped or pasted. */
export async function readPicked(picked: readonly File[]): Promise<PickedFiles> {
  const attachments: Attachment[] = [];
  const files = new Map<string, string>();
  for (const file of picked) {
    const id = crypto.randomUUID();
    files.set(id, file.size === 0 ? '' : await base64Of(file));
    attachments.push({
      id,
      name: (file.name || 'file').slice(0, 255),
      mediaType: file.type || 'application/octet-stream',
      size: file.size,
    });
  }
  return { attachments, files };
}

/** A file of base 64 as a blob. */
export function blobOf(base64: string, mediaType: string): Blob {
  const text = atob(base64);
  const bytes = new Uint8Array(text.length);
  for (let index = 0; index < text.length; index++) bytes[index] = text.charCodeAt(index);
  return new Blob([bytes], { type: mediaType });
}
