import express, { type Response, type Router } from 'express';
import { setTimeout as wait } from 'node:timers/promises';
import { FEED_HOST } from '@/core/feeds/feedHost';
import { writeCalendarFile } from '@/core/interchange/icalendar/writeCalendarFile';
import { makeDemo } from '../../demo/makeDemo';
import { calendars, MADE } from '../../demo/scenario';
import { htmlPage } from '../htmlPage';
import { daysOffOf, REGIONS } from './daysOffRegions';
import { escapeHtml } from '@/core/interchange/escapeHtml';

export interface FeedHostOptions {
  /** How long the slow feed takes, in milliseconds. */
  readonly slowMilliseconds: number;
}

/** A feed that the stand-in offers. */
export interface OfferedFeed {
  readonly name: string;
  readonly address: string;
  readonly about: string;
}

const offered = (name: string, path: string, about: string): OfferedFeed => ({
  name,
  address: `http://${FEED_HOST}/${path}`,
  about,
});

/** What the stand-in feed host offers, its troubles among it. */
export const OFFERED: readonly OfferedFeed[] = [
  offered('Keeper rota', 'rota.ics', 'Who keeps which light'),
  offered('Days off', 'days-off.ics', 'Public and local days off of the works office'),
  ...Object.entries(REGIONS).map(([region, { name }]) =>
    offered(name, `days-off/${region}.ics`, 'A made-up region'),
  ),
  offered('Tide office, slow', 'slow.ics', 'Takes a few seconds to answer'),
  offered('Tide office, unsteady', 'unsteady.ics', 'Fails every other time'),
  offered('Tide office, malformed', 'malformed.ics', 'Breaks off in the middle'),
  offered('Tide office, moved', 'moved.ics', 'Leads on to another address'),
  offered('Old boat bookings', 'gone.ics', 'Has vanished'),
];

/** The address of each calendar of the demo that is a feed, by its id. */
const DEMO_FEEDS = { rota: 'rota.ics', daysoff: 'days-off.ics' } as const;

function ofTheDemo(calendarId: string): string {
  const events = makeDemo().entries.filter((entry) => entry.calendarId === calendarId);
  return writeCalendarFile(
    events,
    calendars.find(({ id }) => id === calendarId),
  );
}

const asRegion = (region: string): string =>
  writeCalendarFile(daysOffOf(region), { name: REGIONS[region]!.name, description: '' });

/**
 * A stand-in for a host of feeds out on the network: made-up feeds, one that answers slowly, one that fails every other
 * time, one that is cut off, one that has moved, and one that has vanished.
 */
export function feedHost({ slowMilliseconds }: FeedHostOptions): Router {
  const router = express.Router();
  const texts = new Map<string, string>();
  const once = (key: string, make: () => string): string => {
    const text = texts.get(key) ?? make();
    texts.set(key, text);
    return text;
  };
  // Express answers a repeated question with 304, by the ETag that it gives.
  const sendCalendar = (response: Response, text: string) => {
    response.set({ 'Last-Modified': new Date(MADE).toUTCString(), 'Cache-Control': 'no-cache' });
    response.type('text/calendar; charset=utf-8').send(text);
  };
  for (const [calendarId, path] of Object.entries(DEMO_FEEDS))
    router.get(`/${path}`, (_request, response) => {
      sendCalendar(
        response,
        once(path, () => ofTheDemo(calendarId)),
      );
    });
  router.get('/days-off/:region.ics', (request, response, next) => {
    const { region } = request.params;
    if (Object.hasOwn(REGIONS, region))
      sendCalendar(
        response,
        once(region, () => asRegion(region)),
      );
    else next();
  });
  router.get('/slow.ics', async (_request, response) => {
    await wait(slowMilliseconds);
    sendCalendar(
      response,
      once('northmark', () => asRegion('northmark')),
    );
  });
  let asked = 0;
  router.get('/unsteady.ics', (_request, response) => {
    if (asked++ % 2 === 0)
      sendCalendar(
        response,
        once('skerry-isles', () => asRegion('skerry-isles')),
      );
    else response.status(503).type('text').send('The tide office is closed just now.');
  });
  router.get('/malformed.ics', (_request, response) => {
    const whole = once('skerry-isles', () => asRegion('skerry-isles'));
    sendCalendar(response, whole.slice(0, whole.indexOf('END:VEVENT')));
  });
  router.get('/moved.ics', (_request, response) => {
    response.redirect(301, `http://${FEED_HOST}/days-off/skerry-isles.ics`);
  });
  router.get('/gone.ics', (_request, response) => {
    response.status(410).type('text').send('This feed is not kept any more.');
  });
  router.get('/', (_request, response) => {
    const rows = OFFERED.map(
      ({ name, address, about }) =>
        `<li><strong>${escapeHtml(name)}</strong>, ${escapeHtml(about)}<br /><code>${escapeHtml(address)}</code></li>`,
    );
    response.send(
      htmlPage({
        title: 'Stand-in feed host',
        body: `<h1>Stand-in feed host</h1><p>A simulated host that ships with Orderly Week. Everything on it is made up. Its addresses work in Orderly Week and nowhere else.</p><ul>${rows.join('')}</ul>`,
      }),
    );
  });
  router.use((_request, response) => {
    response.status(404).type('text').send('There is no such feed.');
  });
  return router;
}
