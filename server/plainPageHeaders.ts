import helmet from 'helmet';
import type { RequestHandler } from 'express';

/** What a plain page of the server may do: be read, within the pages that are named, and send its forms back where it has some. */
export const plainPageHeaders = (within: "'self'" | '*', { hasForms = false } = {}): RequestHandler =>
  helmet({
    strictTransportSecurity: false,
    ...(within === '*'
      ? { xFrameOptions: false, crossOriginResourcePolicy: { policy: 'cross-origin' } }
      : {}),
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        styleSrc: ["'unsafe-inline'"],
        baseUri: ["'none'"],
        formAction: [hasForms ? "'self'" : "'none'"],
        frameAncestors: [within],
      },
    },
  });
