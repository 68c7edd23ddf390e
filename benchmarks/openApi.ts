import { comparisonUpdateSchema, newComparisonSchema, walkHeaderSchema } from '@urvek/contract';
import { eventJsonSchema, schemaOf, type Json } from './interchangeSchema.ts';

/** Where it is used: the address of one's own Urvek; the key that its start prints. */
const SECURITY = [{ key: [] }];

const ID = { name: 'id', in: 'path', required: true, schema: { type: 'string', format: 'uuid' } };
const inPath = (name: string, schema: Json): Json => ({ name, in: 'path', required: true, schema });
const inQuery = (name: string, schema: Json, description: string): Json => ({
  name,
  in: 'query',
  schema,
  description,
});
const body = (schema: Json, type = 'application/json'): Json => ({
  required: true,
  content: { [type]: { schema } },
});
const json = (description: string, schema: Json): Json => ({
  description,
  content: { 'application/json': { schema } },
});
const ref = (name: string): Json => ({ $ref: `#/components/schemas/${name}` });
const listOf = (items: Json): Json => ({ type: 'array', items });
const NO_CONTENT = { '204': { description: 'Done.' } };

const REMOVED = {
  '200': json('Where the backup is.', { type: 'object', properties: { backup: { type: 'string' } } }),
};

/** What can go wrong, by status: the same shape everywhere. */
const PROBLEMS: Readonly<Record<number, string>> = {
  401: 'No key, or a wrong one.',
  403: 'This device may not do that.',
  404: 'There is no such thing.',
  409: 'It contradicts what is stored; what was stored first stands.',
  410: 'It was removed for good.',
  413: 'Too large: send it in halves.',
  422: 'A value is wrong; it is named.',
  503: 'The database does not answer now.',
};
const withProblems = (answers: Json, ...also: number[]): Json => ({
  ...answers,
  ...Object.fromEntries(
    [401, 503, ...also]
      .toSorted((a, b) => a - b)
      .map((status) => [String(status), json(PROBLEMS[status] ?? '', ref('Problem'))]),
  ),
});

const operation = (
  operationId: string,
  summary: string,
  { responses, ...rest }: { readonly responses: Json } & Json,
): Json => ({ operationId, summary, security: SECURITY, ...rest, responses });

