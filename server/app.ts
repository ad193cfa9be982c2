import compression from 'compression';
import express, { type Express } from 'express';
import path from 'node:path';

export interface AppOptions {
  /** The folder with the built application. */
  readonly dist: string;
  /** What a browser without data begins with: the demo's records, or null. */
  readonly start: () => unknown;
}

/** Serves the built application and what a new browser begins with. Hashed files for ever, all else fresh. */
export function createApp({ dist, start }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(compression());
  app.get('/api/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.get('/api/start', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({ demo: start() });
  });
  app.use('/api', (_request, response) => {
    response.status(404).json({ error: 'not found' });
  });
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
  return app;
}
