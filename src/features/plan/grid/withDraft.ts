import type { Occurrence } from '@/core/schedule/occurrence';
import { wallToInstant } from '@/core/time/zones';
import type { Ghost } from './ghost';

/** The key of a draft of something new among the occurrences. */
export const DRAFT_KEY = 'draft';

/** Occurrences with a draft among them, and by which key it is found there. */
export interface WithDraft {
  readonly occurrences: readonly Occurrence[];
  readonly draftKey: string | undefined;
}

/**
 * Occurrences with the one that is being written among them, so that it is laid out beside the others: an edited one at
 * the time that it is to have, a new one besides.
 */
export function withDraft(occurrences: readonly Occurrence[], draft: Ghost | null, zone: string): WithDraft {
  if (!draft) return { occurrences, draftKey: undefined };
  const { startWall, endWall, allDay, calendarId = '' } = draft;
  const start = wallToInstant(zone, startWall);
  const times = { startWall, endWall, allDay, calendarId, start, end: wallToInstant(zone, endWall) };
  if (draft.edits !== undefined && occurrences.some(({ key }) => key === draft.edits))
    return {
      occurrences: occurrences.map((each) => (each.key === draft.edits ? { ...each, ...times } : each)),
      draftKey: draft.edits,
    };
  const written: Occurrence = {
    ...times,
    key: DRAFT_KEY,
    entryId: DRAFT_KEY,
    title: draft.title,
    location: '',
    availability: 'free',
    classification: 'public',
    status: 'confirmed',
    recurring: false,
    changed: false,
    reminds: false,
  };
  return { occurrences: [...occurrences, written], draftKey: DRAFT_KEY };
}
