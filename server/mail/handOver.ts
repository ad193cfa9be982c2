import { randomUUID } from 'node:crypto';
import type { Invitation } from '@/core/model/invitation';
import type { Person } from '@/core/model/person';
import type { ItipMessage } from '@/core/people/invitations/itipMessage';
import { readMessages } from '@/core/people/invitations/readMessage';
import { writeMessage } from '@/core/people/invitations/writeMessage';
import { personOfAddress } from '@/core/people/peopleInOrder';
import { asToldBy, type Reaction, reactTo, takes } from './colleague';
import { composeMail } from './composeMail';
import { firstInvitations } from './firstInvitations';
import {
  type ComingLetter,
  type Handing,
  type LetterReceipt,
  type MailBox,
  MOST_KEPT,
  MOST_SHOWN,
  MOST_WAITING,
  type SentLetter,
} from './mailBox';
import { isAddress, plainAddress } from '@/core/model/emailAddress';
import { DAY } from '@/core/time/civil';

/** For how long it is known that a letter went, in milliseconds. */
const KNOWN = 90 * DAY;
/** Addresses that end so are those of the made-up office. */
const OFFICE = '@fennick.example';

const keyOf = (address: string, uid: string): string => `${plainAddress(address)} ${uid}`;

const TITLES: Readonly<Record<ItipMessage['method'], string>> = {
  REQUEST: 'Invitation',
  REPLY: 'Answer',
  CANCEL: 'Called off',
  COUNTER: 'Another time',
  DECLINECOUNTER: 'The time stays',
  REFRESH: 'How does it stand?',
  ADD: 'A further date',
};

/** The mail of a box while something is handed over. */
class Post {
  readonly coming: ComingLetter[];
  readonly receipts: LetterReceipt[];
  readonly kept: Map<string, Invitation>;

  constructor(
    private readonly box: MailBox,
    private readonly people: readonly Person[],
    private readonly now: number,
  ) {
    this.coming = [...box.coming];
    this.receipts = [...box.receipts];
    this.kept = new Map(Object.entries(box.kept));
  }

  /** The clock of the browser. */
  private get theirNow(): number {
    return this.now + this.box.ahead;
  }

  /** Takes in what a colleague does: what they know then, and what they send. */
  private take(person: Person, uid: string, reaction: Reaction | undefined, isOnlyKept = false): void {
    if (!reaction) return;
    this.kept.set(keyOf(person.addresses[0]!, uid), reaction.invitation);
    for (const { outgoing, after, words } of isOnlyKept ? [] : reaction.replies) {
      if (!outgoing.to.includes(plainAddress(this.box.owner))) continue;
      const { message } = outgoing;
      const title = reaction.invitation.events[0]?.title ?? '';
      this.coming.push({
        at: this.now + after,
        from: person.addresses[0]!,
        fromName: person.name,
        uid,
        subject: `${TITLES[message.method]}: ${title}`,
        text: words,
        method: message.method,
        calendar: writeMessage(message),
      });
    }
  }

  /** Carries a letter to those whom it is addressed to. */
  carry({ to, from, calendar }: SentLetter): void {
    const messages = calendar === undefined ? [] : read(calendar, this.theirNow);
    for (const address of to) {
      const person = personOfAddress(this.people, address);
      const isUnknown = !person && (!isAddress(address) || plainAddress(address).endsWith(OFFICE));
      for (const { uid } of messages.filter(isTold))
        this.receipts.push({
          uid,
          address: plainAddress(address),
          status: isUnknown ? 'refused' : 'delivered',
          at: this.now,
        });
      if (!person) continue;
      for (const message of messages) {
        // What they were about to answer to an earlier version is not sent any more.
        const own = person.addresses.map(plainAddress);
        for (let index = this.coming.length; index-- > 0;) {
          const other = this.coming[index]!;
          if (
            other.uid === message.uid &&
            own.includes(plainAddress(other.from)) &&
            message.method !== 'REPLY'
          )
            this.coming.splice(index, 1);
        }
        const known = this.kept.get(keyOf(person.addresses[0]!, message.uid));
        this.take(person, message.uid, reactTo(person, known, message, from, this.theirNow));
        if (isTold(message))
          this.receipts.push({
            uid: message.uid,
            address: plainAddress(address),
            status: 'opened',
            at: this.now + takes(person),
          });
      }
    }
  }

  /** The first invitations of colleagues. */
  begin(): void {
    for (const { from, words, events, change } of firstInvitations(
      this.people,
      this.box.owner,
      this.theirNow,
      randomUUID,
    )) {
      const person = this.people.find(({ name }) => name === from)!;
      const { uid } = events[0]!;
      const told = asToldBy(person, undefined, events, this.theirNow, words, 0);
      this.take(person, uid, told);
      if (told && change)
        this.take(
          person,
          uid,
          asToldBy(
            person,
            told.invitation,
            change.events,
            this.theirNow + change.after,
            change.words,
            change.after,
          ),
        );
    }
  }
}

/** Whether a message says how an entry stands: it is said how far such a one came. */
const isTold = ({ method }: ItipMessage): boolean => ['REQUEST', 'ADD', 'CANCEL'].includes(method);

function read(calendar: string, now: number): ItipMessage[] {
  try {
    return readMessages(calendar, { zone: 'UTC', now, newId: randomUUID });
  } catch {
    // It is no calendar text: its words go, and nobody can answer to it.
    return [];
  }
}

/**
 * A box after something was handed over: each letter went once, colleagues do with it what they do, and what is due by now has come.
 * What was fetched before is let go.
 */
export async function handOver(
  box: MailBox,
  { after, letters, ahead, zone, owner, isDemo }: Handing,
  people: readonly Person[],
  now: number,
): Promise<MailBox> {
  const current: MailBox = { ...box, ahead, zone, owner };
  const post = new Post(current, people, now);
  const begins = isDemo && !box.hasBegun;
  if (begins) post.begin();
  const sentIds = new Map(Object.entries(box.sentIds).filter(([, at]) => at > now - KNOWN));
  const sent = [...box.sent];
  for (const letter of letters) {
    if (sentIds.has(letter.id)) continue;
    sentIds.set(letter.id, now);
    const { calendar: _, ...shown } = letter;
    sent.push({ ...shown, at: now });
    post.carry(letter);
  }
  const due = post.coming.filter(({ at }) => at <= now).sort((a, b) => a.at - b.at);
  let { last } = box;
  const came = box.came.filter(({ number }) => number > after);
  for (const letter of due) {
    last++;
    came.push({ number: last, mail: await composeMail(letter, owner, new Date(letter.at + ahead)) });
  }
  return {
    ...current,
    hasBegun: box.hasBegun || begins,
    sent: sent.slice(-MOST_SHOWN),
    sentIds: Object.fromEntries(sentIds),
    coming: post.coming.filter(({ at }) => at > now),
    came: came.slice(-MOST_WAITING),
    last,
    receipts: latestOf(post.receipts).slice(-MOST_KEPT),
    kept: Object.fromEntries([...post.kept].slice(-MOST_KEPT)),
    changed: now,
  };
}

/** Of receipts of the same letter by the same person the latest of each kind. */
function latestOf(receipts: readonly LetterReceipt[]): LetterReceipt[] {
  const latest = new Map<string, LetterReceipt>();
  for (const receipt of receipts) {
    const key = `${receipt.uid} ${receipt.address} ${receipt.status}`;
    latest.delete(key);
    latest.set(key, receipt);
  }
  return [...latest.values()];
}
