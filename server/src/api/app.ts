import express, { type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import { join } from 'node:path';
import compression from 'compression';
import expressStaticGzip from 'express-static-gzip';
import type { Parts } from './parts.ts';
import { onlyWithKey, type ProgramOf } from './key.ts';
import { onlyFromHere } from './guard.ts';
import { NotFound } from '../storage/port.ts';
import { foreseenBy } from './foreseen.ts';
import { stageParts } from './stageParts.ts';
import { problemHandler } from './problems.ts';
import { probeRouter } from '../probe/router.ts';
import { apiRouter } from './router.ts';

export interface AppOptions {
  readonly parts: Parts;
  /** Host:port pairs under which this server may be addressed. */
  readonly authorities: () => ReadonlySet<string>;
  /** Folder of the built web application; absent in API tests. */
  readonly webRoot?: string;
  readonly report: (error: unknown) => void;
  /** What stands before everything else on the local network: the page that pairs, and the gate. */
  readonly before?: readonly RequestHandler[];
  /** By which its own pages come: plain on loopback. */
  readonly protocol?: 'http' | 'https';
  /** Pairing and devices, for this machine's own pages only. */
  readonly lan?: RequestHandler;
  /** What a browser must know to be answered; absent where none is asked for. */
  readonly key?: string;
  /** The program of a key that was made for it. */
  readonly programOf?: ProgramOf;
}

export function createApp({
  parts,
  authorities,
  webRoot,
  report,
  before = [],
  protocol,
  lan,
  key,
  programOf = () => Promise.resolve(undefined),
}: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.enable('case sensitive routing');
  app.use(onlyFromHere(authorities, protocol));
  app.use(
    helmet({
      // Plain HTTP on loopback: no upgrade to HTTPS; and on the local network no promise that outlives the
      // authority.
      strictTransportSecurity: false,
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          // The reader of the beacon's codes is compiled to WebAssembly.
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          mediaSrc: ["'self'", 'data:', 'blob:'],
          // The writer of transparent film divides colour and transparency in a thread that it makes itself.
          workerSrc: ["'self'", 'blob:'],
          objectSrc: ["'none'"],
          baseUri: ["'self'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
    }),
  );
  app.use(compression());
  if (key !== undefined) app.use(onlyWithKey(key, programOf));
  for (const handler of before) app.use(handler);
  if (lan) app.use('/api/lan', lan);
  app.use('/api/probe', probeRouter(parts.desk));
  app.use('/api', apiRouter(parts));
  if (webRoot !== undefined) {
    const partsOf = stageParts(webRoot);
    app.use(
      // As the build compressed them, for whom that is no trouble.
      expressStaticGzip(webRoot, {
        index: false,
        enableBrotli: true,
        orderPreference: ['br'],
        serveStatic: {
          setHeaders: (response, path) =>
            void response.setHeader(
              'Cache-Control',
              path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache',
            ),
        },
      }) as RequestHandler,
    );
    app.get('/{*path}', (request, response, next) => {
      // A part of a page that is not here is not the page.
      if (/\.[a-z0-9]+$/i.test(request.path)) return next(new NotFound(`nothing at ${request.path}`));
      const foreseen = [...foreseenBy(request.path, (id) => parts.answers.has(id)), ...partsOf(request.path)];
      if (foreseen.length > 0) response.set('Link', foreseen.join(', '));
      response.set('Cache-Control', 'no-cache').sendFile(join(webRoot, 'index.html'));
      return undefined;
    });
  }
  app.use(problemHandler(report, (error) => parts.storage.meaningOf(error)));
  return app;
}
