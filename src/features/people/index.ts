export { EntryGuests } from './EntryGuests';
export { GuestsField } from './GuestsField';
export { PeopleScreen } from './PeopleScreen';
