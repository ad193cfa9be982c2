export { DeviceZoneQuestion } from './DeviceZoneQuestion';
export { ZoneBanner } from './ZoneBanner';
export { ZoneClock } from './ZoneClock';
export { preloadZonePicker, ZoneField } from './ZoneField';
export { importWords, ZonePicker } from './lazyZonePicker';
export { preloadZoneSettings, ZoneSettings } from './lazyZoneSettings';
