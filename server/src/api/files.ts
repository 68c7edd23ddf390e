import { SIDES, WANTED_CRITERIA } from '@urvek/core';
import { Router, type RequestHandler, type Response } from 'express';
import * as yup from 'yup';
import { WHOLE, withheldOf, type FileAsked } from '../publish/files.ts';
import type { KeptFile } from '../storage/port.ts';
import { abortWith, checkIds, type Parts } from './parts.ts';
import { requires, whoOf } from './who.ts';

const wished = yup.object({
  criterion: yup.string().oneOf(WANTED_CRITERIA),
  direction: yup.string().oneOf(SIDES),
  private: yup.string().oneOf(['kept'] as const),
});

/** Private parts leave by the owner's hand only. */
const ownerForPrivate: RequestHandler = (request, response, next) =>
  request.query.private === undefined ? next() : requires('owner')(request, response, next);

export const sendFile = (response: Response, { name, type, text }: KeptFile): void =>
  void response.type(type).attachment(name).send(text);

/** Files of a comparison, made when they are asked for. */
export function filesRouter({ storage, heavy }: Parts): Router {
  const router = Router();
  checkIds(router);
  router.use(
    ['/:id/walk-intervals.csv', '/:id/files', '/:id/comparison.json', '/:id/withheld'],
    requires('editor'),
  );
  const answer = async (asked: FileAsked, response: Response): Promise<void> => {
    const file = await heavy.file(asked, abortWith(response));
    await storage.note(
      whoOf(response).name,
      `took the file ${file.name}${asked.withPrivate ? ', private parts and all' : ''}`,
    );
    sendFile(response, file);
  };
  router.get('/:id/walk-intervals.csv', async (request, response) => {
    const { criterion, direction } = await wished.validate(request.query);
    await answer(
      { comparisonId: request.params.id, name: 'walk-intervals.csv', criterion, side: direction },
      response,
    );
  });
  router.get('/:id/files/:name', (request, response) =>
    answer({ comparisonId: request.params.id, name: request.params.name }, response),
  );
  router.get('/:id/comparison.json', ownerForPrivate, async (request, response) => {
    const { private: kept } = await wished.validate(request.query);
    await answer(
      { comparisonId: request.params.id as string, name: WHOLE, withPrivate: kept === 'kept' },
      response,
    );
  });
  router.get(
    '/:id/withheld',
    async (request, response) => void response.json(await withheldOf(storage, request.params.id)),
  );
  return router;
}
