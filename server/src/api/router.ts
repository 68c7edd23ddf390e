import * as yup from 'yup';
import {
  BATCH_LIMIT,
  comparisonUpdateSchema,
  EMPTY_SETUP,
  joinCode,
  newComparisonSchema,
  NOTHING_WITHHELD,
  readInterchange,
  readWalks,
  tidyCode,
  validateBatch,
  walkHeaderSchema,
  WANTED_CRITERIA,
  writeInterchange,
  type Interchange,
  type Problem,
  type StoredWalk,
  type WantedCriterion,
} from '@urvek/contract';
import { SIDES, writeGeoJson, writeGpx, writeWalkIntervals, type Side } from '@urvek/core';
import {
  eventsCsv,
  findingsCsv,
  findWalks,
  intervalRows,
  judgeComparison,
  marksCsv,
  readingsCsv,
  routesOf,
  walksCsv,
  withhold,
  type Finding,
} from '@urvek/study';
import { json, Router } from 'express';
import { NotFound, type Store } from '../storage/store.ts';

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;
const IMPORT_LIMIT = '64mb';
/** A walk can be joined for two days. */
const JOINABLE_MS = 48 * 3_600_000;
const strict = { strict: true, abortEarly: false } as const;
const batchSchema = yup.object({ events: yup.array(yup.mixed()).required() }).noUnknown();

/** Files of simulated walks say so in their names: where their columns are given, there is no other place. */
const isSimulated = (walks: readonly StoredWalk[]): boolean =>
  walks.some((w) => w.log.some((e) => e.kind === 'begin' && e.body.simulatedSeed !== undefined));

