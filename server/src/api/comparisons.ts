import {
  comparisonUpdateSchema,
  EMPTY_SETUP,
  newComparisonSchema,
  readInterchange,
  readWalks,
} from '@urvek/contract';
import { json, Router, text } from 'express';
import { checkIds, onlyText, STRICT, type Parts } from './parts.ts';

/** A whole comparison is larger than anything else that is sent. */
const IMPORT_LIMIT = '64mb';
/** Signs of a body that are read within the request. */
const READ_AT_ONCE = 300_000;

export function comparisonsRouter({ storage, heavy }: Parts): Router {
  const router = Router();
  checkIds(router);
  const whole = text({ limit: IMPORT_LIMIT, type: 'application/json' });
  router.post('/import', whole, async (request, response) => {
    const body = bodyOf(request.body);
    response
      .status(201)
      .json(
        body.length <= READ_AT_ONCE
          ? await storage.importComparison(readInterchange(parsed(body)))
          : await heavy.import(body),
      );
  });
  router.post('/:id/walks', whole, async (request, response) => {
    const { id } = request.params as { id: string };
    const body = bodyOf(request.body);
    if (body.length > READ_AT_ONCE) {
      response.status(201).json(await heavy.importWalks(id, body));
      return;
    }
    const walks = readWalks((parsed(body) as { walks?: unknown } | null)?.walks, id);
    await storage.importWalks(id, walks);
    response.status(201).json({ walks: walks.length });
  });

  router.use(json({ limit: '1mb', strict: true }), onlyText);
  router.get('/', async (_request, response) => void response.json(await storage.listComparisons()));
  router.post('/', async (request, response) => {
    const wanted = await newComparisonSchema.validate(request.body, STRICT);
    response.status(201).json(await storage.createComparison(wanted, EMPTY_SETUP));
  });
  router.get(
    '/:id',
    async (request, response) => void response.json(await storage.getComparison(request.params.id)),
  );
  router.put('/:id', async (request, response) => {
    const update = await comparisonUpdateSchema.validate(request.body, STRICT);
    response.json(await storage.updateComparison(request.params.id, update));
  });
  return router;
}

/** Express leaves an object where no text came. */
const bodyOf = (body: unknown): string => (typeof body === 'string' ? body : '');

/** @throws what Express says of a body that is no JSON. */
function parsed(body: string): unknown {
  try {
    return JSON.parse(body);
  } catch (error) {
    throw Object.assign(error as Error, { status: 400 });
  }
}
