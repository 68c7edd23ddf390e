import { expect, test } from '@jest/globals';
import { writeInterchange } from '@urvek/contract';
import { Validator } from '@seriousme/openapi-schema-validator';
import { Ajv } from 'ajv';
import { readFileSync } from 'node:fs';
import { DEMO_ID, DEMO_SETUP, DEMO_TITLE, demoWalks } from '../server/src/demo/cindermoor.ts';
import { interchangeJsonSchema } from './interchangeSchema.ts';
import { openApi } from './openApi.ts';

const published = JSON.parse(
  readFileSync(new URL('../docs/interchange.schema.json', import.meta.url), 'utf8'),
) as object;
const ajv = new Ajv({ strict: false, formats: { uuid: /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i } });
const valid = ajv.compile(published);
const file = JSON.parse(
  JSON.stringify(
    writeInterchange(
      { id: DEMO_ID, title: DEMO_TITLE, question: '', simulated: true },
      DEMO_SETUP,
      demoWalks(),
    ),
  ),
) as { walks: { log: { body: object; kind: string }[] }[] };

test('the published schema is the one that the reader’s schemas make', () => {
  expect(published).toEqual(JSON.parse(JSON.stringify(interchangeJsonSchema())));
});

test('by an independent validator the demo’s file is of it, and a spoiled one is not', () => {
  expect(valid(file)).toBe(true);
  expect(valid({ ...file, version: 2 })).toBe(false);
  expect(valid({ ...file, surprise: 1 })).toBe(false);
  const [walk] = file.walks;
  expect(valid({ ...file, walks: [{ ...walk, log: [{ ...walk?.log[0], body: { grade: 9 } }] }] })).toBe(
    false,
  );
});

test('the HTTP interface is described by a valid OpenAPI 3.1 file, the one that the schemas make', async () => {
  const described = JSON.parse(
    readFileSync(new URL('../docs/openapi.json', import.meta.url), 'utf8'),
  ) as Record<string, unknown>;
  expect(described).toEqual(JSON.parse(JSON.stringify(openApi())));
  const validator = new Validator();
  expect(await validator.validate(described)).toMatchObject({ valid: true });
  expect(validator.version).toBe('3.1');
});
