import { useMemo } from 'react';
import {
  admitStranger,
  askHowItStands,
  dismissLetter,
  giveAnswer,
  leaveCalledOff,
  passOn,
  turnDownProposal,
} from '@/core/change/invitations/answering';
import { remindGuests, tellGuests, tellNobody } from '@/core/change/invitations/tellGuests';
import type { ChangeContext, Patch } from '@/core/change/patch';
import type { CalendarUser } from '@/core/model/calendarUser';
import type { State } from '@/core/model/state';
import type { GivenAnswer } from '@/core/people/invitations/guest';
import type { Audience } from '@/core/people/invitations/telling';
import { summaryText, useCommands, workspace } from '@/features/workspace';
import { useOpenStore } from '@/store';
import { wordingOf } from './wording';

/**
 * What is done about invitations. What went to others can't be taken back, so none of it is undone: an answer is changed by another
 * one, a change is told by another message.
 */
export function useInvitationDeeds() {
  const { store } = useOpenStore();
  const { context } = useCommands();
  return useMemo(() => {
    const keep = async (
      make: (state: State, context: ChangeContext) => Patch | undefined,
    ): Promise<boolean> => {
      const patch = make(store.getSnapshot().state, context());
      if (!patch || !(await store.commit(patch, 'quiet'))) return false;
      workspace.say({ text: summaryText(patch.summary), tone: 'done', undo: false });
      return true;
    };
    return {
      tell: (uid: string, telling: { audience: Audience; comment: string }) =>
        keep((state, at) => tellGuests(state, uid, telling, wordingOf, at)),
      tellNobody: (uid: string) => keep((state, at) => tellNobody(state, uid, at)),
      remind: (uid: string, guests: readonly CalendarUser[], comment = '') =>
        keep((state, at) => remindGuests(state, uid, guests, comment, wordingOf, at)),
      answer: (uid: string, given: GivenAnswer) =>
        keep((state, at) => giveAnswer(state, uid, given, wordingOf, at)),
      passOn: (uid: string, guest: CalendarUser) =>
        keep((state, at) => passOn(state, uid, guest, wordingOf, at)),
      ask: (uid: string) => keep((state, at) => askHowItStands(state, uid, wordingOf, at)),
      leave: (uid: string) => keep((state, at) => leaveCalledOff(state, uid, at)),
      dismiss: (letterId: string) => keep((state, at) => dismissLetter(state, letterId, at)),
      keepTime: (letterId: string, comment: string) =>
        keep((state, at) => turnDownProposal(state, letterId, comment, wordingOf, at)),
      admit: (letterId: string) => keep((state, at) => admitStranger(state, letterId, at)),
    };
  }, [store, context]);
}
