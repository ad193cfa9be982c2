export { MapLink } from './MapLink';
export { PlaceHost } from './PlaceHost';
export { PlaceSection } from './PlaceSection';
export { TravelProposals } from './TravelProposals';
export { TableField } from './TableField';
