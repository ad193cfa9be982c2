import { useCallback, useEffect } from 'react';
import { entriesOfUid } from '@/core/change/invitations/entriesOfUid';
import type { ReceivedMail } from '@/core/change/invitations/receiveLetter';
import { untoldIn } from '@/core/change/invitations/tellGuests';
import { waitingFor } from '@/core/change/invitations/waitingFor';
import type { ChangeContext, Patch } from '@/core/change/patch';
import type { Entry } from '@/core/model/entry';
import type { State } from '@/core/model/state';
import { takeSentFiles, useWorkspace, workspace } from '@/features/workspace';
import { holdLock, type Store, useNow, useOpenStore } from '@/store';
import { invitationWords as said } from '@/ui/words/invitations';
import { MailDraftSheet } from '../mail/MailDraftSheet';
import { useMailDraft } from '../mail/mailDraft';
import { OfferPost } from '../offers/offerPost';
import { Post } from './post';
import { takeInvitations } from './takeInvitations';
import { askNext, askToTell, useTelling } from './telling';
import { TellSheet } from './TellSheet';

/** The lock that the page holds that carries the mail. */
const LOCK = 'orderly-week-mail';
/** And the one that carries what it offers. */
const OFFERS = 'orderly-week-offers';
/** Of a change of more entries it is said on their own pages alone. */
const MOST_ASKED = 3;
/** So long ago something was done just now, in milliseconds. */
const JUST_NOW = 15_000;

const homeZoneOf = ({ settings }: State): string => settings.get('settings')?.homeZone ?? 'UTC';

const guestsOf = (entry: Entry | null): string =>
  (entry?.attendees ?? [])
    .map(({ address }) => address)
    .sort()
    .join();

/** The entries whose guests may be told something new after a change by hand, by their UIDs. */
function touchedUids(patch: Patch, after: State): string[] {
  const uids = new Set<string>();
  for (const change of patch.changes) {
    if (change.collection !== 'entries') continue;
    const { uid } = (change.after ?? change.before)!;
    const wasTold = after.invitations.get(uid)?.role === 'organizer';
    const isInvited = change.after !== null && guestsOf(change.before) !== guestsOf(change.after);
    if (wasTold || isInvited) uids.add(uid);
  }
  return [...uids].filter((uid) => untoldIn(after, uid) !== undefined);
}

/** Asks after each change by hand whether guests are to be told of it: at once after it was written, else with what is said of it. */
function watch(store: Store, now: () => number): () => void {
  let waiting: readonly string[] = [];
  const see = (patch: Patch, after: State): void => {
    const isByHand = store.getSnapshot().history.done.at(-1)?.id === patch.id;
    if (!isByHand || document.visibilityState !== 'visible') return;
    const uids = touchedUids(patch, after);
    if (uids.length === 0 || uids.length > MOST_ASKED) return;
    if (patch.summary.what === 'entry-made' || patch.summary.what === 'entry-changed') askToTell(...uids);
    else waiting = uids;
  };
  const leaveStore = store.onPatch((patch, _, after) => see(patch, after));
  // What was done while this was still on its way; of what was done before the page opened one was asked then.
  const { history, state } = store.getSnapshot();
  const last = history.done.at(-1);
  if (last && last.id !== store.lastBefore && now() - last.at < JUST_NOW) see(last, state);
  const leaveNotice = useWorkspace.subscribe(({ notice }) => {
    if (waiting.length === 0 || notice?.tone !== 'done' || notice.act) return;
    const uids = waiting;
    waiting = [];
    workspace.say({ ...notice, act: { label: said.tell.action, do: () => askToTell(...uids) } });
  });
  return () => {
    leaveStore();
    leaveNotice();
  };
}

/** Says that mail came, where nothing else is being said. */
function sayMail(received: readonly ReceivedMail[]): void {
  if (useWorkspace.getState().notice) return;
  const count = received.filter(({ taken, waiting }) => taken.length + waiting.length > 0).length;
  if (count > 0) workspace.say({ text: said.waits.cameIn(count), tone: 'done', undo: false });
}

/** Keeps the number beside People: counted in a quiet moment, so that no press waits for it. */
function useCountWaiting(): void {
  const { store } = useOpenStore();
  const now = useNow();
  useEffect(() => {
    let handle = 0;
    const count = () => {
      const { state } = store.getSnapshot();
      workspace.noteWaiting(waitingFor(state, now, homeZoneOf(state)).length);
    };
    const countSoon = () => {
      cancelIdleCallback(handle);
      handle = requestIdleCallback(count, { timeout: 1000 });
    };
    countSoon();
    const leave = store.subscribe(countSoon);
    return () => {
      cancelIdleCallback(handle);
      leave();
    };
  }, [store, now]);
}

/** What invitations do on their own: mail is carried, and changes are asked about. */
export function InvitationHost() {
  const { store, clock } = useOpenStore();
  const uid = useTelling(({ uids }) => uids[0]);
  const contextOf = useCallback(
    (): ChangeContext => ({
      now: clock(),
      newId: () => crypto.randomUUID(),
      zone: homeZoneOf(store.getSnapshot().state),
    }),
    [store, clock],
  );
  useEffect(() => {
    let post: Post | undefined;
    return holdLock(
      LOCK,
      () => (post = new Post(store, contextOf, sayMail)),
      () => post?.end(),
    );
  }, [store, contextOf]);
  useEffect(() => {
    let offers: OfferPost | undefined;
    return holdLock(
      OFFERS,
      () => (offers = new OfferPost(store, contextOf)),
      () => offers?.end(),
    );
  }, [store, contextOf]);
  useCountWaiting();
  useEffect(() => watch(store, clock), [store, clock]);
  useEffect(() => takeSentFiles(takeInvitations(store, contextOf)), [store, contextOf]);
  const mail = useMailDraft((state) => state.mail);
  const { state } = store.getSnapshot();
  const isThere = uid !== undefined && (entriesOfUid(state, uid).length > 0 || state.invitations.has(uid));
  return (
    <>
      {isThere ? <TellSheet key={uid} uid={uid} onClose={askNext} /> : null}
      {mail ? <MailDraftSheet mail={mail} /> : null}
    </>
  );
}
