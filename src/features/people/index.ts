export { EntryInvitation } from './invitations/EntryInvitation';
export { ColleagueHost } from './plan/ColleagueHost';
export { ColleaguesSheet } from './plan/ColleaguesSheet';
export { GuestsField } from './GuestsField';
export { InvitationHost } from './invitations/InvitationHost';
export { InvitationSettings } from './invitations/InvitationSettings';
export { OnlineField, ownMeeting } from './OnlineField';
export { PeopleScreen } from './PeopleScreen';
export { NextAndLast } from './NextAndLast';
