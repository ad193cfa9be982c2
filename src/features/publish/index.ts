export { CopiedText } from './CopiedText';
export { SecretPage } from './SecretPage';
export { ownersName, textOf } from './copies';
export { withdrawn } from './publishClient';
export { PublishHost } from './PublishHost';
export { PublishSheet } from './PublishSheet';
