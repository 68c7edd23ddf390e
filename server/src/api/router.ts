import { Router } from 'express';
import { NotFound, Unavailable } from '../storage/port.ts';
import { answersRouter } from './answers.ts';
import { comparisonsRouter } from './comparisons.ts';
import { filesRouter } from './files.ts';
import { findingsRouter } from './findings.ts';
import { jobsRouter } from './jobs.ts';
import type { Parts } from './parts.ts';
import { walksRouter } from './walks.ts';
import { joinable } from './joinable.ts';
import { isOwn, whoOf } from './who.ts';

/** One file a resource. */
export function apiRouter(parts: Parts): Router {
  const { storage } = parts;
  const router = Router();
  router.get('/health', async (_request, response) => {
    try {
      await storage.check();
      response.json({ name: 'urvek', ok: true });
    } catch (error) {
      const away = storage.meaningOf(error);
      if (!(away instanceof Unavailable)) throw error;
      response
        .status(503)
        .set('Retry-After', '2')
        .json({ name: 'urvek', ok: false, what: `The database does not answer (${away.message}).` });
    }
  });
  // The base's clock, for devices that compare theirs with it.
  router.get(
    '/time',
    (_request, response) =>
      void response.set('Cache-Control', 'no-store').json({ baseMs: storage.now().getTime() }),
  );
  router.get('/join/:code', async (request, response) => {
    const header = await joinable(storage, request.params.code);
    await isOwn(storage, whoOf(response), header.id);
    response.json(header);
  });
  router.use(
    '/comparisons',
    answersRouter(parts),
    findingsRouter(parts),
    filesRouter(parts),
    comparisonsRouter(parts),
  );
  router.use('/walks', walksRouter(parts));
  router.use('/jobs', jobsRouter(parts));
  router.use((request) => {
    throw new NotFound(`nothing at ${request.originalUrl}`);
  });
  return router;
}
