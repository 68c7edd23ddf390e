import type { ComparisonState } from '@urvek/contract';
import { KINDS, LENGTH_UNITS, SIDES, WANTED_CRITERIA } from '@urvek/core';
import { REPORT_FORMS, type Ask, type Question } from '@urvek/draw';
import { Router, type Response } from 'express';
import * as yup from 'yup';
import { Answers } from '../findings/answers.ts';
import { stateOf, tagOf, type State } from '../findings/state.ts';
import { NotFound } from '../storage/port.ts';
import { checkIds, type Parts } from './parts.ts';
import { mayRead, whoOf } from './who.ts';

const isZone = (zone: string): boolean => {
  try {
    return Intl.DateTimeFormat('en', { timeZone: zone }) !== undefined;
  } catch {
    return false;
  }
};

const pathId = yup.string().max(100);
const kindId = yup.string().oneOf(KINDS.map((k) => k.id));
const looked = {
  criterion: yup.string().oneOf(WANTED_CRITERIA),
  side: yup.string().oneOf(SIDES),
};
/** What each question takes, from an address. */
const TAKES: Readonly<Record<Ask, yup.ObjectShape>> = {
  overview: {},
  stages: {},
  bands: {},
  judgement: looked,
  curves: looked,
  planBoard: {},
  nextPoints: {},
  planAudit: {},
  levels: { pathId: pathId.required() },
  unplacedNames: { pathId: pathId.required() },
  finding: { walkId: yup.string().uuid().required() },
  report: {
    form: yup.string().oneOf(REPORT_FORMS).required(),
    unit: yup.string().oneOf(LENGTH_UNITS).required(),
    zone: yup
      .string()
      .required()
      .max(60)
      .test('zone', 'zone: no time zone', (zone) => isZone(zone)),
    ...{ kindId, pathId },
  },
  published: { kindId, pathId },
};

const isAsk = (text: string): text is Ask => Object.hasOwn(TAKES, text);

/**
 * What stages of a comparison ask, answered by the base where the comparison is large: a device need not have every
 * walk of it before it shows what comes of them.
 */
export function answersRouter({ storage, answers }: Parts): Router {
  const router = Router();
  checkIds(router);

  /** The state, as whoever asks may know it. */
  const seen = async (id: string, response: Response): Promise<State & { readonly whole: boolean }> => {
    const state = await stateOf(storage, id);
    const who = whoOf(response);
    if (who.role !== 'logger') return { ...state, whole: true };
    const ids = (await storage.listWalks(id)).map((w) => w.header.id);
    const may = await mayRead(storage, who, ids);
    const hidden = ids.filter((walkId) => !may(walkId));
    return { ...state, tag: tagOf([state.tag, hidden]), whole: hidden.length === 0 };
  };

  router.get('/:id/state', async (request, response) => {
    const state = await seen(request.params.id, response);
    response.set('Cache-Control', 'private, no-cache').json({
      tag: state.tag,
      answers: state.whole && Answers.isLarge(state),
    } satisfies ComparisonState);
  });

  router.get('/:id/answers/:ask', async (request, response) => {
    const { id, ask } = request.params;
    if (!isAsk(ask))
      throw new NotFound(`nothing to ask at ${ask}; there are ${Object.keys(TAKES).join(', ')}`);
    const { open, ...taken } = await yup
      .object({ ...TAKES[ask], open: yup.string().oneOf(['yes', 'no']) })
      .noUnknown()
      .strict()
      .validate(request.query);
    const state = await seen(id, response);
    if (!state.whole || !Answers.isLarge(state))
      throw new NotFound(`${id} is for the device to work out, from its findings`);
    response
      .set('ETag', `W/"${tagOf([state.tag, ask, open, taken])}"`)
      .set('Cache-Control', 'private, no-cache')
      .type('application/json');
    if (request.fresh) {
      response.status(304).end();
      return;
    }
    response.send(await answers.of(state, { ask, ...taken } as Question, open === 'yes'));
  });
  return router;
}
