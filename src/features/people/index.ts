export { EntryInvitation } from './invitations/EntryInvitation';
export { GuestsField } from './GuestsField';
export { InvitationHost } from './invitations/InvitationHost';
export { PeopleScreen } from './PeopleScreen';
