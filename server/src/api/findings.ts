import { Router } from 'express';
import { createHash } from 'node:crypto';
import * as yup from 'yup';
import { findingKeys } from '../findings/keeper.ts';
import type { Cursor } from '../storage/port.ts';
import { checkIds, type Parts } from './parts.ts';

/** Walks of a page: about 1 kB each when compressed. */
const PAGE = 200;

const cursorSchema = yup.object({
  after: yup.string().matches(/^\d+_[0-9a-f-]{36}$/i, 'after: not where a page ended'),
});

const readCursor = (after: string | undefined): Cursor | undefined => {
  if (after === undefined) return undefined;
  const [ms, walkId] = after.split('_') as [string, string];
  return { startedMs: Number(ms), walkId };
};

/**
 * What was worked out from the logs of a comparison, a page of walks at a time, in order of their start.
 * The answer is put together from texts as they are kept; its tag names their keys, so that nothing is read
 * that the asker has already.
 */
export function findingsRouter({ storage, heavy }: Parts): Router {
  const router = Router();
  checkIds(router);
  router.get('/:id/findings', async (request, response) => {
    const { id } = request.params;
    const { after } = await cursorSchema.validate(request.query);
    const walks = await storage.listWalks(id, { after: readCursor(after), most: PAGE });
    const keyOf = findingKeys((await storage.getComparison(id)).setup);
    const tag = createHash('sha256')
      .update(JSON.stringify(walks.map((w) => [w.header, keyOf(w)])))
      .digest('base64url');
    response.set('ETag', `W/"${tag}"`).set('Cache-Control', 'private, no-cache').type('application/json');
    if (request.fresh) {
      response.status(304).end();
      return;
    }
    const found = await heavy.findings(id, walks);
    const last = walks.length === PAGE ? walks.at(-1)?.header : undefined;
    const parts = walks.map(
      ({ header, entries }) =>
        `{"header":${JSON.stringify(header)},"entries":${entries},"derived":${found.get(header.id)?.json ?? 'null'}}`,
    );
    const next = last ? `,"next":"${last.startedMs}_${last.id}"` : '';
    response.send(`{"walks":[${parts.join(',')}]${next}}`);
  });
  return router;
}
