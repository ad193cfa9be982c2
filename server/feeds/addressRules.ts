import ipaddr from 'ipaddr.js';

/** Whether an address of the internet protocol is a public one: not of this machine, its network, or a reserved range. */
export function isPublicAddress(text: string): boolean {
  if (!ipaddr.isValid(text)) return false;
  // An IPv4 address written as IPv6 is what it stands for.
  return ipaddr.process(text).range() === 'unicast';
}

/** The protocols that a feed is fetched by. */
const PROTOCOLS = ['http:', 'https:'];

/** The address of a feed, or undefined if it is none that may be fetched at all. */
export function feedUrl(text: string): URL | undefined {
  let url: URL;
  try {
    url = new URL(text);
  } catch {
    return undefined;
  }
  return PROTOCOLS.includes(url.protocol) && url.hostname !== '' ? url : undefined;
}
