import { lookup as resolve } from 'node:dns/promises';
import http, { type IncomingMessage } from 'node:http';
import https from 'node:https';
import { isIP, type LookupFunction } from 'node:net';
import type { FeedProblem } from '@/core/model/calendar';
import { FEED_HOST } from '@/core/feeds/feedHost';
import { feedUrl, isPublicAddress } from './addressRules';

/** What a feed is held to. */
export interface FetchLimits {
  readonly bytes: number;
  readonly milliseconds: number;
  readonly redirects: number;
}
export const LIMITS: FetchLimits = { bytes: 20 * 1024 * 1024, milliseconds: 20_000, redirects: 5 };

export interface FetchOptions {
  readonly limits: FetchLimits;
  /** Where the feed host that ships with the server is reached, on this machine. */
  readonly feedHostPort: () => number | undefined;
  /** The addresses of a host's name. */
  readonly addressesOf?: (hostname: string) => Promise<string[]>;
}

export interface FeedRequest {
  readonly address: string;
  readonly etag?: string | undefined;
  readonly lastModified?: string | undefined;
}

export type FetchedFeed =
  | { kind: 'read'; text: string; etag?: string; lastModified?: string }
  | { kind: 'unchanged' }
  | { kind: 'failed'; code: FeedProblem; detail: string };

/** Why a feed was not fetched. */
class FeedFailure extends Error {
  constructor(
    readonly code: FeedProblem,
    readonly detail: string,
  ) {
    super(`${code}: ${detail}`);
  }
}

const addressesByName = async (hostname: string): Promise<string[]> =>
  (await resolve(hostname, { all: true })).map(({ address }) => address);

/** The one address that is connected to, so that a name can't mean another between the check and the connection. */
async function publicAddressOf(hostname: string, options: FetchOptions): Promise<string> {
  const bare = hostname.replace(/^\[|\]$/g, '');
  let addresses: string[];
  try {
    addresses = isIP(bare) ? [bare] : await (options.addressesOf ?? addressesByName)(bare);
  } catch {
    throw new FeedFailure('unreachable', hostname);
  }
  const [first] = addresses;
  if (first === undefined) throw new FeedFailure('unreachable', hostname);
  if (!addresses.every(isPublicAddress)) throw new FeedFailure('not-allowed', hostname);
  return first;
}

async function connect(url: URL, feed: FeedRequest, signal: AbortSignal, options: FetchOptions) {
  const ownPort = url.hostname === FEED_HOST ? options.feedHostPort() : undefined;
  const target =
    ownPort === undefined
      ? url
      : new URL(`http://127.0.0.1:${ownPort}/feed-host${url.pathname}${url.search}`);
  const address = ownPort === undefined ? await publicAddressOf(url.hostname, options) : '127.0.0.1';
  const lookup: LookupFunction = (_hostname, { all }, callback) => {
    const family = isIP(address);
    if (all) callback(null, [{ address, family }]);
    else callback(null, address, family);
  };
  const headers = {
    accept: 'text/calendar, text/plain;q=0.5',
    'accept-encoding': 'identity',
    'user-agent': 'Orderly Week',
    ...(feed.etag === undefined ? {} : { 'if-none-match': feed.etag }),
    ...(feed.lastModified === undefined ? {} : { 'if-modified-since': feed.lastModified }),
  };
  return new Promise<IncomingMessage>((answer, fail) => {
    const client = target.protocol === 'https:' ? https : http;
    const request = client.request(target, { headers, lookup, signal, agent: false }, answer);
    request.on('error', fail);
    request.end();
  });
}

async function bodyOf(response: IncomingMessage, limits: FetchLimits): Promise<string> {
  if (Number(response.headers['content-length'] ?? 0) > limits.bytes) {
    response.destroy();
    throw new FeedFailure('too-large', '');
  }
  const parts: Buffer[] = [];
  let size = 0;
  for await (const part of response as AsyncIterable<Buffer>) {
    size += part.length;
    if (size > limits.bytes) {
      response.destroy();
      throw new FeedFailure('too-large', '');
    }
    parts.push(part);
  }
  return Buffer.concat(parts).toString('utf8');
}

const headerOf = (response: IncomingMessage, name: 'etag' | 'last-modified'): string | undefined => {
  const value = response.headers[name];
  return value && value.length <= 500 ? value : undefined;
};

async function follow(feed: FeedRequest, signal: AbortSignal, options: FetchOptions): Promise<FetchedFeed> {
  let url = feedUrl(feed.address);
  for (let hop = 0; hop <= options.limits.redirects; hop++) {
    if (!url) throw new FeedFailure('not-allowed', feed.address);
    const response = await connect(url, feed, signal, options);
    const status = response.statusCode ?? 0;
    if (status === 304) {
      response.destroy();
      return { kind: 'unchanged' };
    }
    if (status >= 300 && status < 400 && response.headers.location !== undefined) {
      response.destroy();
      url = URL.canParse(response.headers.location, url)
        ? feedUrl(new URL(response.headers.location, url).href)
        : undefined;
      continue;
    }
    if (status !== 200) {
      response.destroy();
      throw new FeedFailure(
        status === 404 || status === 410 ? 'vanished' : 'refused-by-host',
        String(status),
      );
    }
    const text = await bodyOf(response, options.limits);
    const [etag, lastModified] = [headerOf(response, 'etag'), headerOf(response, 'last-modified')];
    return {
      kind: 'read',
      text,
      ...(etag === undefined ? {} : { etag }),
      ...(lastModified === undefined ? {} : { lastModified }),
    };
  }
  throw new FeedFailure('too-many-redirects', String(options.limits.redirects));
}

/**
 * Fetches a feed for the browser, which can't read other origins: by http or https only, from public addresses only but
 * for the feed host that ships with the server, within limits of size, time and redirects (checked at every hop).
 */
export async function fetchFeed(feed: FeedRequest, options: FetchOptions): Promise<FetchedFeed> {
  const signal = AbortSignal.timeout(options.limits.milliseconds);
  try {
    return await follow(feed, signal, options);
  } catch (error) {
    if (error instanceof FeedFailure) return { kind: 'failed', code: error.code, detail: error.detail };
    if (signal.aborted) return { kind: 'failed', code: 'too-slow', detail: '' };
    const { code, message } = error as NodeJS.ErrnoException;
    return { kind: 'failed', code: 'unreachable', detail: code ?? message };
  }
}
