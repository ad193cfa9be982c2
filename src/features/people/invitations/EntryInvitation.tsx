import type { CalendarEvent } from '@/core/model/entry';
import { InvitedGuests } from './InvitedGuests';
import { ReceivedInvitation } from './ReceivedInvitation';

/** What an entry on the desk says of invitations: what is answered to it, and who else is invited. */
export function EntryInvitation({ event }: { event: CalendarEvent }) {
  return (
    <>
      <ReceivedInvitation event={event} />
      <InvitedGuests event={event} />
    </>
  );
}