/** The HTTP interface as an OpenAPI description, version 3.1, from the schemas that check what comes in. */
export function openApi(): Json {
  return {
    openapi: '3.1.0',
    info: {
      title: 'Urvek',
      version: '1.0.0',
      license: { name: 'MIT', identifier: 'MIT' },
      description:
        'Logs of walks go in, findings come out. All of it is relative to the address at which one’s own ' +
        'Urvek runs. ' +
        'A log only grows: an event that is there already, with the same content, does nothing; with ' +
        'other content it is refused.',
    },
    servers: [{ url: '/api' }],
    paths: {
      '/health': {
        get: {
          ...operation('health', 'Whether server and database answer', {
            responses: {
              '200': { description: 'They do.' },
              '503': { description: 'The database does not.' },
            },
          }),
          security: [],
        },
      },
      '/time': {
        get: operation('time', 'The base’s clock, ms since 1970, to compare one’s own with', {
          responses: withProblems({
            '200': json('Now.', {
              type: 'object',
              required: ['baseMs'],
              properties: { baseMs: { type: 'number' } },
            }),
          }),
        }),
      },
      '/join/{code}': {
        get: operation('join', 'The walk that has a code, to log the other end of it', {
          parameters: [inPath('code', { type: 'string', minLength: 6, maxLength: 6 })],
          responses: withProblems({ '200': json('Its header.', ref('WalkHeader')) }, 404),
        }),
      },
      '/comparisons': {
        get: operation('listComparisons', 'All comparisons, without their set-ups', {
          responses: withProblems({
            '200': json('In the order in which they were made.', listOf({ type: 'object' })),
          }),
        }),
        post: operation('createComparison', 'Begins an empty comparison; twice is once', {
          requestBody: body(ref('NewComparison')),
          responses: withProblems({ '201': json('As it is.', ref('Comparison')) }, 403, 422),
        }),
      },
      '/comparisons/import': {
        post: operation(
          'importComparison',
          'Takes in a whole comparison with its walks, or nothing of it: interchange.schema.json',
          {
            requestBody: body({ type: 'object' }),
            responses: withProblems({ '201': json('As it is.', ref('Comparison')) }, 403, 409, 413, 422),
          },
        ),
      },
      '/comparisons/{id}': {
        parameters: [ID],
        get: operation('getComparison', 'One comparison with its set-up', {
          responses: withProblems({ '200': json('As it is.', ref('Comparison')) }, 404),
        }),
        put: operation('updateComparison', 'Replaces its set-up, made from the revision that is named', {
          requestBody: body(ref('ComparisonUpdate')),
          responses: withProblems({ '200': json('As it is now.', ref('Comparison')) }, 403, 404, 409, 422),
        }),
        delete: operation('removeComparison', 'For good, with its walks, behind a backup', {
          responses: withProblems(REMOVED, 403, 404),
        }),
      },
      '/comparisons/{id}/aside': {
        parameters: [ID],
        put: operation('setAside', 'Hides a comparison, with a reason; without one, shows it again', {
          requestBody: body({ type: 'object', properties: { reason: { type: 'string' } } }),
          responses: withProblems(NO_CONTENT, 403, 404, 422),
        }),
      },
      '/comparisons/{id}/revisions': {
        parameters: [ID],
        get: operation('listRevisions', 'Who changed the set-up, when and what, the newest first', {
          responses: withProblems({ '200': json('Fifty at most.', listOf(ref('Revision'))) }, 404),
        }),
      },
      '/comparisons/{id}/revisions/{revision}': {
        parameters: [ID, inPath('revision', { type: 'integer' })],
        get: operation('getRevision', 'A set-up as it was after a change', {
          responses: withProblems(
            {
              '200': json('As it was.', {
                allOf: [
                  ref('Revision'),
                  { type: 'object', required: ['setup'], properties: { setup: { type: 'object' } } },
                ],
              }),
            },
            404,
          ),
        }),
      },
      '/comparisons/{id}/walks': {
        parameters: [ID],
        post: operation('importWalks', 'Takes in walks with their logs, all or none', {
          requestBody: body({
            type: 'object',
            required: ['walks'],
            properties: {
              walks: listOf({
                type: 'object',
                required: ['header', 'log'],
                properties: { header: ref('WalkHeader'), log: listOf(ref('Event')) },
              }),
            },
          }),
          responses: withProblems(
            { '201': json('How many.', { type: 'object', properties: { walks: { type: 'integer' } } }) },
            403,
            404,
            409,
            413,
            422,
          ),
        }),
      },
      '/comparisons/{id}/findings': {
        parameters: [ID],
        get: operation(
          'findings',
          'What was worked out from each walk, a page at a time, in order of their start',
          {
            parameters: [inQuery('after', { type: 'string' }, 'The `next` of the page before.')],
            responses: withProblems(
              {
                '200': json('A page; `next` where there is another.', {
                  type: 'object',
                  required: ['walks'],
                  properties: { walks: listOf({ type: 'object' }), next: { type: 'string' } },
                }),
              },
              404,
            ),
          },
        ),
      },
      '/comparisons/{id}/state': {
        parameters: [ID],
        get: operation('state', 'A tag that is another one when anything of a comparison is another', {
          responses: withProblems(
            {
              '200': json('`answers`: it is large, and the base answers for it.', {
                type: 'object',
                required: ['tag', 'answers'],
                properties: { tag: { type: 'string' }, answers: { type: 'boolean' } },
              }),
            },
            404,
          ),
        }),
      },
      '/comparisons/{id}/answers/{ask}': {
        parameters: [ID, inPath('ask', { type: 'string' })],
        get: operation(
          'answer',
          'What a stage asks of a large comparison: its rows, verdicts, curves, report',
          {
            parameters: [
              inQuery(
                'open',
                { type: 'string', enum: ['yes', 'no'] },
                'No: in letters while its plan is blind.',
              ),
              inQuery('criterion', { type: 'string' }, 'Of judgement and curves; the plan’s otherwise.'),
              inQuery(
                'side',
                { type: 'string' },
                'Of judgement and curves, for a link that has two directions.',
              ),
              inQuery('pathId', { type: 'string' }, 'Of levels, unplacedNames and report.'),
              inQuery('walkId', { type: 'string', format: 'uuid' }, 'Of finding.'),
              inQuery('form', { type: 'string' }, 'Of the report: long or short.'),
              inQuery('unit', { type: 'string' }, 'Of the report.'),
              inQuery('zone', { type: 'string' }, 'Of the report: the time zone of its days.'),
              inQuery('kindId', { type: 'string' }, 'Of the report, where it is about one kind only.'),
            ],
            responses: withProblems({ '200': json('As the question says.', {}) }, 404, 422),
          },
        ),
      },
      '/comparisons/{id}/comparison.json': {
        parameters: [ID],
        get: operation('exportComparison', 'All of it in one file, without what is private', {
          responses: withProblems({ '200': json('interchange.schema.json', { type: 'object' }) }, 403, 404),
        }),
      },
      '/comparisons/{id}/walk-intervals.csv': {
        parameters: [ID],
        get: operation('walkIntervals', 'Held and failed distance of each walk', {
          parameters: [
            inQuery('criterion', { type: 'string' }, 'Such as “first dropout”.'),
            inQuery('direction', { type: 'string' }, 'Of a link that has two.'),
          ],
          responses: withProblems(
            { '200': { description: 'CSV.', content: { 'text/csv': { schema: { type: 'string' } } } } },
            403,
            404,
            422,
          ),
        }),
      },
      '/comparisons/{id}/files/{name}': {
        parameters: [ID, inPath('name', { type: 'string' })],
        get: operation('file', 'A file of the publication: findings.csv, walks.csv, readings.csv, routes', {
          responses: withProblems({ '200': { description: 'The file.' } }, 403, 404),
        }),
      },
      '/comparisons/{id}/withheld': {
        parameters: [ID],
        get: operation('withheld', 'What is private and stays out of files', {
          responses: withProblems({ '200': json('A list.', listOf({ type: 'object' })) }, 403, 404),
        }),
      },
      '/walks/held': {
        post: operation('held', 'How much of some devices’ parts of logs is here', {
          requestBody: body({
            type: 'object',
            required: ['logs'],
            properties: {
              logs: listOf({
                type: 'object',
                required: ['walkId', 'deviceId'],
                properties: {
                  walkId: { type: 'string', format: 'uuid' },
                  deviceId: { type: 'string', format: 'uuid' },
                },
              }),
            },
          }),
          responses: withProblems({ '200': json('Of each that is here.', listOf({ type: 'object' })) }, 422),
        }),
      },
      '/walks/{id}': {
        parameters: [ID],
        put: operation('registerWalk', 'Says what a walk is a walk of, before its log is sent', {
          requestBody: body(ref('WalkHeader')),
          responses: withProblems(NO_CONTENT, 404, 410, 422),
        }),
        delete: operation('removeWalk', 'For good, behind a backup', {
          responses: withProblems(REMOVED, 403, 404),
        }),
      },
      '/walks/{id}/noticed': {
        parameters: [ID],
        get: operation(
          'noticed',
          'What other devices of a walk noticed last: losses, grades, and corrections',
          {
            parameters: [inQuery('besides', { type: 'string', format: 'uuid' }, 'The device that asks.')],
            responses: withProblems(
              { '200': json('Of each device the last of them.', listOf(ref('Event'))) },
              403,
              404,
              422,
            ),
          },
        ),
      },
      '/walks/{id}/clock': {
        parameters: [ID],
        get: operation(
          'walkClock',
          'What tells the clock of a walk: its beginning, comparisons with the base’s clock, shared moments',
          {
            parameters: [inQuery('besides', { type: 'string', format: 'uuid' }, 'The device that asks.')],
            responses: withProblems(
              { '200': json('Of other devices.', listOf(ref('Event'))) },
              403,
              404,
              422,
            ),
          },
        ),
      },
      '/walks/{id}/events': {
        parameters: [ID],
        get: operation('log', 'The whole log of a walk', {
          responses: withProblems(
            { '200': json('In the order of its devices’ numbers.', listOf(ref('Event'))) },
            403,
            404,
          ),
        }),
        post: operation('append', 'Appends events, all or none; each device numbers its own from 1', {
          requestBody: body({
            type: 'object',
            required: ['events'],
            properties: { events: listOf(ref('Event')) },
          }),
          responses: withProblems(
            { '200': json('What was new.', { type: 'object' }) },
            403,
            404,
            409,
            413,
            422,
          ),
        }),
      },
      '/jobs': {
        post: operation('askJob', 'Asks for a long file', {
          requestBody: body({ type: 'object' }),
          responses: withProblems({ '202': json('It was asked for.', { type: 'object' }) }, 403, 422),
        }),
      },
      '/jobs/{id}': {
        parameters: [ID],
        get: operation('jobState', 'How far it is', {
          responses: withProblems({ '200': json('Its state.', { type: 'object' }) }, 404),
        }),
        delete: operation('cancelJob', 'Gives it up', { responses: withProblems(NO_CONTENT, 404) }),
      },
      '/jobs/{id}/file': {
        parameters: [ID],
        get: operation('jobFile', 'The file, once it is done', {
          responses: withProblems({ '200': { description: 'The file.' } }, 404),
        }),
      },
    },
    components: {
      securitySchemes: {
        key: {
          type: 'apiKey',
          in: 'header',
          name: 'X-Urvek-Key',
          description: 'From the address that the start prints; also in .urvek/address.',
        },
      },
      schemas: {
        NewComparison: schemaOf(newComparisonSchema),
        ComparisonUpdate: schemaOf(comparisonUpdateSchema),
        Comparison: {
          type: 'object',
          required: ['id', 'title', 'question', 'demo', 'revision', 'updatedAt', 'setup'],
          properties: {
            ...{
              id: { type: 'string', format: 'uuid' },
              title: { type: 'string' },
              question: { type: 'string' },
            },
            ...{
              demo: { type: 'boolean' },
              revision: { type: 'integer' },
              updatedAt: { type: 'string', format: 'date-time' },
            },
            setup: { type: 'object' },
          },
        },
        Revision: {
          type: 'object',
          required: ['revision', 'atMs', 'what'],
          properties: {
            revision: { type: 'integer' },
            who: { type: 'string' },
            atMs: { type: 'number' },
            what: listOf({ type: 'string' }),
          },
        },
        WalkHeader: schemaOf(walkHeaderSchema),
        Event: eventJsonSchema(),
        Problem: {
          type: 'object',
          required: ['code', 'what', 'kept', 'todo'],
          properties: {
            ...{
              code: { type: 'string' },
              what: { type: 'string' },
              kept: { type: 'string' },
              todo: { type: 'string' },
            },
            positions: {
              ...listOf({ type: 'integer' }),
              description: 'Which events of a batch it is about.',
            },
          },
        },
      },
    },
  };
}
