import {
  asideSchema,
  comparisonUpdateSchema,
  EMPTY_SETUP,
  InterchangeError,
  newComparisonSchema,
  readInterchange,
  readWalks,
  type Removed,
  type RevisedSetup,
  type Revision,
} from '@urvek/contract';
import { changeText, setupChanges } from '@urvek/study';
import { Router } from 'express';
import { NotFound, type KeptRevision } from '../storage/port.ts';
import { jsonBody, parsed, textBody } from './body.ts';
import { backedUp, checkIds, onlyText, STRICT, type Parts } from './parts.ts';
import { requires, whoOf } from './who.ts';

/** A whole comparison is larger than anything else that is sent. */
const IMPORT_LIMITS = { bytes: 64_000_000, values: 8_000_000 };
const SETUP_LIMITS = { bytes: 1_000_000, values: 100_000 };
/** Signs of a body that are read within the request. */
const READ_AT_ONCE = 300_000;

/** So many changes are shown. */
const REVISIONS_SHOWN = 50;

function revisionOf(now: KeptRevision, before: KeptRevision | undefined): Revision {
  const what = before
    ? [
        ...(now.title === before.title ? [] : [`title: ${before.title} → ${now.title}`]),
        ...(now.question === before.question ? [] : ['question']),
        ...setupChanges(before.setup, now.setup).map(changeText),
      ]
    : [];
  return { revision: now.revision, who: now.who, atMs: now.atMs, what };
}

export function comparisonsRouter({ storage, heavy, answers, backupBefore }: Parts): Router {
  const router = Router();
  const titleOf = async (id: string): Promise<string> => `“${(await storage.getComparison(id)).title}”`;
  const takeIn = async (id: string, body: string): Promise<{ walks: number }> => {
    const walks = readWalks((parsed(body) as { walks?: unknown } | null)?.walks, id);
    await storage.importWalks(id, walks);
    return { walks: walks.length };
  };
  checkIds(router);
  const whole = textBody(IMPORT_LIMITS);
  router.post('/import', requires('editor'), whole, async (request, response) => {
    const body = request.body as string;
    if (!/^\s*\{/.test(body)) throw new InterchangeError('it is no comparison: it does not begin with {');
    const comparison =
      body.length <= READ_AT_ONCE
        ? await storage.importComparison(readInterchange(parsed(body)))
        : await heavy.import(body);
    answers.changed(comparison.id);
    response.status(201).json(comparison);
  });
  router.post('/:id/walks', requires('editor'), whole, async (request, response) => {
    const { id } = request.params as { id: string };
    const body = request.body as string;
    const taken = body.length > READ_AT_ONCE ? await heavy.importWalks(id, body) : await takeIn(id, body);
    answers.changed(id);
    response.status(201).json(taken);
  });

  router.use(jsonBody(SETUP_LIMITS), onlyText);
  router.get('/', async (_request, response) => void response.json(await storage.listComparisons()));
  router.post('/', requires('editor'), async (request, response) => {
    const wanted = await newComparisonSchema.validate(request.body, STRICT);
    response.status(201).json(await storage.createComparison(wanted, EMPTY_SETUP));
  });
  router.get(
    '/:id',
    async (request, response) => void response.json(await storage.getComparison(request.params.id)),
  );
  router.put('/:id', requires('editor'), async (request, response) => {
    const update = await comparisonUpdateSchema.validate(request.body, STRICT);
    const comparison = await storage.updateComparison(
      request.params.id as string,
      update,
      whoOf(response).name,
    );
    answers.changed(comparison.id);
    response.json(comparison);
  });
  router.get('/:id/revisions', async (request, response) => {
    const kept = await storage.revisionsOf(request.params.id, REVISIONS_SHOWN + 1);
    response.json(kept.slice(0, REVISIONS_SHOWN).map((now, i) => revisionOf(now, kept[i + 1])));
  });
  router.get('/:id/revisions/:revision', async (request, response) => {
    const { id, revision } = request.params;
    const kept = await storage.revisionsOf(id, REVISIONS_SHOWN + 1);
    const at = kept.findIndex((r) => String(r.revision) === revision);
    const now = kept[at];
    if (!now) throw new NotFound(`no revision ${revision} of ${id} is kept`);
    const { title, question, setup } = now;
    response.json({ ...revisionOf(now, kept[at + 1]), title, question, setup } satisfies RevisedSetup);
  });
  router.put('/:id/aside', requires('editor'), async (request, response) => {
    const { id } = request.params as { id: string };
    const { reason } = await asideSchema.validate(request.body, STRICT);
    await storage.setAside(id, reason);
    await storage.note(
      whoOf(response).name,
      reason === undefined
        ? `took back the comparison ${await titleOf(id)}`
        : `set aside the comparison ${await titleOf(id)}: ${reason}`,
    );
    response.status(204).end();
  });
  router.delete('/:id', requires('owner'), async (request, response) => {
    const { id } = request.params as { id: string };
    const title = await titleOf(id);
    const file = await backedUp(backupBefore);
    await storage.removeComparison(id);
    await storage.note(whoOf(response).name, `removed the comparison ${title} for good; it is in ${file}`);
    response.json({ backup: file } satisfies Removed);
  });
  return router;
}
