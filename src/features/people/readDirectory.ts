import { busyTimesOf } from '@/core/people/busy/busyTimesOf';
import { DIRECTORY, isAskable } from '@/core/people/directory';
import type { BusyTimes } from '@/core/model/busyTimes';
import type { Person } from '@/core/model/person';
import type { CardPerson } from '@/core/people/vcard/readCards';
import type { InstantRange } from '@/core/time/eventTime';
import { calendarFiles } from '@/store';

/** So long the directory may take to answer, in milliseconds. */
const PATIENCE = 15_000;

/** The server's directory does not answer, or with nothing that can be read. */
class DirectoryAway extends Error {}

async function ask(address: string): Promise<Response> {
  try {
    const response = await fetch(address, { signal: AbortSignal.timeout(PATIENCE) });
    if (!response.ok) throw new DirectoryAway(String(response.status));
    return response;
  } catch (error) {
    throw error instanceof DirectoryAway ? error : new DirectoryAway();
  }
}

/**
 * Who is in the directory.
 * @throws DirectoryAway where it can't be read
 */
export async function readDirectory(): Promise<readonly CardPerson[]> {
  const response = await ask(DIRECTORY);
  const read = await calendarFiles().cards(new Uint8Array(await response.arrayBuffer()));
  if (!('people' in read)) throw new DirectoryAway();
  return read.people;
}

/** What was read of somebody's time, with the hours and the zone that came with it. */
export type ReadBusy = BusyTimes & Pick<Person, 'workingPattern' | 'zone'>;

/**
 * The busy times of somebody in a range; undefined for who has none that are asked for.
 * @throws DirectoryAway where they can't be read
 */
export async function readBusyTimes(
  { id, busyAddress }: Pick<Person, 'id' | 'busyAddress'>,
  { start, end }: InstantRange,
  now: number,
): Promise<ReadBusy | undefined> {
  if (!isAskable(busyAddress)) return undefined;
  const response = await ask(`${busyAddress}?from=${start}&until=${end}`);
  const read = await calendarFiles().freeBusy(await response.text());
  const freeBusy = 'freeBusy' in read ? read.freeBusy : undefined;
  if (!freeBusy) throw new DirectoryAway();
  const { workingPattern, zone } = freeBusy;
  return {
    ...busyTimesOf(id, freeBusy, now),
    ...(workingPattern ? { workingPattern } : {}),
    ...(zone === undefined ? {} : { zone }),
  };
}
