import { SIDES, WANTED_CRITERIA } from '@urvek/core';
import { Router } from 'express';
import { jsonBody } from './body.ts';
import * as yup from 'yup';
import { FILE_NAMES } from '../publish/files.ts';
import { sendFile } from './files.ts';
import { checkIds, STRICT, type Parts } from './parts.ts';
import { requires, whoOf } from './who.ts';

const askedSchema = yup
  .object({
    comparisonId: yup.string().uuid().required(),
    name: yup.string().oneOf(FILE_NAMES).required(),
    criterion: yup.string().oneOf(WANTED_CRITERIA),
    side: yup.string().oneOf(SIDES),
    withPrivate: yup.boolean(),
  })
  .noUnknown();

/** Files that take long: asked for, looked after, taken away or cancelled. */
export function jobsRouter({ storage, jobs }: Parts): Router {
  const router = Router();
  checkIds(router);
  router.use(requires('editor'));
  router.use(jsonBody({ bytes: 10_000, values: 100 }));
  router.post('/', async (request, response) => {
    const asked = await askedSchema.validate(request.body, STRICT);
    if (asked.withPrivate && whoOf(response).role !== 'owner')
      return requires('owner')(request, response, () => undefined);
    await storage.getComparison(asked.comparisonId);
    response.status(202).json(await jobs.ask(asked));
    return undefined;
  });
  router.get('/:id', async (request, response) => void response.json(await jobs.state(request.params.id)));
  router.get('/:id/file', async (request, response) => {
    const file = await jobs.file(request.params.id);
    await storage.note(whoOf(response).name, `took the file ${file.name}`);
    sendFile(response, file);
  });
  router.delete('/:id', async (request, response) => {
    await jobs.cancel(request.params.id);
    response.status(204).end();
  });
  return router;
}
