import { Router } from 'express';
import { createHash, createHmac, randomBytes } from 'node:crypto';
import { NEXT_PAGE } from '@urvek/contract';
import * as yup from 'yup';
import { findingKeys } from '../findings/keeper.ts';
import type { Cursor } from '../storage/port.ts';
import { checkIds, type Parts } from './parts.ts';
import { mayRead, whoOf } from './who.ts';

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
 * Another id for a walk that the asker may not read: it stands for its place in the plan, and opens nothing. The same
 * while this server runs.
 */
const SALT = randomBytes(16);
const otherId = (id: string): string =>
  createHmac('sha256', SALT)
    .update(id)
    .digest('hex')
    // Version 8 of RFC 9562: of one's own making.
    .replace(/^(.{8})(.{4})(.{3})(.{3})(.{12}).*$/, '$1-$2-8$3-8$4-$5');

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
    const may = await mayRead(
      storage,
      whoOf(response),
      walks.map((w) => w.header.id),
    );
    const others = walks.map((w) => w.header.id).filter((w) => !may(w));
    const made = others.length > 0 ? await storage.madeAmong(others) : new Set<string>();
    const keyOf = findingKeys((await storage.getComparison(id)).setup);
    const tag = createHash('sha256')
      .update(JSON.stringify(walks.map((w) => [w.header, keyOf(w), may(w.header.id), made.has(w.header.id)])))
      .digest('base64url');
    const last = walks.length === PAGE ? walks.at(-1)?.header : undefined;
    const next = last && `${last.startedMs}_${last.id}`;
    response.set('ETag', `W/"${tag}"`).set('Cache-Control', 'private, no-cache').type('application/json');
    // Known before the body: the next page can be asked for while this one is read.
    if (next !== undefined) response.set(NEXT_PAGE, next);
    if (request.fresh) {
      response.status(304).end();
      return;
    }
    const found = await heavy.findings(
      id,
      walks.filter((w) => may(w.header.id)),
    );
    const parts = walks.flatMap(({ header, entries }) => {
      if (!may(header.id)) {
        if (!made.has(header.id)) return [];
        const other = JSON.stringify({ ...header, id: otherId(header.id) });
        return `{"header":${other},"entries":0,"derived":null,"withheld":true}`;
      }
      const derived = found.get(header.id)?.json ?? 'null';
      return `{"header":${JSON.stringify(header)},"entries":${entries},"derived":${derived}}`;
    });
    response.send(`{"walks":[${parts.join(',')}]${next === undefined ? '' : `,"next":"${next}"`}}`);
  });
  return router;
}
