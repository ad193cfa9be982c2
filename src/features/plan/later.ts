/** What of this comes later, with the script of `features/later`. */
export { HoursView } from './hours/HoursView';
export { PresetsSheet } from './presets/PresetsSheet';
