export { MessageHost } from './MessageHost';
export { MessageSettings } from './MessageSettings';
