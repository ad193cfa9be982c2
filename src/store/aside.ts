import { readRecord as readCollectionRecord } from '@/core/model/readRecord';
import type { CollectionName, RecordOf } from '@/core/model/state';
import { collectionOfKey } from './chunks';
import type { Database } from './database';

/** Keys of what could not be read: the key of the chunk, and where in it. */
export const ASIDE_PREFIX = 'aside/';
/** Keys of commits that could not be read, by their places in the log. */
export const ASIDE_LOG = `${ASIDE_PREFIX}log/`;

/** Something that could not be read: kept as the text that it is, until it is mended or thrown away. */
export interface SetAside {
  readonly key: string;
  readonly text: string;
  /** What it was to be; undefined for a part of a chunk, or a commit. */
  readonly collection: CollectionName | undefined;
  /** What it calls itself. */
  readonly name: string | undefined;
  /** What can't be read of it. */
  readonly reason: string;
}

/** A record of a collection, read from a text. */
export type ReadRecord =
  | { readonly record: RecordOf<CollectionName>; readonly reason?: undefined }
  | { readonly record?: undefined; readonly reason: string };

/** Reads one record of a collection; why not, in words, where it can't be read. */
export function readRecord(collection: CollectionName, value: unknown): ReadRecord {
  const { record, issues } = readCollectionRecord(collection, value);
  if (record) return { record };
  return {
    reason: issues
      .slice(0, 5)
      .map((issue) => `${issue.path.join('.')}: ${issue.message}`)
      .join('; '),
  };
}

/** Reads one record of a collection from a text, as a person may have mended it. */
export const readRecordText = (collection: CollectionName, text: string): ReadRecord =>
  readRecord(collection, parseJson(text));

export function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** The collection that a key of something set aside is about. */
const collectionOf = (key: string): CollectionName | undefined =>
  collectionOfKey(key.slice(ASIDE_PREFIX.length).split('/').slice(0, 2).join('/'));

function describe(key: string, text: string): SetAside {
  const collection = collectionOf(key);
  const value = parseJson(text);
  const said = (typeof value === 'object' && value !== null ? value : {}) as Record<string, unknown>;
  const name = [said.title, said.name].find((word) => typeof word === 'string') as string | undefined;
  const isRecord = typeof value === 'object' && value !== null && !Array.isArray(value);
  const read = collection && isRecord ? readRecord(collection, value) : undefined;
  return {
    key,
    text,
    collection: isRecord ? collection : undefined,
    name,
    reason: read ? (read.reason ?? '') : value === undefined ? 'no JSON' : '',
  };
}

/** All that is set aside. */
export async function readAside(database: Database): Promise<SetAside[]> {
  const keys = (await database.getAllKeys()).filter((key) => key.startsWith(ASIDE_PREFIX));
  const texts = keys.length > 0 ? await database.getMany(keys) : {};
  return keys.sort().flatMap((key) => {
    const text = texts[key];
    return typeof text === 'string' ? [describe(key, text)] : [];
  });
}

/** How a record begins. */
const RECORD = '{"id":';
/** Damaged places after which a chunk is looked through no further. */
const MOST_FAILED = 200;

/**
 * The records that a damaged chunk still holds, one by one, and what is left over: a chunk of hundreds is not lost for a
 * few bytes of it.
 */
export function salvage(text: string): { values: unknown[]; rest: string } {
  const values: unknown[] = [];
  const rest: string[] = [];
  let from = 0;
  let failed = 0;
  let at = text.indexOf('{');
  while (at !== -1 && failed < MOST_FAILED) {
    const end = endOfObject(text, at);
    const value = end === undefined ? undefined : parseJson(text.slice(at, end));
    if (end === undefined || value === undefined) {
      failed++;
      at = text.indexOf(RECORD, at + 1);
      continue;
    }
    values.push(value);
    rest.push(text.slice(from, at));
    from = end;
    at = text.indexOf('{', end);
  }
  rest.push(text.slice(from));
  return { values, rest: rest.map((part) => part.replaceAll(/^[\s[\],]+|[\s[\],]+$/g, '')).join('') };
}

/** Where an object that begins at a place ends; undefined if it does not. */
function endOfObject(text: string, start: number): number | undefined {
  let depth = 0;
  let isQuoted = false;
  for (let at = start; at < text.length; at++) {
    const letter = text[at];
    if (isQuoted) {
      if (letter === '\\') at++;
      else if (letter === '"') isQuoted = false;
    } else if (letter === '"') isQuoted = true;
    else if (letter === '{') depth++;
    else if (letter === '}' && --depth === 0) return at + 1;
  }
  return undefined;
}
