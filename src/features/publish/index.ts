export { CopiedText } from './CopiedText';
export { ownersName, textOf } from './copies';
export { withdrawn } from './publishClient';
export { PublishHost } from './PublishHost';
export { PublishSheet } from './PublishSheet';
