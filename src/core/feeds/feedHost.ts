/** The name of the feed host that ships with the server; no other has it (RFC 2606). */
export const FEED_HOST = 'feeds.fennick.example';
