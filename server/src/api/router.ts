import { BATCH_LIMIT, comparisonUpdateSchema, EMPTY_SETUP, findWalks, intervalRows, newComparisonSchema, readInterchange, validateBatch, walkHeaderSchema, WANTED_CRITERIA, writeInterchange, type Problem, type WantedCriterion } from '@urvek/contract';
import { SIDES, writeWalkIntervals, type Side } from '@urvek/core';
import { json, Router } from 'express';
import * as yup from 'yup';
import { NotFound, type Store } from '../storage/store.ts';

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;
const IMPORT_LIMIT = '64mb';
const strict = { strict: true, abortEarly: false } as const;
const batchSchema = yup.object({ events: yup.array(yup.mixed()).required() }).noUnknown();

export function apiRouter(store: Store): Router {
  const router = Router();
  // A whole comparison is larger than anything else that is sent.
  router.post('/comparisons/import', json({ limit: IMPORT_LIMIT, strict: true }), async (request, response) => {
    response.status(201).json(await store.importComparison(readInterchange(request.body)));
  });
  router.use(json({ limit: '1mb', strict: true }));
  router.param('id', (_request, _response, next, id: string) => next(UUID.test(id) ? undefined : new NotFound(`no such id: ${id}`)));

  router.get('/health', (_request, response) => void response.json({ name: 'urvek', ok: true }));

  router.get('/comparisons', async (_request, response) => void response.json(await store.listComparisons()));
  router.post('/comparisons', async (request, response) => {
    const wanted = await newComparisonSchema.validate(request.body, strict);
    response.status(201).json(await store.createComparison(wanted, EMPTY_SETUP));
  });
  router.get('/comparisons/:id', async (request, response) => void response.json(await store.getComparison(request.params.id)));
  router.put('/comparisons/:id', async (request, response) => {
    const update = await comparisonUpdateSchema.validate(request.body, strict);
    response.json(await store.updateComparison(request.params.id, update));
  });
  router.get('/comparisons/:id/walks', async (request, response) => void response.json(await store.walksOf(request.params.id)));
  router.get('/comparisons/:id/walk-intervals.csv', async (request, response) => {
    const { setup } = await store.getComparison(request.params.id);
    const criterion = await yup.string().oneOf(WANTED_CRITERIA).default(setup.plan.criterion).validate(request.query.criterion);
    const rows = intervalRows(setup, findWalks(setup, await store.walksOf(request.params.id)), criterion as WantedCriterion, await yup.string().oneOf(SIDES).validate(request.query.direction) as Side | undefined);
    const name = `walk-intervals-${criterion.replaceAll(' ', '-')}.csv`;
    response.type('text/csv').attachment(name).send(writeWalkIntervals(rows));
  });

  router.get('/comparisons/:id/comparison.json', async (request, response) => {
    const { id, title, question, demo, setup } = await store.getComparison(request.params.id);
    const file = writeInterchange({ id, title, question, simulated: demo }, setup, await store.walksOf(id));
    response.type('application/json').attachment(`${title.replace(/[^\p{L}\p{N}]+/gu, '-').slice(0, 60)}.urvek.json`).send(JSON.stringify(file));
  });

  router.put('/walks/:id', async (request, response) => {
    const header = await walkHeaderSchema.validate(request.body, strict);
    if (header.id !== request.params.id) throw new NotFound(`walk ${header.id} was sent to the address of ${request.params.id}`);
    await store.registerWalk(header);
    response.status(204).end();
  });
  router.get('/walks/:id/events', async (request, response) => void response.json(await store.logOf(request.params.id)));
  router.post('/walks/:id/events', async (request, response) => {
    const { events } = await batchSchema.validate(request.body, strict);
    if (events.length > BATCH_LIMIT) {
      const problem: Problem = { code: 'too-large', what: `A batch holds at most ${BATCH_LIMIT} events; this one has ${events.length}.`, kept: 'Nothing of it was stored.', todo: 'Send it in halves.' };
      response.status(413).json(problem);
      return;
    }
    response.json(await store.append(request.params.id, validateBatch(request.params.id, events)));
  });

  router.use((request) => {
    throw new NotFound(`nothing at ${request.originalUrl}`);
  });
  return router;
}
