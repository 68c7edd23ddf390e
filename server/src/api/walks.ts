import { BATCH_LIMIT, validateBatch, walkHeaderSchema, type Problem, type Removed } from '@urvek/contract';
import { NOTICED_KINDS, WALK_CLOCK_KINDS, type EventKind } from '@urvek/core';
import { Router, type RequestHandler } from 'express';
import { jsonBody } from './body.ts';
import * as yup from 'yup';
import { NotFound } from '../storage/port.ts';
import { backedUp, checkIds, onlyText, STRICT, type Parts } from './parts.ts';
import { isOwn, mayRead, requires, whoOf } from './who.ts';

const batchSchema = yup.object({ events: yup.array(yup.mixed()).required() }).noUnknown();

/** Logs that a device holds a part of: it asks how much of them is here. */
const MOST_ASKED = 1000;
const heldSchema = yup
  .object({
    logs: yup
      .array(
        yup
          .object({ walkId: yup.string().uuid().required(), deviceId: yup.string().uuid().required() })
          .noUnknown(),
      )
      .required()
      .max(MOST_ASKED),
  })
  .noUnknown();

/** Of each device so many last entries: what is withdrawn among them leaves one that stands. */
const MOST_NOTICED = 12;
/** Of each device so many comparisons of its clock: eight hours, one each half minute. */
const MOST_CLOCKS = 1000;
const besidesSchema = yup.object({ besides: yup.string().uuid().required() });

/** Single walks: registered, logged, read whole. */
export function walksRouter({ storage, answers, backupBefore }: Parts): Router {
  const router = Router();
  checkIds(router);
  /** Another's walk is, for a device that only logs, not here: what it logged itself it registers anew. */
  const own: RequestHandler = async (request, response, next) => {
    const id = request.params.id as string;
    if (!(await mayRead(storage, whoOf(response), [id]))(id))
      throw new NotFound(`no walk ${id} of this device`);
    next();
  };
  router.use(jsonBody({ bytes: 1_000_000, values: 100_000 }));
  router.post('/held', onlyText, async (request, response) => {
    const { logs } = await heldSchema.validate(request.body, STRICT);
    const may = await mayRead(
      storage,
      whoOf(response),
      logs.map((l) => l.walkId),
    );
    response.json(await storage.heldOf(logs.filter((l) => may(l.walkId))));
  });
  router.put('/:id', onlyText, async (request, response) => {
    const header = await walkHeaderSchema.validate(request.body, STRICT);
    if (header.id !== request.params.id)
      throw new NotFound(`walk ${header.id} was sent to the address of ${request.params.id}`);
    await storage.registerWalk(header);
    await isOwn(storage, whoOf(response), header.id);
    response.status(204).end();
  });
  router.delete('/:id', requires('owner'), async (request, response) => {
    const { id } = request.params as { id: string };
    const { comparisonId, startedMs } = await storage.getHeader(id);
    const { title } = await storage.getComparison(comparisonId);
    const file = await backedUp(backupBefore);
    await storage.removeWalk(id);
    const begun = new Date(startedMs).toISOString();
    await storage.note(
      whoOf(response).name,
      `removed the walk of ${begun} from “${title}” for good; it is in ${file}`,
    );
    response.json({ backup: file } satisfies Removed);
  });
  router.get(
    '/:id/events',
    own,
    async (request, response) => void response.json(await storage.logOf(request.params.id as string)),
  );
  /** The last of each other device that are of these kinds. */
  const lastOf =
    (kinds: readonly EventKind[], most: number): RequestHandler =>
    async (request, response) => {
      const { besides } = await besidesSchema.validate(request.query);
      response.json(await storage.lastOf(request.params.id as string, { besides, kinds, most }));
    };
  router.get('/:id/noticed', own, lastOf(NOTICED_KINDS, MOST_NOTICED));
  router.get('/:id/clock', own, lastOf(WALK_CLOCK_KINDS, MOST_CLOCKS));
  router.post('/:id/events', own, async (request, response) => {
    const { events } = await batchSchema.validate(request.body, STRICT);
    if (events.length > BATCH_LIMIT) {
      const problem: Problem = {
        code: 'too-large',
        what: `A batch holds at most ${BATCH_LIMIT} events; this one has ${events.length}.`,
        kept: 'Nothing of it was stored.',
        todo: 'Send it in halves.',
      };
      response.status(413).json(problem);
      return;
    }
    const id = request.params.id as string;
    const accepted = await storage.append(id, validateBatch(id, events));
    answers.changed((await storage.getHeader(id)).comparisonId);
    response.json(accepted);
  });
  return router;
}
