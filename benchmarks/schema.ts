// npm run schema: writes the published schema of the interchange file from the schemas that read it.
import { writeFileSync } from 'node:fs';
import { interchangeJsonSchema } from './interchangeSchema.ts';

writeFileSync(
  new URL('../docs/interchange.schema.json', import.meta.url),
  `${JSON.stringify(interchangeJsonSchema(), null, 1)}\n`,
);
