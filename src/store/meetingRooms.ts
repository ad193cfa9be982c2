import type { MeetingRooms } from '@/core/people/onlineMeeting';
import { newSecret } from './newSecret';

/** The rooms for online meetings at the server that this page comes from. */
export const meetingRooms = (): MeetingRooms => ({ origin: window.location.origin, newSecret });
