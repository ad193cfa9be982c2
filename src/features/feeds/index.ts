export { FeedFields } from './FeedFields';
export { FeedHost } from './FeedHost';
export { feedState, momentText } from './feedState';
export { SubscribeSheet } from './SubscribeSheet';
export { useFeeds } from './useFeeds';
