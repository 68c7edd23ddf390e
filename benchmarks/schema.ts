// npm run schema: writes what is published of the schemas: of the interchange file, and of the HTTP interface.
import { writeFileSync } from 'node:fs';
import { interchangeJsonSchema } from './interchangeSchema.ts';
import { openApi } from './openApi.ts';

for (const [name, schema] of [
  ['interchange.schema.json', interchangeJsonSchema()],
  ['openapi.json', openApi()],
] as const)
  writeFileSync(new URL(`../docs/${name}`, import.meta.url), `${JSON.stringify(schema, null, 1)}\n`);
