import compression from 'compression';
import express, { type ErrorRequestHandler, type Express } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import path from 'node:path';
import { FORECAST } from '@/core/forecast/forecast';
import { directory } from './directory/directory';
import { feedHost, OFFERED } from './feedHost/feedHost';
import { feedRoute } from './feeds/feedRoute';
import { type FetchOptions, LIMITS } from './feeds/fetchFeed';
import { forecast } from './forecast/forecast';
import { hostNames } from './hostNames';
import { MailRelay, mailRoutes } from './mail/mailRoutes';
import { meetingPages } from './meeting/meetingPage';
import { messageRoutes, outboxPages } from './messages/messageRoutes';
import { MessageStore } from './messages/messageStore';
import type { PageSections } from './published/pageSections';
import { offerPages, offerRoutes } from './offers/offerRoutes';
import { OfferStore } from './offers/offerStore';
import { HandInStore } from './published/handInStore';
import { PageStore } from './published/pageStore';
import { publishedPages, publishingRoutes } from './published/publishedRoutes';
import { type KeepLimits, PublishedStore } from './published/publishedStore';
import { type SectionsJob, sectionsInWorker } from './published/sectionsInWorker';
import { MINUTE } from '@/core/time/civil';

export interface AppOptions {
  /** The folder with the built application. */
  readonly dist: string;
  /** The folder that published calendars and messages are kept in. */
  readonly data: string;
  /** What a browser without data begins with: the demo's records, or null. */
  readonly start: () => unknown;
  /** The port that the server listens on, where it does. */
  readonly port?: () => number | undefined;
  readonly now?: () => number;
  readonly fetching?: Partial<FetchOptions>;
  /** How many questions of a kind one address may ask in a minute. */
  readonly perMinute?: Partial<typeof PER_MINUTE>;
  readonly slowMilliseconds?: number;
  /** The address that the server listens on. */
  readonly host?: string;
  /** What may be kept of published calendars. */
  readonly keeping?: KeepLimits;
  /** What is to go out; in the data folder if it is not given. */
  readonly messages?: MessageStore;
  /** Makes the parts of a published page. */
  readonly makeSections?: (job: SectionsJob) => Promise<PageSections | undefined>;
}

const PER_MINUTE = {
  // A page that comes to rest has asked for some fifty files: many people may sit behind one address.
  files: MINUTE,
  all: 3000,
  feeds: 240,
  publishing: 240,
  pages: 600,
  forms: 60,
  messages: 60,
  mail: 240,
  directory: 600,
  forecast: 240,
};
const SLOW_MS = 4000;

/** Files of the application, which cost nothing but their sending. */
const isFile = ({ path: asked }: { path: string }): boolean => /^\/(_expo\/static|assets)\//.test(asked);

const limited = (limit: number, skip: (request: { path: string }) => boolean = () => false) =>
  rateLimit({
    skip,
    windowMs: MINUTE,
    limit,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    message: { error: 'too many questions; wait a minute' },
  });

/** The page runs its own scripts only, in workers too; pictures and files that a person attached are shown from blobs. */
const contentSecurityPolicy = {
  useDefaults: false,
  directives: {
    defaultSrc: ["'self'"],
    scriptSrc: ["'self'"],
    styleSrc: ["'self'", "'unsafe-inline'"],
    imgSrc: ["'self'", 'data:', 'blob:'],
    fontSrc: ["'self'", 'data:'],
    workerSrc: ["'self'", 'blob:'],
    frameSrc: ["'self'", 'blob:'],
    objectSrc: ["'none'"],
    baseUri: ["'none'"],
    formAction: ["'self'"],
    frameAncestors: ["'self'"],
  },
};

/** What can't be read as it was sent is said in a word; how the server is made is not. */
const onError: ErrorRequestHandler = (error: unknown, _request, response, next) => {
  if (response.headersSent) {
    next(error);
    return;
  }
  const status = (error as { status?: unknown }).status;
  const isTheirs = typeof status === 'number' && status >= 400 && status < 500;
  if (!isTheirs) console.error(error);
  response
    .status(isTheirs ? status : 500)
    .json({ error: status === 413 ? 'too large' : isTheirs ? 'not understood' : 'something went wrong' });
};

/**
 * Serves the built application, what a new browser begins with, feeds from elsewhere, published calendars, and the
 * stand-in for a feed host. Hashed files for ever, all else fresh.
 */
export function createApp(options: AppOptions): Express {
  const { dist, start, now = Date.now } = options;
  const perMinute = { ...PER_MINUTE, ...options.perMinute };
  const published = new PublishedStore(path.join(options.data, 'published'), options.keeping);
  const pages = new PageStore(path.join(options.data, 'pages'), options.makeSections ?? sectionsInWorker);
  const handIns = new HandInStore(path.join(options.data, 'handed-in'), now);
  const publishing = { store: published, pages, handIns, now };
  const offers = new OfferStore(path.join(options.data, 'offers'), now);
  const messages = options.messages ?? new MessageStore(path.join(options.data, 'messages'), now);
  const mail = new MailRelay(path.join(options.data, 'mail'), now);
  const app = express();
  app.disable('x-powered-by');
  app.use(hostNames(options.host ?? '127.0.0.1'));
  app.use(limited(perMinute.files, (request) => !isFile(request)));
  app.use(limited(perMinute.all, isFile));
  app.post('/p/:token', limited(perMinute.forms));
  app.use('/p', limited(perMinute.pages), publishedPages(publishing));
  app.post('/o/:token', limited(perMinute.forms));
  app.use('/o', limited(perMinute.pages), offerPages(offers, now));
  app.use('/meet', limited(perMinute.pages), meetingPages());
  app.use('/outbox', limited(perMinute.pages), outboxPages(messages, mail));
  // Without encryption on this machine's own address, nothing is asked to be upgraded to it.
  app.use(helmet({ contentSecurityPolicy, strictTransportSecurity: false }));
  app.use(compression());
  app.get('/api/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.get('/api/start', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({ demo: start() });
  });
  app.get('/api/offered-feeds', (_request, response) => {
    response.set('Cache-Control', 'no-store').json(OFFERED);
  });
  const fetching = { limits: LIMITS, feedHostPort: options.port ?? (() => undefined), ...options.fetching };
  app.use('/api/feed', limited(perMinute.feeds), feedRoute(fetching));
  app.use('/api/published', limited(perMinute.publishing), publishingRoutes(publishing));
  app.use('/api/offers', limited(perMinute.publishing), offerRoutes(offers));
  app.use('/api/directory', limited(perMinute.directory), directory(now));
  app.use(FORECAST, limited(perMinute.forecast), forecast());
  app.use('/api/mail', limited(perMinute.mail), mailRoutes(mail, now));
  app.use('/api/messages', limited(perMinute.messages), messageRoutes(messages, now));
  app.use('/api', (_request, response) => {
    response.status(404).json({ error: 'not found' });
  });
  app.use('/feed-host', feedHost({ slowMilliseconds: options.slowMilliseconds ?? SLOW_MS }));
  const forEver = { immutable: true, maxAge: '1y', index: false } as const;
  app.use('/_expo/static', express.static(path.join(dist, '_expo/static'), forEver));
  app.use('/assets', express.static(path.join(dist, 'assets'), { ...forEver, dotfiles: 'allow' }));
  app.use(express.static(dist, { index: false, maxAge: 0 }));
  app.get('/{*path}', (request, response) => {
    if (path.extname(request.path)) {
      response.status(404).end();
      return;
    }
    response.sendFile('index.html', { root: dist, headers: { 'Cache-Control': 'no-cache' } });
  });
  app.use(onError);
  return app;
}
