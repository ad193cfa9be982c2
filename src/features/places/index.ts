export { MapLink } from './MapLink';
export { PlaceField } from './PlaceField';
