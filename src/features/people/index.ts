export { EntryInvitation } from './invitations/EntryInvitation';
export { GuestsField } from './GuestsField';
export { InvitationHost } from './invitations/InvitationHost';
export { InvitationSettings } from './invitations/InvitationSettings';
export { OnlineField, ownMeeting } from './OnlineField';
export { PeopleScreen } from './PeopleScreen';
