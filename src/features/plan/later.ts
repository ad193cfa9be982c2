/** What of this comes later, with the script of `features/later`. */
export { PresetsSheet } from './presets/PresetsSheet';