export function apiRouter(store: Store): Router {
  const router = Router();
  router.param('id', (_request, _response, next, id: string) =>
    next(UUID.test(id) ? undefined : new NotFound(`no such id: ${id}`)),
  );
  // A whole comparison is larger than anything else that is sent.
  router.post(
    '/comparisons/import',
    json({ limit: IMPORT_LIMIT, strict: true }),
    async (request, response) => {
      response.status(201).json(await store.importComparison(readInterchange(request.body)));
    },
  );
  router.post(
    '/comparisons/:id/walks',
    json({ limit: IMPORT_LIMIT, strict: true }),
    async (request, response) => {
      const walks = readWalks((request.body as { walks?: unknown }).walks, request.params.id);
      await store.importWalks(request.params.id, walks);
      response.status(201).json({ walks: walks.length });
    },
  );
  const wholeFile = async (id: string): Promise<Interchange> => {
    const { title, question, demo, setup } = await store.getComparison(id);
    return writeInterchange({ id, title, question, simulated: demo }, setup, await store.walksOf(id));
  };
  /** A comparison as it may leave: without what its report withholds. */
  const leaving = async (id: string): Promise<Interchange> => {
    const file = await wholeFile(id);
    return withhold(file, file.setup.report?.withheld ?? NOTHING_WITHHELD).file;
  };

  router.use(json({ limit: '1mb', strict: true }));

  router.get('/health', (_request, response) => void response.json({ name: 'urvek', ok: true }));

  // The base's clock, for devices that compare theirs with it.
  router.get(
    '/time',
    (_request, response) =>
      void response.set('Cache-Control', 'no-store').json({ baseMs: store.now().getTime() }),
  );
  router.get('/join/:code', async (request, response) => {
    const code = tidyCode(request.params.code);
    const header = (await store.walksSince(store.now().getTime() - JOINABLE_MS)).find(
      (w) => joinCode(w.id) === code,
    );
    if (!header) throw new NotFound(`no walk of the last two days has the code ${code}`);
    response.json(header);
  });

  router.get('/comparisons', async (_request, response) => void response.json(await store.listComparisons()));
  router.post('/comparisons', async (request, response) => {
    const wanted = await newComparisonSchema.validate(request.body, strict);
    response.status(201).json(await store.createComparison(wanted, EMPTY_SETUP));
  });
  router.get(
    '/comparisons/:id',
    async (request, response) => void response.json(await store.getComparison(request.params.id)),
  );
  router.put('/comparisons/:id', async (request, response) => {
    const update = await comparisonUpdateSchema.validate(request.body, strict);
    response.json(await store.updateComparison(request.params.id, update));
  });
  router.get(
    '/comparisons/:id/walks',
    async (request, response) => void response.json(await store.walksOf(request.params.id)),
  );
  router.get('/comparisons/:id/walk-intervals.csv', async (request, response) => {
    const { setup, walks } = await leaving(request.params.id);
    const criterion = await yup
      .string()
      .oneOf(WANTED_CRITERIA)
      .default(setup.plan.criterion)
      .validate(request.query.criterion);
    const rows = intervalRows(
      setup,
      findWalks(setup, walks),
      criterion as WantedCriterion,
      (await yup.string().oneOf(SIDES).validate(request.query.direction)) as Side | undefined,
    );
    const name = `${isSimulated(walks) ? 'simulated-' : ''}walk-intervals-${criterion.replaceAll(' ', '-')}.csv`;
    response.type('text/csv').attachment(name).send(writeWalkIntervals(rows));
  });

  type Leaving = Pick<Interchange, 'setup' | 'walks'> & { readonly findings: readonly Finding[] };
  const tables: Readonly<Record<string, (of: Leaving) => string>> = {
    'walks.csv': ({ setup, findings }) => walksCsv(setup, findings),
    'marks.csv': ({ findings }) => marksCsv(findings),
    'readings.csv': ({ findings }) => readingsCsv(findings),
    'events.csv': ({ walks }) => eventsCsv(walks),
    'findings.csv': ({ setup, walks }) => findingsCsv(judgeComparison(setup, walks)),
    'routes.gpx': ({ setup, findings }) => writeGpx(routesOf(setup, findings)),
    'routes.geojson': ({ setup, findings }) => writeGeoJson(routesOf(setup, findings)),
  };
  // What leaves here as a table leaves out what is to stay private, as the whole file does.
  router.get('/comparisons/:id/files/:name', async (request, response) => {
    const write = Object.hasOwn(tables, request.params.name) ? tables[request.params.name] : undefined;
    if (!write)
      throw new NotFound(`no file ${request.params.name}; there are ${Object.keys(tables).join(', ')}`);
    const { setup, walks } = await leaving(request.params.id);
    response
      .type(request.params.name.endsWith('.csv') ? 'text/csv' : 'application/octet-stream')
      .attachment(`${isSimulated(walks) ? 'simulated-' : ''}${request.params.name}`)
      .send(write({ setup, walks, findings: findWalks(setup, walks) }));
  });

  router.get('/comparisons/:id/comparison.json', async (request, response) => {
    const file = await (request.query.private === 'kept'
      ? wholeFile(request.params.id)
      : leaving(request.params.id));
    response
      .type('application/json')
      .attachment(`${file.comparison.title.replace(/[^\p{L}\p{N}]+/gu, '-').slice(0, 60)}.urvek.json`)
      .send(JSON.stringify(file));
  });

  router.put('/walks/:id', async (request, response) => {
    const header = await walkHeaderSchema.validate(request.body, strict);
    if (header.id !== request.params.id)
      throw new NotFound(`walk ${header.id} was sent to the address of ${request.params.id}`);
    await store.registerWalk(header);
    response.status(204).end();
  });
  router.get(
    '/walks/:id/events',
    async (request, response) => void response.json(await store.logOf(request.params.id)),
  );
  router.post('/walks/:id/events', async (request, response) => {
    const { events } = await batchSchema.validate(request.body, strict);
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
    response.json(await store.append(request.params.id, validateBatch(request.params.id, events)));
  });

  router.use((request) => {
    throw new NotFound(`nothing at ${request.originalUrl}`);
  });
  return router;
}
