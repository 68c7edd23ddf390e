import { BATCH_LIMIT, validateBatch, walkHeaderSchema, type Problem } from '@urvek/contract';
import { Router } from 'express';
import { jsonBody } from './body.ts';
import * as yup from 'yup';
import { NotFound } from '../storage/port.ts';
import { checkIds, onlyText, STRICT, type Parts } from './parts.ts';

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

/** Single walks: registered, logged, read whole. */
export function walksRouter({ storage }: Parts): Router {
  const router = Router();
  checkIds(router);
  router.use(jsonBody({ bytes: 1_000_000, values: 100_000 }));
  router.post('/held', onlyText, async (request, response) => {
    const { logs } = await heldSchema.validate(request.body, STRICT);
    response.json(await storage.heldOf(logs));
  });
  router.put('/:id', onlyText, async (request, response) => {
    const header = await walkHeaderSchema.validate(request.body, STRICT);
    if (header.id !== request.params.id)
      throw new NotFound(`walk ${header.id} was sent to the address of ${request.params.id}`);
    await storage.registerWalk(header);
    response.status(204).end();
  });
  router.get(
    '/:id/events',
    async (request, response) => void response.json(await storage.logOf(request.params.id)),
  );
  router.post('/:id/events', async (request, response) => {
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
    response.json(await storage.append(request.params.id, validateBatch(request.params.id, events)));
  });
  return router;
}
