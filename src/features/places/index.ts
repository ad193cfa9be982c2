export { MapLink } from './MapLink';
export { PlaceField } from './PlaceField';
export { PlaceHost } from './PlaceHost';
export { PlaceSection } from './PlaceSection';
export { TravelProposals } from './TravelProposals';
export { TableField } from './TableField';
