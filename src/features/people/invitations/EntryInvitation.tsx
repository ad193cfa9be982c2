import type { CalendarEvent } from '@/core/model/entry';
import { JoinLine } from '../JoinLine';
import { InvitedGuests } from './InvitedGuests';
import { ReceivedInvitation } from './ReceivedInvitation';

/** What an entry on the desk says of invitations: what is answered to it, and who else is invited. */
export function EntryInvitation({ occurrenceKey, event }: { occurrenceKey: string; event: CalendarEvent }) {
  return (
    <>
      <JoinLine event={event} />
      <ReceivedInvitation event={event} />
      <InvitedGuests event={event} occurrenceKey={occurrenceKey} />
    </>
  );
}
