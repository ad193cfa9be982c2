import type { Attachment } from '../../model/attachment';
import type { Entry } from '../../model/entry';
import type { JCalProperty } from '../../model/jcal';

/** Names of the parameter that holds a file's name: of RFC 8607, and as it was written before. */
const FILE_NAME = ['filename', 'x-filename'] as const;
const DEFAULT_TYPE = 'application/octet-stream';

/** The number of bytes that a text in base 64 (RFC 4648 4) stands for. */
function base64Size(text: string): number {
  const padding = text.endsWith('==') ? 2 : text.endsWith('=') ? 1 : 0;
  return Math.max(0, Math.floor((text.length * 3) / 4) - padding);
}

const isBase64 = (text: string): boolean => text.length % 4 === 0 && /^[A-Za-z0-9+/]*={0,2}$/.test(text);

const isBinary = (property: readonly unknown[]): boolean =>
  property[0] === 'attach' && property[2] === 'binary' && isBase64(String(property[3]));

/** Entries whose files stand apart from them. */
export interface WithFiles<Kept extends Entry> {
  readonly entries: readonly Kept[];
  /** The bytes of attachments in base 64, by their ids. */
  readonly files: ReadonlyMap<string, string>;
}

/** Takes the files that entries hold in themselves (ATTACH with a binary value, RFC 5545 3.8.1.1) out of them. */
export function extractAttachments<Kept extends Entry>(
  entries: readonly Kept[],
  newId: () => string,
): WithFiles<Kept> {
  const files = new Map<string, string>();
  const apart = entries.map((entry): Kept => {
    const { preserved, ...rest } = entry;
    if (!preserved?.properties.some(isBinary)) return entry;
    const attachments: Attachment[] = preserved.properties.filter(isBinary).map((property, index) => {
      const [, parameters, , value] = property as JCalProperty;
      const text = (name: string) => (typeof parameters[name] === 'string' ? parameters[name] : '');
      const id = newId();
      files.set(id, String(value));
      const name = FILE_NAME.map(text).find((given) => given !== '') ?? `attachment-${index + 1}`;
      return {
        id,
        name: name.slice(0, 255),
        mediaType: text('fmttype') || DEFAULT_TYPE,
        size: base64Size(String(value)),
      };
    });
    const properties = preserved.properties.filter((property) => !isBinary(property));
    const isEmpty = properties.length + preserved.components.length === 0 && !preserved.parameters;
    return {
      ...rest,
      attachments: [...(entry.attachments ?? []), ...attachments],
      ...(isEmpty ? {} : { preserved: { ...preserved, properties } }),
    } as unknown as Kept;
  });
  return { entries: apart, files };
}

/** Puts the files of attachments into their entries as ATTACH; one whose bytes are not given is left out. */
export function embedAttachments<Kept extends Entry>({ entries, files }: WithFiles<Kept>): Kept[] {
  return entries.map((entry): Kept => {
    const { attachments, ...rest } = entry;
    if (!attachments) return entry;
    const properties = attachments.flatMap((attachment): JCalProperty[] => {
      const bytes = files.get(attachment.id);
      if (bytes === undefined) return [];
      const parameters = {
        fmttype: attachment.mediaType || DEFAULT_TYPE,
        filename: attachment.name,
        encoding: 'BASE64',
      };
      return [['attach', parameters, 'binary', bytes]];
    });
    const { preserved } = entry;
    return {
      ...rest,
      ...(preserved || properties.length > 0
        ? {
            preserved: {
              ...preserved,
              properties: [...(preserved?.properties ?? []), ...properties],
              components: preserved?.components ?? [],
            },
          }
        : {}),
    } as unknown as Kept;
  });
}
