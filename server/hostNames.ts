import { hostname, networkInterfaces } from 'node:os';
import type { RequestHandler } from 'express';

const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]']);

/** The name in a Host header, without its port; undefined if it is none. */
function nameIn(header: string | undefined): string | undefined {
  const match = /^(\[[0-9a-f:.]+\]|[a-z0-9._-]+)(?::\d{1,5})?$/i.exec(header ?? '');
  return match?.[1]?.toLowerCase();
}

const asHost = (address: string): string => (address.includes(':') ? `[${address}]` : address).toLowerCase();

/** The names by which a server that listens on an address may be asked: this machine's, where that is every address. */
export function namesOf(host: string): ReadonlySet<string> {
  const isEvery = host === '0.0.0.0' || host === '::';
  const own = isEvery
    ? [
        hostname(),
        ...Object.values(networkInterfaces()).flatMap((all) => all?.map(({ address }) => address) ?? []),
      ]
    : [host];
  return new Set([...LOOPBACK, ...own.map(asHost)]);
}

/** Refuses what is asked under another name: a page elsewhere could have its own name lead here. */
export const hostNames = (host: string): RequestHandler => {
  const names = namesOf(host);
  return (request, response, next) => {
    const name = nameIn(request.headers.host);
    if (name !== undefined && names.has(name)) next();
    else response.status(421).json({ error: 'this server is not asked under that name' });
  };
};
