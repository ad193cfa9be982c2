import helmet from 'helmet';
import type { RequestHandler } from 'express';

/** What a plain page of the server may do: nothing but be read, within the pages that are named. */
export const plainPageHeaders = (within: "'self'" | '*'): RequestHandler =>
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
        formAction: ["'none'"],
        frameAncestors: [within],
      },
    },
  });
