export { withdrawn } from './publishClient';
export { PublishHost } from './PublishHost';
export { PublishSheet } from './PublishSheet';
