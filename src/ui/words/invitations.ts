import type { GuestsMay, OwnAnswer } from '@/core/model/entry';
import type { Answer } from '@/core/model/invitation';

/** What guests may do, in words. */
export const MAY: Readonly<Record<GuestsMay, string>> = {
  change: 'change it',
  invite: 'invite others',
  'see-each-other': 'see each other',
  propose: 'propose other times',
};

/** What was answered to an invitation. */
export const OWN_ANSWER_WORDS: Readonly<Record<OwnAnswer, string>> = {
  'needs-action': 'not answered',
  accepted: 'yes',
  tentative: 'perhaps',
  declined: 'no',
};

/** Answers as they are pressed. */
export const ANSWER_WORDS: Readonly<Record<Answer, string>> = {
  accepted: 'Yes',
  tentative: 'Perhaps',
  declined: 'No',
};
